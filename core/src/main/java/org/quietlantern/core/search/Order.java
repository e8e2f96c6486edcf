package org.quietlantern.core.search;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.SortField;

/** Orders of a list (rule O1). Ties: order of coming here, then row number. */
public enum Order {
  RELEVANCE,
  /** Newest first; what has no date last. */
  PUBLISHED,
  /** Newest here first. */
  HERE,
  /** Most cited first. */
  CITED,
  TITLE,
  /** A fixed random order: the first n of it are a sample of n that can be drawn again. */
  SAMPLE;

  /** {@code reverse}: the other way round; what has no date stays last, ties stay as they are. */
  Sort sort(boolean reverse, IndexState state) {
    return new Sort(
        first(reverse, state),
        new SortField(IndexFields.CAME, SortField.Type.LONG),
        new SortField(IndexFields.ID, SortField.Type.INT));
  }

  private SortField first(boolean reverse, IndexState state) {
    return switch (this) {
      case RELEVANCE -> throw new IllegalStateException("worked out by " + Relevance.class);
      case PUBLISHED -> newest(IndexFields.PUBLISHED, reverse);
      case HERE -> newest(IndexFields.CAME, reverse);
      case CITED -> new SortField(IndexFields.CITES, new CitedOrder(state.citedBy()), !reverse);
      case SAMPLE -> new SortField(IndexFields.SAMPLE, SortField.Type.LONG, reverse);
      case TITLE -> new SortField(IndexFields.TITLE_ORDER, SortField.Type.STRING, reverse);
    };
  }

  private static SortField newest(String field, boolean reverse) {
    SortField sort = new SortField(field, SortField.Type.LONG, !reverse);
    sort.setMissingValue(reverse ? Long.MAX_VALUE : Long.MIN_VALUE);
    return sort;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Order> named(String word) {
    return Arrays.stream(values()).filter(order -> order.word().equals(word)).findFirst();
  }
}
