package org.quietlantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.citation.Kinds;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Identifier;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.publication.VersionKind;

@DisplayName("Files of references are read back as they were written")
class FilesBackTest {
  private static final int DAMAGED = 200;

  /** What is awkward in a file. */
  private static Publication awkward() {
    List<Contributor> people =
        List.of(
            new Contributor(
                new PersonName("Łoś-Ørsted", "Zoë \"Z\" & Co"), "author", false, "", List.of()),
            new Contributor(new PersonName("Trust of <Verges>", ""), "author", true, "", List.of()),
            new Contributor(new PersonName("Madonna", ""), "author", false, "", List.of()),
            new Contributor(new PersonName("Berg", "Bo"), "editor", false, "", List.of()));
    return new Publication(
        "=Lamps, \"moths\" & {verges}: 50 % of <i>Noctua</i> @ night; \\o/ 'so' ]]>",
        "",
        Kind.ARTICLE,
        VersionKind.FINAL,
        Contributor.authors(people),
        PartialDate.read("2024-02-29"),
        new Host("Lights & Verges; a, \"journal\"", "2049-3630", "007", "1e5", "e12", "e15"),
        "Hollow & Sons",
        "de",
        "Two\u2003spaces, “quotes” and 𝒩 beyond the plane.",
        List.of(new HeadingUse("urn:h:1", "Bats", true, List.of("effects of light on"))),
        List.of("kerb light", "dusk"),
        "10.5555/a(b)c",
        new Relations("", "", List.of(new Relations.Notice("correction", "10.5555/n", "2025"))),
        0,
        false,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN,
        PartialDate.read("2024-02-29"),
        List.of(new Identifier(Identifier.ISBN, "9780306406157")),
        people,
        List.of());
  }

  private static List<Reference> references() {
    return Stream.concat(Kinds.all().stream(), Stream.of(awkward()))
        .map(
            work ->
                new Reference(
                    EntryKeys.of(work), work, "https://l.example/p", List.of("why so"), "Read it."))
        .toList();
  }

  private static ReadFile readBack(ReferenceFormat format) {
    String text = format.writer(Included.ALL, false).file(references());
    List<ReferenceFiles.Recognised> read =
        ReferenceFiles.read("a file", text.getBytes(StandardCharsets.UTF_8), Map.of());
    assertThat(read).hasSize(1);
    assertThat(format.spoken()).isIn(read.get(0).format(), "BibLaTeX", "MODS");
    return read.get(0).file();
  }

  @DisplayName("Each format, recognised by what it holds")
  @ParameterizedTest
  @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "TEXT")
  void back(ReferenceFormat format) {
    ReadFile file = readBack(format);
    assertThat(file.problems()).isEmpty();
    assertThat(file.references()).hasSameSizeAs(references());
    for (int i = 0; i < references().size(); i++) {
      Reference read = file.references().get(i).reference();
      Reference wanted = references().get(i);
      assertThat(held(format, read)).isEqualTo(held(format, wanted));
    }
  }

  /** What a format can hold, as docs/formats.md says it. */
  private static List<String> held(ReferenceFormat format, Reference reference) {
    Publication work = reference.work();
    boolean preprint = CitedItem.isPreprint(work);
    boolean noKinds = format != ReferenceFormat.MODS && format != ReferenceFormat.CSV;
    boolean bibtex = format == ReferenceFormat.BIBTEX || format == ReferenceFormat.BIBLATEX;
    Kind kind =
        noKinds
                && List.of(Kind.EDITORIAL, Kind.LETTER, Kind.REVIEW).contains(work.kind())
                && format != ReferenceFormat.RIS
            ? Kind.ARTICLE
            : format == ReferenceFormat.BIBTEX && work.kind() == Kind.DATASET
                ? Kind.REPORT
                : work.kind();
    String title =
        format == ReferenceFormat.CSL_JSON && !work.originalTitle().isEmpty()
            ? work.originalTitle() + " [" + work.title() + "]"
            : work.title();
    return List.of(
        reference.key(),
        kind.word(),
        title,
        people(work, format == ReferenceFormat.RIS || format == ReferenceFormat.CSV),
        format == ReferenceFormat.BIBTEX
            ? work.issued().map(d -> d.toString().replaceAll("(.{7}).*", "$1")).orElse("")
            : work.issued().map(PartialDate::toString).orElse(""),
        preprint ? "" : work.host().title(),
        work.host().issn(),
        work.host().volume() + "(" + work.host().issue() + ")" + work.host().pages("-"),
        work.publisher(),
        work.language(),
        work.doi(),
        work.isbns().toString(),
        Text.clean(work.abstractText()),
        Keywords.of(work).toString(),
        reference.link(),
        bibtex && preprint ? "" : notes(format, reference),
        format == ReferenceFormat.RIS ? "" : reference.annotation());
  }

  /** RIS has one kind of notes only. */
  private static String notes(ReferenceFormat format, Reference reference) {
    String notes = String.join("", reference.notes());
    String correction = "Correction, 2025, doi:10.5555/n";
    return format == ReferenceFormat.RIS
        ? notes.replace(correction, "").replace(reference.annotation(), "") + reference.annotation()
        : notes;
  }

  private static String people(Publication work, boolean guessed) {
    return work.contributors().stream()
        .map(
            one ->
                one.role()
                    + " "
                    + one.name().sorted()
                    + (one.body() || (guessed && one.name().given().contains(" ")) ? "!" : ""))
        .toList()
        .toString();
  }

  @DisplayName("Damaged files never stop a reader: cut, doubled, swapped bytes, nested")
  @ParameterizedTest
  @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "TEXT")
  void damaged(ReferenceFormat format) {
    byte[] good =
        format.writer(Included.ALL, true).file(references()).getBytes(StandardCharsets.UTF_8);
    Random random = new Random(41);
    int far = 0;
    int unsaid = 0;
    for (int n = 0; n < DAMAGED; n++) {
      byte[] bad = good;
      for (int i = 0; i < 1 + n % 4; i++) {
        bad = damage(bad, random);
      }
      List<ReferenceFiles.Recognised> read = ReferenceFiles.read("f", bad, Map.of());
      long told = read.stream().mapToLong(one -> one.file().problems().size()).sum();
      long found = read.stream().mapToLong(one -> one.file().references().size()).sum();
      assertThat(found + told).isPositive();
      if (found < references().size() - 1 && told == 0) {
        unsaid++;
      }
      if (found < references().size() - 4) {
        far++;
      }
    }
    // What is cut out whole, or runs together, cannot always be told; a damage costs its entry.
    assertThat(unsaid).isLessThan(DAMAGED / 50);
    assertThat(far).isLessThan(DAMAGED / 20);
  }

  private static byte[] damage(byte[] from, Random random) {
    String text = new String(from, StandardCharsets.ISO_8859_1);
    int at = random.nextInt(text.length());
    int end = Math.min(text.length(), at + 1 + random.nextInt(120));
    String piece = text.substring(at, end);
    String bad =
        switch (random.nextInt(4)) {
          case 0 -> text.substring(0, at) + text.substring(end);
          case 1 -> text.substring(0, end) + piece + text.substring(end);
          case 2 ->
              text.substring(0, at) + new StringBuilder(piece).reverse() + text.substring(end);
          default -> text.substring(0, at) + piece.repeat(3) + text.substring(end);
        };
    return bad.getBytes(StandardCharsets.ISO_8859_1);
  }

  @DisplayName("Crowds, depths, and what never ends")
  @Test
  void hostile() {
    String authors = "{\"family\":\"Sey\",\"given\":\"Ada\"},".repeat(99_999);
    String crowd =
        "[{\"id\":\"a\",\"title\":\"T\",\"author\":[" + authors + "{\"literal\":\"B\"}]}]";
    Assertions.assertTimeoutPreemptively(
        Duration.ofSeconds(60),
        () -> {
          assertThat(CslJsonReader.read("[" + "{\"id\":".repeat(200_000)).problems()).isNotEmpty();
          assertThat(
                  CslJsonReader.read("[{\"a\":\"" + "\\\",{\"id\":".repeat(200_000)).references())
              .isEmpty();
          assertThat(
                  CslJsonReader.read(crowd).references().size()
                      + CslJsonReader.read(crowd).problems().size())
              .isEqualTo(1);
          String open = "title,authors\r\n" + "a,\"b\r\n".repeat(100_001);
          assertThat(CsvReader.read(open).references()).isNotEmpty();
          String wide = "title," + "x,".repeat(5_000) + "\r\nT," + "1,".repeat(5_000);
          assertThat(CsvReader.read(wide).references()).hasSize(1);
        });
  }
}
