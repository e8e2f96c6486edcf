package org.quietlantern.core.search;

import java.io.IOException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.function.IntPredicate;
import org.apache.lucene.index.LeafReaderContext;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Range;

/** Whether a document meets a limit (rules L1, L4, L5). */
final class LimitPredicate {
  private static final int MONTHS = 12;
  private final Limit limit;
  private final Property property;
  private final SearchContext circumstances;
  private final PropertyColumns columns;

  LimitPredicate(Limit limit, SearchContext circumstances, Columns columns) {
    this.limit = limit;
    this.property = limit.property();
    this.circumstances = circumstances;
    this.columns = new PropertyColumns(columns, circumstances);
  }

  IntPredicate in(LeafReaderContext leaf) throws IOException {
    return property.shape() == Property.Shape.RANGE ? ranged(leaf) : valued(leaf);
  }

  private IntPredicate ranged(LeafReaderContext leaf) throws IOException {
    Range range = limit.range().on(circumstances.today()).ordered(property);
    IntPredicate known = known(leaf);
    IntPredicate inside = range.isSet() ? inside(leaf, range) : doc -> !limit.asksFor();
    boolean takesUnknown = !limit.asksFor() || limit.takesUnknown();
    boolean rulesUnknownOut = limit.ruledOut().contains(Limit.UNKNOWN);
    return doc -> known.test(doc) ? inside.test(doc) : takesUnknown && !rulesUnknownOut;
  }

  private IntPredicate known(LeafReaderContext leaf) throws IOException {
    int[] numbers = columns.numbers(leaf, field());
    return doc -> numbers[doc] != Columns.NOTHING;
  }

  private String field() {
    return switch (property) {
      case DATE -> IndexFields.PUBLISHED;
      case PAGES -> IndexFields.PAGES;
      default -> IndexFields.CAME;
    };
  }

  private IntPredicate inside(LeafReaderContext leaf, Range range) throws IOException {
    int[] numbers = columns.numbers(leaf, field());
    return switch (property) {
      case DATE -> {
        int[] latest = columns.numbers(leaf, IndexFields.PUBLISHED_LAST);
        long first = day(Range.first(property, range.from()), 0);
        long end = day(Range.last(property, range.to()), 1);
        yield doc -> numbers[doc] >= first && latest[doc] < end;
      }
      case CAME -> {
        long first = seconds(range.from(), 0, Long.MIN_VALUE);
        long end = seconds(range.to(), 1, Long.MAX_VALUE);
        yield doc -> numbers[doc] >= first && numbers[doc] < end;
      }
      default -> {
        long from = Range.first(property, range.from());
        long to = Range.last(property, range.to());
        yield doc -> numbers[doc] >= from && numbers[doc] <= to;
      }
    };
  }

  /** The first day of so many months after a month, as days since 1970; open ends stay open. */
  private static long day(long month, int later) {
    return month == Long.MIN_VALUE || month == Long.MAX_VALUE
        ? month
        : YearMonth.of((int) month / MONTHS, (int) month % MONTHS + 1)
            .plusMonths(later)
            .atDay(1)
            .toEpochDay();
  }

  private long seconds(String day, int later, long open) {
    return day.isEmpty()
        ? open
        : LocalDate.parse(day).plusDays(later).atStartOfDay(circumstances.zone()).toEpochSecond();
  }

  private IntPredicate valued(LeafReaderContext leaf) throws IOException {
    Column column = columns.of(leaf, property);
    IntPredicate chosen = chosen(column);
    BitSet out = numbers(limit.ruledOut());
    boolean rulesUnknownOut = limit.ruledOut().contains(Limit.UNKNOWN);
    return doc ->
        chosen.test(doc)
            && !(rulesUnknownOut && column.isEmpty(doc))
            && (out.isEmpty() || !column.any(doc, out::get));
  }

  private IntPredicate chosen(Column column) {
    List<String> values =
        limit.chosen().stream().filter(value -> !value.equals(Limit.UNKNOWN)).toList();
    if (!limit.asksFor()) {
      return doc -> true;
    }
    if (limit.all()) {
      return all(column, values);
    }
    BitSet any = numbers(values);
    boolean unknownToo = limit.takesUnknown();
    return doc -> column.isEmpty(doc) ? unknownToo : column.any(doc, any::get);
  }

  /** Nothing can have a value and have none. */
  private IntPredicate all(Column column, List<String> values) {
    if (limit.takesUnknown()) {
      return values.isEmpty() ? column::isEmpty : doc -> false;
    }
    List<BitSet> each = values.stream().map(value -> numbers(List.of(value))).toList();
    return doc -> each.stream().allMatch(numbers -> column.any(doc, numbers::get));
  }

  /** Numbers of the values and, in a tree, of all below them. */
  private BitSet numbers(List<String> values) {
    BitSet numbers = new BitSet();
    for (String value : values) {
      Set<String> met =
          property.shape() == Property.Shape.TREE
              ? circumstances.tree(property).below(value)
              : Set.of(value);
      for (String each : met) {
        int number = columns.table(property).find(each);
        if (number >= 0) {
          numbers.set(number);
        }
      }
    }
    return numbers;
  }
}
