package org.quietlantern.server.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.reference.ReadFile;
import org.quietlantern.core.reference.Reference;
import org.quietlantern.core.reference.ReferenceFiles;
import org.quietlantern.core.reference.ReferenceFormat;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;

@DisplayName("The whole made-up literature goes through each format and back")
class LiteratureFilesTest {
  private static final TestApp APP = TestApp.shared();
  private static final TestGroup GROUP = APP.group("Lita Files");
  private static final Client CLIENT = GROUP.client(0);
  private static final String LINK = "http://lantern.test/p/";
  private static final int ENOUGH = 200;

  @DisplayName("Equal in all that the format can hold")
  @ParameterizedTest
  @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "TEXT")
  void back(ReferenceFormat format) {
    Map<String, Object> line = Map.of("id", "w", "kind", "words", "text", TestGroup.EVERYTHING);
    String q =
        CLIENT
            .post(
                "/steps",
                Map.of(
                    "asked",
                    Map.of("strategy", Map.of("version", 3, "lines", List.of(line))),
                    "order",
                    "relevance"),
                UUID.randomUUID())
            .ok()
            .get("q")
            .asString();
    String file = CLIENT.exported("/q/" + q, format.word(), "abstract", "keywords", "link");
    ReadFile read =
        ReferenceFiles.read("f", file.getBytes(StandardCharsets.UTF_8), Map.of()).get(0).file();
    assertThat(read.problems()).isEmpty();
    Map<String, Reference> byLink =
        read.references().stream()
            .map(ReadFile.Found::reference)
            .collect(Collectors.toMap(Reference::link, Function.identity()));
    assertThat(byLink).hasSizeGreaterThan(ENOUGH).hasSameSizeAs(read.references());
    assertThat(read.references().stream().map(one -> one.reference().key()))
        .doesNotHaveDuplicates();
    List<String> pids = byLink.keySet().stream().map(link -> link.replace(LINK, "")).toList();
    List<StoredPublication> all =
        APP.bean(Publications.class).byPid(Viewer.of(GROUP.member(0)), pids);
    assertThat(all).hasSameSizeAs(pids);
    for (StoredPublication one : all) {
      Publication back = byLink.get(LINK + one.pid()).work();
      assertThat(held(format, back, ""))
          .isEqualTo(held(format, one.publication(), one.publication().originalTitle()));
    }
  }

  /** As docs/formats.md says what each can hold. */
  private static Map<String, Object> held(
      ReferenceFormat format, Publication work, String original) {
    Map<String, Object> held = new TreeMap<>();
    boolean preprint = CitedItem.isPreprint(work);
    boolean both = format == ReferenceFormat.CSL_JSON && !original.isEmpty();
    held.put("title", both ? original + " [" + work.title() + "]" : work.title());
    held.put(
        "people",
        work.contributors().stream()
            .filter(one -> one.isAuthor() || one.role().equals("editor"))
            .map(one -> one.role() + " " + one.name().sorted())
            .sorted()
            .toList());
    held.put("year", work.citedYear());
    if (format != ReferenceFormat.BIBTEX) {
      held.put("date", work.issued().map(PartialDate::toString));
    }
    held.put("abstract", work.abstractText());
    held.put("language", work.language());
    held.put("doi", work.doi());
    held.put("volume", work.host().volume() + "(" + work.host().issue() + ")");
    held.put("pages", work.host().pages("-"));
    held.put("issn", work.host().issn());
    if (!preprint) {
      held.put("kind", kinds(format) ? work.kind() : loosely(work.kind()));
      held.put("journal", work.host().title());
      held.put("publisher", work.publisher());
    }
    held.put(
        "keywords",
        Stream.concat(work.headings().stream().map(HeadingUse::label), work.keywords().stream())
            .map(word -> word.toLowerCase(Locale.ROOT))
            .sorted()
            .distinct()
            .toList());
    return held;
  }

  private static boolean kinds(ReferenceFormat format) {
    return Set.of(ReferenceFormat.RIS, ReferenceFormat.MODS, ReferenceFormat.CSV).contains(format);
  }

  /** What the others have for what stands in journals. */
  private static Kind loosely(Kind kind) {
    return Set.of(Kind.LETTER, Kind.EDITORIAL, Kind.REVIEW, Kind.NOTICE).contains(kind)
        ? Kind.ARTICLE
        : kind;
  }
}
