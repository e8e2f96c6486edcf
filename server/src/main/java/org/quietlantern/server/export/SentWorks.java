package org.quietlantern.server.export;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.Copy;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.citing.CitationsShown;
import org.quietlantern.server.citing.CitedPart;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.stereotype.Component;

/** Works as a letter lists them: cited as the group cites, with their links and their texts. */
@Component
class SentWorks {
  /** So many are listed; of more the letter says where all are. */
  static final int LISTED = 50;

  private static final String OPEN = "Text, open to all:";

  private final Publications publications;
  private final Citing citing;
  private final LanternProperties properties;

  SentWorks(Publications publications, Citing citing, LanternProperties properties) {
    this.publications = publications;
    this.citing = citing;
    this.properties = properties;
  }

  /** Values of the letter: {@code items}, {@code more} and {@code place}. */
  Map<String, Object> values(Member who, Leaving leaving, String place) {
    List<Integer> listed = leaving.works().subList(0, Math.min(LISTED, leaving.works().size()));
    Map<Integer, StoredPublication> stored = publications.byAsked(Viewer.of(who), listed);
    List<StoredPublication> works =
        listed.stream().filter(stored::containsKey).map(stored::get).distinct().toList();
    CitationsShown cited =
        citing.cite(
            who,
            works.stream().map(one -> Citing.CiteWanted.of(one.pid())).toList(),
            citing.ofGroup(who));
    Map<String, List<CitedPart.CitedRun>> runs = new HashMap<>();
    cited.entries().forEach(entry -> runs.put(entry.publication(), runs(entry)));
    List<Map<String, Object>> items = new ArrayList<>();
    for (StoredPublication one : works) {
      items.add(item(one, runs.getOrDefault(one.pid(), List.of())));
    }
    int rest = leaving.works().size() - listed.size();
    return Map.of(
        "items",
        items,
        "more",
        rest > 0 ? "%,d more are not listed here.".formatted(rest) : "",
        "place",
        place.isEmpty() ? "" : "%s/g/%s%s".formatted(properties.baseUrl(), who.groupPid(), place));
  }

  /** Without the number that the style may have. */
  private static List<CitedPart.CitedRun> runs(CitationsShown.CitedEntry entry) {
    return entry.parts().stream()
        .filter(part -> !part.display().equals("left-margin"))
        .flatMap(part -> part.runs().stream())
        .toList();
  }

  private Map<String, Object> item(StoredPublication work, List<CitedPart.CitedRun> runs) {
    List<CitedPart.CitedRun> cited =
        runs.isEmpty()
            ? List.of(new CitedPart.CitedRun(PlainCitation.of(work.publication()), List.of()))
            : runs;
    return Map.of(
        "citation",
        cited.stream().map(CitedPart.CitedRun::text).collect(Collectors.joining()).strip(),
        "runs",
        cited.stream()
            .map(run -> Map.of("text", run.text(), "italic", run.looks().contains("italic")))
            .toList(),
        "link",
        properties.stableLink(work.pid()),
        "text",
        openCopy(work.publication()).isEmpty() ? otherWays(work.publication()) : OPEN,
        "open",
        openCopy(work.publication()));
  }

  /** Where its text is open to all; empty for nowhere. */
  private static String openCopy(Publication work) {
    return work.copies().stream()
        .filter(copy -> copy.open() && copy.use() != Copy.Use.ABOUT)
        .map(Copy::address)
        .findFirst()
        .orElse("");
  }

  /** What is not open leaves with nobody. */
  private static String otherWays(Publication work) {
    return work.open()
        ? "Its text is open to all."
        : "Its text is not open to all; the link says what ways there are.";
  }
}
