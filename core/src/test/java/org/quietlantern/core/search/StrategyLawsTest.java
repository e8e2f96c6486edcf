package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.holdings.Holdings;
import org.quietlantern.core.holdings.Journals;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Parsed;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Range;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.vocabulary.Headings;
import org.quietlantern.core.vocabulary.Tree;
import org.roaringbitmap.RoaringBitmap;

/**
 * Counts of whole strategies, of their lines and of breakdowns, against an evaluator that reads
 * every publication and shares only the tokenizer with the engine.
 */
class StrategyLawsTest {
  private static final int STRATEGIES = 240;
  private static final Tree TAXA =
      new Tree(
          Map.of("moths", List.of("insects"), "beetles", List.of("insects"), "insects", List.of()));
  private static final SearchContext CIRCUMSTANCES =
      new SearchContext(
          LocalDate.of(2026, 11, 25),
          ZoneId.of("Europe/Oslo"),
          Holdings.NONE,
          List.of(),
          Journals.NONE,
          Map.of(Property.TAXON, TAXA),
          Headings.NONE,
          InsideTexts.NONE,
          "laws");
  private final RandomStrategies draw = new RandomStrategies(1887);
  private final List<IndexEntry> entries = new ArrayList<>();
  private final List<Reading> readings = new ArrayList<>();
  private Catalogue catalogue;
  private Snapshot snapshot;

  @BeforeEach
  void fill() {
    catalogue = new Catalogue();
    for (int id = 1; id <= 220; id++) {
      IndexEntry entry = Catalogue.entry(id, sources(), publication());
      entries.add(entry);
      readings.add(new Reading(entry.publication()));
    }
    // In three segments, with documents that were replaced in between.
    catalogue.index.apply(entries.subList(0, 100), List.of(), 1);
    catalogue.index.apply(entries.subList(90, 180), List.of(), 2);
    catalogue.index.apply(entries.subList(170, 220), List.of(), 3);
    snapshot = catalogue.index.snapshot();
  }

  @AfterEach
  void close() {
    snapshot.close();
    catalogue.close();
  }

  private List<String> sources() {
    List<String> some = draw.some(RandomStrategies.sources());
    return some.isEmpty() ? List.of("index") : some;
  }

  private Publication publication() {
    Optional<PartialDate> date =
        draw.chance(8)
            ? Optional.empty()
            : Optional.of(
                new PartialDate(
                    2015 + draw.number(13), draw.chance(3) ? 0 : 1 + draw.number(12), 0));
    return new Publication(
        "x " + draw.words(1 + draw.number(6)),
        "",
        Kind.named(draw.one(RandomStrategies.kinds())).orElseThrow(),
        VersionKind.FINAL,
        List.of(),
        date,
        Host.NONE,
        "",
        "",
        draw.chance(4) ? "" : draw.words(1 + draw.number(8)),
        List.of(),
        List.of(),
        "",
        Relations.NONE,
        draw.number(30),
        false,
        new Studied(List.of(), draw.some(RandomStrategies.taxa()), List.of(), List.of(), List.of()),
        Optional.empty(),
        Cited.UNKNOWN);
  }

  private Compiled.Ready compile(Strategy strategy) {
    return (Compiled.Ready) snapshot.compile(strategy, CIRCUMSTANCES, Library.EMPTY);
  }

  private int count(Strategy strategy) {
    return snapshot.search(compile(strategy), Ordering.RELEVANCE).count();
  }

  /** Numbers of the publications that meet all lines that pass. */
  private Set<Integer> meeting(Strategy strategy, Predicate<Line> which) {
    return IntStream.range(0, entries.size())
        .filter(
            i ->
                strategy.inForce().stream()
                    .filter(which)
                    .filter(line -> !(line instanceof Line.Limited l) || l.limit().asks())
                    .allMatch(line -> meets(line, i)))
        .map(i -> i + 1)
        .boxed()
        .collect(Collectors.toCollection(TreeSet::new));
  }

  /** What rules out is met by what it does not rule out. */
  private boolean meets(Line line, int i) {
    if (line instanceof Line.Words words) {
      Parsed parsed = words.parsed();
      return parsed.tree().orElseThrow().match(readings.get(i)) != parsed.rulesOut();
    }
    return meets(((Line.Limited) line).limit(), entries.get(i));
  }

  private static boolean meets(Limit limit, IndexEntry entry) {
    Set<String> values = values(limit.property(), entry);
    if (values.stream().anyMatch(limit.ruledOut()::contains)) {
      return false;
    }
    if (!limit.asksFor()) {
      return true;
    }
    if (limit.property().shape() == Property.Shape.RANGE) {
      return values.isEmpty()
          ? limit.takesUnknown()
          : limit.range().isSet() && inside(limit, entry.publication());
    }
    List<String> chosen = limit.chosen().stream().filter(v -> !v.equals(Limit.UNKNOWN)).toList();
    if (limit.all()) {
      return limit.takesUnknown()
          ? chosen.isEmpty() && values.isEmpty()
          : values.containsAll(chosen);
    }
    return values.isEmpty() ? limit.takesUnknown() : chosen.stream().anyMatch(values::contains);
  }

  private static boolean inside(Limit limit, Publication p) {
    Range range = limit.range();
    if (limit.property() == Property.PAGES) {
      int from = range.from().isEmpty() ? 0 : Integer.parseInt(range.from());
      int to = range.to().isEmpty() ? 9999 : Integer.parseInt(range.to());
      return p.pages() >= Math.min(from, to) && p.pages() <= Math.max(from, to);
    }
    List<String> ends =
        range.last() > 0
            ? List.of("" + (2026 - range.last()), "2026")
            : new ArrayList<>(List.of(range.from(), range.to()));
    String from = ends.get(0).isEmpty() ? "0000" : ends.get(0);
    String to = ends.get(1).isEmpty() ? "9999" : ends.get(1);
    if (!ends.get(0).isEmpty() && !ends.get(1).isEmpty() && first(from).compareTo(last(to)) > 0) {
      String swap = from;
      from = to;
      to = swap;
    }
    PartialDate date = p.date().orElseThrow();
    return first(date.toString()).compareTo(first(from)) >= 0
        && last(date.toString()).compareTo(last(to)) <= 0;
  }

  private static String first(String date) {
    return date.length() == 4 ? date + "-01" : date;
  }

  private static String last(String date) {
    return date.length() == 4 ? date + "-12" : date;
  }

  private static Set<String> values(Property property, IndexEntry entry) {
    Publication p = entry.publication();
    return switch (property) {
      case KIND -> Set.of(p.kind().word());
      case SOURCE -> new HashSet<>(entry.sources());
      case ABSTRACT -> Set.of(p.abstractText().isEmpty() ? "no" : "yes");
      case TAXON -> {
        Set<String> all = new HashSet<>(p.studied().taxa());
        if (all.contains("moths") || all.contains("beetles")) {
          all.add("insects");
        }
        yield all;
      }
      case DATE -> p.date().map(d -> Set.of("" + d.year())).orElse(Set.of());
      default -> p.pages() > 0 ? Set.of("" + p.pages()) : Set.of();
    };
  }

  @DisplayName("M1, M2, L1, L4, L5: random strategies find what reading everything finds")
  @Test
  void wholeStrategies() {
    int found = 0;
    Candidates candidates = snapshot.candidates(RoaringBitmap.bitmapOfRange(95, 185));
    for (int n = 0; n < Laws.times(STRATEGIES); n++) {
      Strategy strategy = draw.strategy();
      if (strategy.inForce().isEmpty()) {
        continue;
      }
      Set<Integer> expected = meeting(strategy, line -> true);
      Compiled.Ready ready = compile(strategy);
      assertThat(snapshot.all(ready).toArray())
          .as("%s", strategy)
          .containsExactly(expected.stream().mapToInt(i -> i).toArray());
      assertThat(candidates.matching(ready).toArray())
          .as("%s, of some", strategy)
          .containsExactly(
              expected.stream().filter(i -> i >= 95 && i < 185).mapToInt(i -> i).toArray());
      for (Order order : Order.values()) {
        SearchResult listed = snapshot.search(ready, new Ordering(order, n % 2 == 0));
        assertThat(listed.count()).as("%s", strategy).isEqualTo(expected.size());
        assertThat(listed.publicIds())
            .as("%s by %s", strategy, order)
            .containsExactlyInAnyOrderElementsOf(expected.stream().map(i -> "p" + i).toList());
      }
      found += expected.size();
    }
    assertThat(found).as("strategies find something").isGreaterThan(Laws.least(2_000));
  }

  @DisplayName("M1: gained, lost and common of two strategies are what reading everything finds")
  @Test
  void comparisons() {
    int changed = 0;
    for (int n = 0; n < Laws.times(STRATEGIES); n++) {
      Strategy first = draw.strategy();
      Strategy second = draw.strategy();
      if (first.inForce().isEmpty() || second.inForce().isEmpty()) {
        continue;
      }
      Set<Integer> before = meeting(first, line -> true);
      Set<Integer> after = meeting(second, line -> true);
      Set<String> gained = named(after, before);
      Set<String> lost = named(before, after);
      Comparison found = Comparison.of(snapshot, compile(first), compile(second), 3);
      assertThat(found.gained().count()).as("%s to %s", first, second).isEqualTo(gained.size());
      assertThat(found.lost().count()).as("%s to %s", first, second).isEqualTo(lost.size());
      assertThat(found.common()).isEqualTo(after.size() - gained.size());
      assertThat(gained).containsAll(found.gained().newest());
      assertThat(lost).containsAll(found.lost().newest());
      assertThat(found.gained().newest()).hasSize(Math.min(3, gained.size()));
      changed += gained.size() + lost.size();
    }
    assertThat(changed).as("strategies differ").isGreaterThan(Laws.least(1_000));
  }

  /** Public ids of those that are not among the others. */
  private static Set<String> named(Set<Integer> some, Set<Integer> others) {
    return some.stream()
        .filter(id -> !others.contains(id))
        .map(id -> "p" + id)
        .collect(Collectors.toSet());
  }

  @DisplayName("M10: alone, left after it and without it are what they say, line by line")
  @Test
  void lines() {
    for (int n = 0; n < Laws.times(STRATEGIES / 2); n++) {
      Strategy strategy = draw.strategy();
      if (strategy.inForce().isEmpty()) {
        continue;
      }
      List<Line> above = new ArrayList<>();
      for (LineCounts.LineCount count : new LineCounts(snapshot, compile(strategy)).all()) {
        Line line =
            strategy.lines().stream().filter(l -> l.id().equals(count.line())).findAny().get();
        boolean acts = !line.off() && count.inactive().isEmpty();
        if (acts) {
          above.add(line);
          assertThat(count.left())
              .as("left after %s in %s", line, strategy)
              .hasValue(meeting(strategy, above::contains).size());
          assertThat(count.without())
              .as("without %s in %s", line, strategy)
              .hasValue(meeting(strategy, l -> !l.equals(line)).size());
        }
        assertThat(count.alone()).as("%s alone", line).isEqualTo(alone(line));
      }
    }
  }

  /** A line that rules out finds what there is to rule out. */
  private int alone(Line line) {
    boolean rulesOut = line instanceof Line.Words words && words.parsed().rulesOut();
    int met = meeting(new Strategy(List.of(line.switched(false))), l -> true).size();
    return rulesOut ? entries.size() - met : met;
  }

  @DisplayName("L2: a limit never raises a count; taking all away gives the first count back")
  @Test
  void limitsNeverRaise() {
    for (int n = 0; n < Laws.times(STRATEGIES / 2); n++) {
      Strategy words = Strategy.of(draw.text(2, false));
      int first = count(words);
      Strategy limited = words;
      int before = first;
      for (Property property :
          List.of(Property.KIND, Property.DATE, Property.TAXON, Property.SOURCE)) {
        List<Line> lines = new ArrayList<>(limited.lines());
        Line line = new Line.Limited(property.word(), draw.limit(property), false);
        lines.add(draw.number(lines.size() + 1), line);
        limited = new Strategy(lines);
        int now = count(limited);
        assertThat(now).as("%s", limited).isLessThanOrEqualTo(before);
        before = now;
      }
      Strategy off =
          new Strategy(
              limited.lines().stream()
                  .map(l -> l instanceof Line.Limited ? l.switched(true) : l)
                  .toList());
      assertThat(count(off)).as("%s", off).isEqualTo(first);
    }
  }

  @DisplayName("L6: bars are counted without their own limit, and add up as they say")
  @Test
  void breakdowns() {
    for (int n = 0; n < Laws.times(STRATEGIES / 2); n++) {
      Strategy strategy = draw.strategy();
      if (strategy.inForce().isEmpty()) {
        continue;
      }
      Compiled.Ready ready = compile(strategy);
      for (Property property :
          List.of(Property.KIND, Property.TAXON, Property.SOURCE, Property.DATE)) {
        Breakdown breakdown = Breakdown.of(snapshot, ready, Breakdown.Asked.of(property));
        Set<Integer> base =
            meeting(
                strategy,
                l -> !(l instanceof Line.Limited own && own.limit().property() == property));
        assertThat(breakdown.base()).as("%s", strategy).isEqualTo(base.size());
        assertThat(bars(breakdown))
            .as("%s by %s", strategy, property)
            .isEqualTo(expected(property, base));
        int sum = breakdown.bars().stream().mapToInt(Breakdown.Bar::count).sum();
        if (breakdown.adds()) {
          assertThat(sum + breakdown.unknown()).isEqualTo(breakdown.base());
        } else {
          assertThat(sum + breakdown.unknown()).isGreaterThanOrEqualTo(breakdown.base());
        }
      }
    }
  }

  private static Map<String, Integer> bars(Breakdown breakdown) {
    Map<String, Integer> bars = new TreeMap<>();
    breakdown.bars().forEach(bar -> bars.put(bar.value(), bar.count()));
    if (breakdown.unknown() > 0) {
      bars.put(Limit.UNKNOWN, breakdown.unknown());
    }
    return bars;
  }

  private Map<String, Integer> expected(Property property, Set<Integer> base) {
    Map<String, Integer> expected = new TreeMap<>();
    for (int id : base) {
      Set<String> values = values(property, entries.get(id - 1));
      (values.isEmpty() ? Set.of(Limit.UNKNOWN) : values)
          .forEach(value -> expected.merge(value, 1, Integer::sum));
    }
    return expected;
  }
}
