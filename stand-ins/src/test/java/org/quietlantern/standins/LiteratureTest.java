package org.quietlantern.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.standins.corpus.Alike;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Headings;
import org.quietlantern.standins.corpus.Journal;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Person;
import org.quietlantern.standins.corpus.Work;
import org.quietlantern.standins.supply.Revision;
import org.quietlantern.standins.supply.Source;
import org.quietlantern.standins.supply.Sources;
import org.quietlantern.standins.words.Table;

/** The whole of the demo's literature, drawn once. */
class LiteratureTest {
  private static final Literature WHOLE = Literature.of(Literature.SEED, Extent.WHOLE);
  private static final List<Source> SOURCES = Sources.of(WHOLE);

  /** To be replaced when words of the literature are changed on purpose; it is printed. */
  private static final String DIGEST = "d41704df4b8279d5";

  @DisplayName("Same seed, same bytes, in every process; another seed, another literature")
  @Test
  void deterministic() throws NoSuchAlgorithmException {
    MessageDigest digest = MessageDigest.getInstance("SHA-256");
    for (Source source : Sources.of(Literature.of(Literature.SEED, Extent.SMALL))) {
      for (Revision revision : source.revisions()) {
        digest.update(revision.toString().getBytes(StandardCharsets.UTF_8));
      }
    }
    assertThat(HexFormat.of().formatHex(digest.digest(), 0, 8)).isEqualTo(DIGEST);
    assertThat(Literature.of(5, Extent.SMALL).works().get(0))
        .isNotEqualTo(Literature.of(6, Extent.SMALL).works().get(0));
  }

  @DisplayName("About 5,000 works by the first day of the demo, years of more ahead")
  @Test
  void size() {
    assertThat(WHOLE.works()).hasSizeBetween(6_500, 8_000);
    assertThat(WHOLE.works())
        .filteredOn(w -> w.date().isBefore(Literature.TODAY))
        .hasSizeBetween(4_400, 5_000);
    assertThat(WHOLE.works().stream().map(Work::kind).distinct())
        .contains(
            "article",
            "review",
            "preprint",
            "book",
            "chapter",
            "thesis",
            "report",
            "conference paper",
            "dataset",
            "editorial",
            "letter",
            "erratum",
            "correction",
            "retraction",
            "expression of concern");
    assertThat(WHOLE.works().stream().map(Work::language).distinct())
        .containsExactlyInAnyOrder("en", "de", "fr", "es", "nb");
    assertThat(WHOLE.works()).filteredOn(w -> w.original().isPresent()).hasSizeGreaterThan(200);
  }

  @Test
  void identifiersAreUniqueAndUnderTheTestPrefix() {
    assertThat(WHOLE.works().stream().map(Work::doi))
        .allMatch(doi -> doi.startsWith("10.5555/"))
        .doesNotHaveDuplicates();
    assertThat(WHOLE.works().stream().map(Work::title)).doesNotHaveDuplicates();
    assertThat(Journal.ALL.stream().map(Journal::issn)).doesNotHaveDuplicates().hasSize(60);
    assertThat(Journal.ALL.stream().map(Journal::letters)).doesNotHaveDuplicates();
    for (Source source : SOURCES) {
      Map<String, Set<Integer>> works = new HashMap<>();
      source
          .revisions()
          .forEach(
              r ->
                  works
                      .computeIfAbsent(r.identifier(), i -> new HashSet<>())
                      .add(r.entry().work().number()));
      assertThat(works.values()).as(source.name()).allMatch(numbers -> numbers.size() == 1);
    }
  }

  @Test
  void nothingPointsForward() {
    for (Work work : WHOLE.works()) {
      for (int cited : work.references().orElse(List.of())) {
        assertThat(WHOLE.work(cited).date()).isBeforeOrEqualTo(work.date());
        assertThat(cited).isLessThan(work.number());
      }
      work.about().ifPresent(n -> assertThat(WHOLE.work(n).date()).isBefore(work.date()));
    }
  }

  @DisplayName("A few works are cited much, most hardly: a long tail")
  @Test
  void citations() {
    Map<Integer, Integer> cited = new HashMap<>();
    WHOLE
        .works()
        .forEach(
            w -> w.references().orElse(List.of()).forEach(n -> cited.merge(n, 1, Integer::sum)));
    List<Integer> counts = cited.values().stream().sorted(Comparator.reverseOrder()).toList();
    int all = counts.stream().mapToInt(Integer::intValue).sum();
    int ofTheTop = counts.subList(0, counts.size() / 10).stream().mapToInt(Integer::intValue).sum();
    assertThat((double) ofTheTop / all).isBetween(0.3, 0.8);
    assertThat(counts.get(0)).isGreaterThan(40);
    assertThat(counts.get(counts.size() / 2)).isLessThan(10);
    assertThat(WHOLE.works()).filteredOn(w -> w.references().isEmpty()).hasSizeGreaterThan(1000);
  }

  @DisplayName("No two abstracts are alike: few runs of six words stand in more than one")
  @Test
  void wording() {
    List<String> texts =
        WHOLE.works().stream().map(Work::abstractText).filter(t -> !t.isEmpty()).toList();
    assertThat(texts).doesNotHaveDuplicates().hasSizeGreaterThan(5_500);
    Map<String, Integer> runs = Alike.runs(texts);
    double shared = (double) runs.values().stream().filter(n -> n > 1).count() / runs.size();
    assertThat(shared).isLessThan(0.15);
    assertThat(texts).noneMatch(t -> t.contains("{") || t.contains("[") || t.contains("  "));
  }

  @DisplayName("Years of past, years ahead; nothing on weekends; much on some days")
  @Test
  void days() {
    List<LocalDate> days =
        SOURCES.stream()
            .flatMap(s -> s.revisions().stream())
            .map(r -> r.from().atZone(ZoneOffset.UTC).toLocalDate())
            .toList();
    assertThat(days).noneMatch(d -> d.getDayOfWeek().getValue() > 5);
    assertThat(days).noneMatch(d -> d.isBefore(Literature.OPENING));
    Map<LocalDate, Long> perDay =
        days.stream()
            .filter(d -> d.isAfter(Literature.TODAY) && d.isBefore(Literature.TODAY.plusDays(700)))
            .collect(Collectors.groupingBy(d -> d, Collectors.counting()));
    assertThat(perDay.values()).anyMatch(n -> n > 20).anyMatch(n -> n < 5);
  }

  @DisplayName("Works in several sources, with the differences that sources have")
  @Test
  void sources() {
    Map<Integer, Set<String>> suppliers = new HashMap<>();
    for (Source source : SOURCES) {
      source
          .revisions()
          .forEach(
              r ->
                  suppliers
                      .computeIfAbsent(r.entry().work().number(), n -> new HashSet<>())
                      .add(source.key()));
    }
    double shared =
        (double) suppliers.values().stream().filter(s -> s.size() > 1).count() / suppliers.size();
    assertThat(shared).isBetween(0.12, 0.18);
    List<Revision> shelf = SOURCES.get(1).revisions();
    assertThat(shelf)
        .anyMatch(r -> r.entry().titleAsShown().equals(r.entry().title().toUpperCase(Locale.ROOT)));
    assertThat(shelf).anyMatch(r -> r.entry().doi().isEmpty());
    assertThat(SOURCES.get(0).revisions()).anyMatch(Revision::deleted);
    assertThat(SOURCES.get(2).revisions()).anyMatch(r -> !r.entry().versionOf().isEmpty());
  }

  @Test
  void peopleAreManySortsOfPeople() {
    List<List<Person>> authors = WHOLE.works().stream().map(Work::authors).toList();
    assertThat(authors).anyMatch(a -> a.size() > 40).anyMatch(a -> a.size() == 1);
    assertThat(authors).anyMatch(a -> a.get(0).isBody());
    assertThat(authors.stream().flatMap(List::stream).map(Person::family))
        .contains("van der Kolk", "Ćmielak", "de la Fontanella");
    assertThat(authors.stream().flatMap(List::stream))
        .filteredOn(p -> !p.orcid().isEmpty())
        .allMatch(p -> p.orcid().matches("0000-0007-\\d{4}-\\d{3}[\\dX]"));
    Map<String, Long> aYear =
        WHOLE.works().stream()
            .collect(
                Collectors.groupingBy(
                    w -> w.authors().get(0).family() + w.date().getYear(), Collectors.counting()));
    assertThat(aYear.values()).as("2026a, 2026b").anyMatch(n -> n > 1);
  }

  @DisplayName("Nobody and nothing but what stands in our own lists of made-up names")
  @Test
  void namesAreOurOwn() {
    String people =
        Table.rows("people.txt").stream()
            .map(row -> row.text(1) + " " + row.text(2))
            .collect(Collectors.joining(" "));
    Set<String> known = new HashSet<>(List.of(people.split("[ ·-]+")));
    Set<String> houses =
        Stream.of("institutions.txt", "bodies.txt")
            .flatMap(table -> Table.rows(table).stream())
            .map(row -> row.text(0))
            .collect(Collectors.toSet());
    Table.rows("containers.txt").forEach(row -> houses.add(row.text(1)));
    for (Work work : WHOLE.works()) {
      for (Person person : work.authors()) {
        String names = person.given().replaceAll(" \\p{L}\\.$", "") + " " + person.family();
        assertThat(person.isBody() ? houses.contains(person.family()) : isOf(names, known))
            .as(names)
            .isTrue();
      }
      assertThat(work.container())
          .satisfiesAnyOf(c -> assertThat(c).isEmpty(), c -> assertThat(houses).contains(c));
    }
  }

  private static boolean isOf(String names, Set<String> known) {
    return Stream.of(names.strip().split("[ -]+")).allMatch(known::contains);
  }

  @DisplayName("Pages of a volume follow each other without overlap")
  @Test
  void issues() {
    Map<String, List<Work>> volumes =
        WHOLE.works().stream()
            .filter(w -> w.journal().isPresent() && w.about().isEmpty())
            .collect(Collectors.groupingBy(w -> w.journal().get().letters() + w.volume()));
    for (List<Work> volume : volumes.values()) {
      for (int i = 1; i < volume.size(); i++) {
        assertThat(volume.get(i).firstPage()).isEqualTo(volume.get(i - 1).lastPage() + 1);
      }
    }
  }

  @DisplayName("About 300 headings in four levels, some with two parents, every link in the tree")
  @Test
  void headings() {
    Map<String, Headings.Heading> all = Headings.ALL;
    assertThat(all).hasSizeBetween(290, 340);
    assertThat(all.values()).filteredOn(h -> h.broader().size() > 1).hasSizeGreaterThan(8);
    assertThat(all.values())
        .allSatisfy(
            h -> {
              assertThat(all.keySet()).containsAll(h.broader());
              assertThat(all.keySet()).containsAll(h.related());
            });
    assertThat(depth(all.get("Noctuidae"))).isEqualTo(4);
    assertThat(all.values().stream().map(Headings.Heading::uri)).doesNotHaveDuplicates();
    assertThat(WHOLE.works().stream().flatMap(w -> w.topics().stream()))
        .allMatch(topic -> all.containsKey(topic.label()));
  }

  private static int depth(Headings.Heading heading) {
    return heading.broader().isEmpty() ? 1 : 1 + depth(Headings.ALL.get(heading.broader().get(0)));
  }

  @DisplayName("The newest ninety days are mostly without headings")
  @Test
  void lateHeadings() {
    LocalDate since = Literature.TODAY.minusDays(90);
    Map<String, Revision> latest = new HashMap<>();
    SOURCES.get(0).revisions().stream()
        .filter(r -> r.from().isBefore(Literature.TODAY.atStartOfDay().toInstant(ZoneOffset.UTC)))
        .forEach(r -> latest.put(r.identifier(), r));
    List<Revision> fresh =
        latest.values().stream()
            .filter(
                r -> r.entry().work().date().isAfter(since) && r.entry().work().about().isEmpty())
            .toList();
    long without =
        fresh.stream()
            .filter(r -> r.entry().has(org.quietlantern.standins.supply.Trait.NO_HEADINGS))
            .count();
    assertThat((double) without / fresh.size()).isGreaterThan(0.7);
  }
}
