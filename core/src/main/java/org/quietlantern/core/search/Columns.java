package org.quietlantern.core.search;

import java.io.IOException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import org.apache.lucene.index.LeafReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.NumericDocValues;
import org.apache.lucene.index.SortedSetDocValues;
import org.apache.lucene.util.IntsRef;
import org.apache.lucene.util.IntsRefBuilder;
import org.quietlantern.core.query.Property;

/**
 * The columns of all segments, on the heap, each read when it is first asked for. A segment's
 * columns live as long as the segment: a new state of the index reads only what is new in it.
 */
final class Columns {
  /** Where a number is not known. */
  static final int NOTHING = Integer.MIN_VALUE;

  private final Map<Property, ValueTable> tables = new EnumMap<>(Property.class);
  private final ValueTable heldBy = new ValueTable();
  private final SegmentCache<Object> cache = new SegmentCache<>();

  Columns() {
    for (Property property : Property.values()) {
      tables.put(property, new ValueTable());
    }
  }

  ValueTable table(Property property) {
    return tables.get(property);
  }

  /** Values as the documents hold them. */
  Column supplied(LeafReaderContext leaf, Property property) throws IOException {
    String field = IndexFields.values(property);
    return (Column) cache.get(leaf, field, reader -> read(reader, field, table(property)));
  }

  /** ISSN or ISBN that it is held by; {@link #number} tells which one a value means. */
  Column heldBy(LeafReaderContext leaf) throws IOException {
    return (Column)
        cache.get(leaf, IndexFields.HELD_BY, reader -> read(reader, IndexFields.HELD_BY, heldBy));
  }

  String number(int value) {
    return value < 0 ? "" : heldBy.value(value);
  }

  /** Numbers as the documents hold them; {@link #NOTHING} where there is none. */
  int[] numbers(LeafReaderContext leaf, String field) throws IOException {
    return (int[]) cache.get(leaf, field, reader -> numbers(reader, field));
  }

  /** A column that is worked out; {@code name} says from what, too. */
  Column made(LeafReaderContext leaf, String name, SegmentCache.Making<Column> making)
      throws IOException {
    return (Column) cache.get(leaf, name, making);
  }

  private static int[] numbers(LeafReader reader, String field) throws IOException {
    int[] numbers = new int[reader.maxDoc()];
    Arrays.fill(numbers, NOTHING);
    NumericDocValues values = reader.getNumericDocValues(field);
    while (values != null && values.nextDoc() != NumericDocValues.NO_MORE_DOCS) {
      numbers[values.docID()] = (int) values.longValue();
    }
    return numbers;
  }

  private static Column read(LeafReader reader, String field, ValueTable table) throws IOException {
    SortedSetDocValues values = reader.getSortedSetDocValues(field);
    int[] starts = new int[reader.maxDoc() + 1];
    if (values == null) {
      return new Column(starts, new int[0]);
    }
    int[] numberOf = new int[(int) values.getValueCount()];
    for (int ord = 0; ord < numberOf.length; ord++) {
      numberOf[ord] = table.number(values.lookupOrd(ord).utf8ToString());
    }
    IntsRefBuilder all = new IntsRefBuilder();
    boolean single = true;
    for (int doc = 0; doc < reader.maxDoc(); doc++) {
      starts[doc] = all.length();
      if (values.advanceExact(doc)) {
        int count = values.docValueCount();
        single &= count == 1;
        for (int i = 0; i < count; i++) {
          all.append(numberOf[(int) values.nextOrd()]);
        }
      }
    }
    starts[reader.maxDoc()] = all.length();
    IntsRef ints = all.get();
    int[] flat = Arrays.copyOf(ints.ints, ints.length);
    return single ? single(starts, flat) : new Column(starts, flat);
  }

  private static Column single(int[] starts, int[] flat) {
    int[] values = new int[starts.length - 1];
    for (int doc = 0; doc < values.length; doc++) {
      values[doc] = starts[doc] == starts[doc + 1] ? -1 : flat[starts[doc]];
    }
    return new Column(null, values);
  }
}
