package org.quietlantern.core.search;

import java.io.IOException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import org.apache.lucene.index.LeafReaderContext;
import org.quietlantern.core.holdings.Access;
import org.quietlantern.core.holdings.Ways;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.query.Property;

/** The values of every property under the circumstances of one group on one day. */
final class PropertyColumns {
  static final String REVIEWED = "peer reviewed";
  static final String NOT_REVIEWED = "not peer reviewed";

  private final Columns columns;
  private final SearchContext circumstances;

  PropertyColumns(Columns columns, SearchContext circumstances) {
    this.columns = columns;
    this.circumstances = circumstances;
  }

  ValueTable table(Property property) {
    return columns.table(property);
  }

  /** Values of a property that is not a range. */
  Column of(LeafReaderContext leaf, Property property) throws IOException {
    return switch (property) {
      case ACCESS -> columns.made(leaf, "access " + circumstances.name(), reader -> access(leaf));
      case PEER_REVIEWED ->
          columns.made(leaf, "peer " + circumstances.edition(), reader -> peerReviewed(leaf));
      default -> columns.supplied(leaf, property);
    };
  }

  /** A number of each document, {@link Columns#NOTHING} where it is not known. */
  int[] numbers(LeafReaderContext leaf, String field) throws IOException {
    return columns.numbers(leaf, field);
  }

  /**
   * For each document the bar that its number falls into; {@link Columns#NOTHING} where it is not
   * known.
   */
  int[] bars(LeafReaderContext leaf, String name, String field, IntUnaryOperator bar)
      throws IOException {
    int[] numbers = columns.numbers(leaf, field);
    return columns
        .made(
            leaf,
            name,
            reader ->
                new Column(
                    null,
                    Arrays.stream(numbers)
                        .map(n -> n == Columns.NOTHING ? n : bar.applyAsInt(n))
                        .toArray()))
        .values();
  }

  private Column access(LeafReaderContext leaf) throws IOException {
    Docs docs = new Docs(leaf);
    Ways ways = circumstances.ways();
    int[] values = new int[leaf.reader().maxDoc()];
    for (int doc = 0; doc < values.length; doc++) {
      Access access = ways.access(docs.asked(doc));
      values[doc] = table(Property.ACCESS).number(access.word());
    }
    return new Column(null, values);
  }

  private Column peerReviewed(LeafReaderContext leaf) throws IOException {
    Docs docs = new Docs(leaf);
    int[] values = new int[leaf.reader().maxDoc()];
    for (int doc = 0; doc < values.length; doc++) {
      Ways.Asked asked = docs.asked(doc);
      Optional<Boolean> reviewed =
          asked.first().flatMap(day -> circumstances.journals().peerReviewed(asked.number(), day));
      values[doc] =
          reviewed
              .map(is -> table(Property.PEER_REVIEWED).number(is ? REVIEWED : NOT_REVIEWED))
              .orElse(-1);
    }
    return new Column(null, values);
  }

  /** What access and review depend on, document by document. */
  private final class Docs {
    private final Column kinds;
    private final Column abstracts;
    private final Column heldBy;
    private final int[] open;
    private final int[] first;
    private final int[] last;
    private final int yes = table(Property.ABSTRACT).number(Documents.YES);
    private final Map<Integer, Kind> byNumber = new HashMap<>();

    Docs(LeafReaderContext leaf) throws IOException {
      kinds = columns.supplied(leaf, Property.KIND);
      abstracts = columns.supplied(leaf, Property.ABSTRACT);
      heldBy = columns.heldBy(leaf);
      open = numbers(leaf, IndexFields.OPEN);
      first = numbers(leaf, IndexFields.PUBLISHED);
      last = numbers(leaf, IndexFields.PUBLISHED_LAST);
    }

    Ways.Asked asked(int doc) {
      return new Ways.Asked(
          open[doc] == 1,
          columns.number(heldBy.one(doc)),
          day(first[doc]),
          day(last[doc]),
          byNumber.computeIfAbsent(kinds.one(doc), this::kind),
          abstracts.one(doc) == yes);
    }

    private Kind kind(int number) {
      return Kind.named(table(Property.KIND).value(number)).orElseThrow();
    }

    private static Optional<LocalDate> day(int epochDay) {
      return epochDay == Columns.NOTHING
          ? Optional.empty()
          : Optional.of(LocalDate.ofEpochDay(epochDay));
    }
  }
}
