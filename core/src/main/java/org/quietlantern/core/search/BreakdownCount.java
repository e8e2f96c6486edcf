package org.quietlantern.core.search;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.function.Function;
import org.apache.lucene.index.LeafReaderContext;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.vocabulary.Tree;
import org.roaringbitmap.IntConsumer;

/** Counts a {@link Breakdown}. */
final class BreakdownCount {
  private static final Comparator<Breakdown.Bar> MOST_FIRST =
      Comparator.comparingInt(Breakdown.Bar::count).reversed().thenComparing(Breakdown.Bar::value);
  private final IndexState state;
  private final Breakdown.Asked asked;
  private final Property property;
  private final PropertyColumns columns;
  private final SearchContext circumstances;
  private final DocSet base;
  private int unknown;

  /** Counts over what {@code base} finds. */
  BreakdownCount(IndexState state, Compiled.Ready base, Breakdown.Asked asked) {
    this.state = state;
    this.asked = asked;
    this.property = asked.property();
    this.circumstances = base.circumstances();
    this.columns = new PropertyColumns(state.columns(), circumstances);
    this.base = state.sets().of(base.query());
  }

  Breakdown breakdown() throws IOException {
    Fitting fitting =
        property.shape() == Property.Shape.RANGE ? fitting(ranges()) : fittingValues();
    return new Breakdown(
        property, base.count(), fitting.bars(), unknown, fitting.all(), !property.overlaps());
  }

  /** The bars to give, and how many there are. */
  private record Fitting(List<Breakdown.Bar> bars, int all) {}

  /** Of too many years the latest are given. */
  private Fitting fitting(List<Breakdown.Bar> ranges) {
    int tooOld = property == Property.DATE ? Math.max(0, ranges.size() - asked.most()) : 0;
    return new Fitting(ranges.stream().skip(tooOld).limit(asked.most()).toList(), ranges.size());
  }

  private boolean fits(Breakdown.Bar bar) {
    return asked.part().isBlank()
        || Suggestions.folded(bar.value()).contains(Suggestions.folded(asked.part()));
  }

  private Fitting fittingValues() throws IOException {
    ValueTable table = columns.table(property);
    Tree tree = circumstances.tree(property);
    boolean isTree = property.shape() == Property.Shape.TREE;
    Counts counts = new Counts();
    Map<Integer, int[]> above = new HashMap<>();
    for (LeafReaderContext leaf : state.reader().leaves()) {
      Column column = columns.of(leaf, property);
      counts.room(table.size());
      if (isTree) {
        each(
            leaf,
            column,
            (doc, value) ->
                counts.once(doc, above.computeIfAbsent(value, v -> numbersAbove(tree, v))));
      } else {
        each(leaf, column, (doc, value) -> counts.add(value));
      }
    }
    return most(counts, value -> isTree ? tree.parents(value) : List.of());
  }

  /** Only the biggest bars are made: there may be a hundred thousand. */
  private Fitting most(Counts counts, Function<String, List<String>> parents) {
    ValueTable table = columns.table(property);
    PriorityQueue<Breakdown.Bar> most = new PriorityQueue<>(MOST_FIRST.reversed());
    int[] all = new int[1];
    counts.each(
        (number, count) -> {
          boolean small = most.size() == asked.most() && count < most.element().count();
          if (asked.part().isBlank() && small) {
            all[0]++;
            return;
          }
          String value = table.value(number);
          Breakdown.Bar bar = new Breakdown.Bar(value, count, parents.apply(value));
          if (fits(bar)) {
            all[0]++;
            most.add(bar);
            if (most.size() > asked.most()) {
              most.remove();
            }
          }
        });
    return new Fitting(most.stream().sorted(MOST_FIRST).toList(), all[0]);
  }

  /** A value's own number and those of all above it. */
  private int[] numbersAbove(Tree tree, int value) {
    ValueTable table = columns.table(property);
    return tree.above(table.value(value)).stream().mapToInt(table::number).toArray();
  }

  private List<Breakdown.Bar> ranges() throws IOException {
    RangeBars ranges = new RangeBars(asked, columns, circumstances);
    Counts counts = new Counts();
    counts.room(RangeBars.NUMBERS);
    for (LeafReaderContext leaf : state.reader().leaves()) {
      int[] numbers = ranges.numbers(leaf);
      each(
          leaf,
          doc -> {
            if (numbers[doc] == Columns.NOTHING) {
              unknown++;
            } else {
              counts.add(numbers[doc]);
            }
          });
    }
    List<Breakdown.Bar> bars = new ArrayList<>();
    counts.each((n, count) -> bars.add(new Breakdown.Bar(ranges.name(n), count, List.of())));
    return bars;
  }

  /** What is done with two numbers. */
  private interface Pair {
    void take(int one, int other);
  }

  private void each(LeafReaderContext leaf, Column column, Pair pair) {
    each(
        leaf,
        doc -> {
          if (column.isEmpty(doc)) {
            unknown++;
          } else {
            column.each(doc, value -> pair.take(leaf.docBase + doc, value));
          }
        });
  }

  private void each(LeafReaderContext leaf, IntConsumer taking) {
    base.in(leaf).forEach(taking);
  }

  /** Counts by number; what is counted once is not counted again for the same document. */
  private static final class Counts {
    private int[] counts = new int[0];
    private int[] last = new int[0];

    void room(int size) {
      if (size > counts.length) {
        int from = counts.length;
        counts = Arrays.copyOf(counts, size);
        last = Arrays.copyOf(last, size);
        Arrays.fill(last, from, size, -1);
      }
    }

    void add(int number) {
      counts[number]++;
    }

    void once(int doc, int[] numbers) {
      for (int number : numbers) {
        room(number + 1);
        if (last[number] != doc) {
          last[number] = doc;
          counts[number]++;
        }
      }
    }

    void each(Pair pair) {
      for (int number = 0; number < counts.length; number++) {
        if (counts[number] > 0) {
          pair.take(number, counts[number]);
        }
      }
    }
  }
}
