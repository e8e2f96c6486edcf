package org.quietlantern.server.export;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.Copy;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.server.bibliography.Bibliographies;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.citing.CitationsShown;
import org.quietlantern.server.citing.CitedPart;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.export.SentTexts.SentText;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
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

  /** The works that a letter lists, in their order, each once. */
  List<StoredPublication> listed(Member who, Leaving leaving) {
    List<Integer> listed = leaving.listed(LISTED);
    Map<Integer, StoredPublication> stored = publications.byAsked(Viewer.of(who), listed);
    return listed.stream().filter(stored::containsKey).map(stored::get).distinct().toList();
  }

  /** How many works a letter does not list. */
  static int rest(Leaving leaving) {
    return Math.max(0, leaving.works().size() - LISTED);
  }

  /**
   * Values of the letter: {@code items}, {@code more} and {@code place}.
   *
   * @param works that it lists
   * @param texts of those whose texts were asked for, by row number
   * @param entries of a bibliography, in the place of citations as the group cites; may be none
   */
  Map<String, Object> values(
      Member who,
      Leaving leaving,
      List<StoredPublication> works,
      String place,
      Map<Integer, SentText> texts,
      List<Bibliographies.LeavingEntry> entries) {
    Map<Integer, Bibliographies.LeavingEntry> byWork = new HashMap<>();
    entries.forEach(entry -> byWork.put(entry.work(), entry));
    Map<Integer, List<CitedPart.CitedRun>> runs =
        entries.isEmpty() ? cited(who, works) : cited(entries);
    List<Map<String, Object>> items = new ArrayList<>();
    String chapter = "";
    for (StoredPublication one : works) {
      Map<String, Object> item =
          item(one, runs.getOrDefault(one.id(), List.of()), texts.get(one.id()));
      Bibliographies.LeavingEntry entry = byWork.get(one.id());
      String its = entry == null ? "" : entry.chapter();
      item.put("heading", its.equals(chapter) ? "" : its);
      item.put("below", entry == null ? List.of() : below(entry));
      chapter = its;
      items.add(item);
    }
    int rest = rest(leaving);
    return Map.of(
        "items",
        items,
        "more",
        rest > 0 ? "%,d more are not listed here.".formatted(rest) : "",
        "place",
        place.isEmpty() ? "" : "%s/g/%s%s".formatted(properties.baseUrl(), who.groupPid(), place));
  }

  /** As the group cites. */
  private Map<Integer, List<CitedPart.CitedRun>> cited(Member who, List<StoredPublication> works) {
    CitationsShown cited =
        citing.cite(
            who,
            works.stream().map(one -> Citing.CiteWanted.of(one.pid())).toList(),
            citing.ofGroup(who));
    Map<String, List<CitedPart.CitedRun>> runs = new HashMap<>();
    cited.entries().forEach(entry -> runs.put(entry.publication(), runs(entry.parts())));
    return works.stream()
        .collect(
            Collectors.toMap(
                StoredPublication::id, one -> runs.getOrDefault(one.pid(), List.of())));
  }

  private static Map<Integer, List<CitedPart.CitedRun>> cited(
      List<Bibliographies.LeavingEntry> entries) {
    return entries.stream()
        .collect(
            Collectors.toMap(
                Bibliographies.LeavingEntry::work, one -> runs(CitedPart.of(one.blocks()))));
  }

  private static List<Map<String, Object>> below(Bibliographies.LeavingEntry entry) {
    return entry.below().stream()
        .map(
            paragraph ->
                Map.<String, Object>of(
                    "text",
                    paragraph.text(),
                    "words",
                    paragraph.runs().stream()
                        .map(run -> Map.of("text", run.text(), "italic", run.look().italic()))
                        .toList()))
        .toList();
  }

  /** Without the number that the style may have. */
  private static List<CitedPart.CitedRun> runs(List<CitedPart> parts) {
    return parts.stream()
        .filter(part -> !part.display().equals("left-margin"))
        .flatMap(part -> part.runs().stream())
        .toList();
  }

  private Map<String, Object> item(
      StoredPublication work, List<CitedPart.CitedRun> runs, @Nullable SentText sent) {
    List<CitedPart.CitedRun> cited =
        runs.isEmpty()
            ? List.of(new CitedPart.CitedRun(PlainCitation.of(work.publication()), List.of()))
            : runs;
    boolean goesAlong = sent != null && sent.goes();
    String open = goesAlong ? "" : openCopy(work.publication());
    Map<String, Object> item = new HashMap<>();
    item.put(
        "citation",
        cited.stream().map(CitedPart.CitedRun::text).collect(Collectors.joining()).strip());
    item.put(
        "runs",
        cited.stream()
            .map(run -> Map.of("text", run.text(), "italic", run.looks().contains("italic")))
            .toList());
    item.put("link", properties.stableLink(work.pid()));
    item.put("open", open);
    if (goesAlong) {
      item.put("text", "Its text goes along: " + sent.name());
    } else if (!open.isEmpty()) {
      item.put("text", OPEN);
    } else {
      item.put("text", sent == null ? otherWays(work.publication()) : sent.why());
    }
    return item;
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
