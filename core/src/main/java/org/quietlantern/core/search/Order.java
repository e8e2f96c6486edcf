package org.quietlantern.core.search;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.SortField;

/** Orders of a list. Ties: order of coming here, then row number. */
public enum Order {
  RELEVANCE,
  /** Newest first; what has no date last. */
  PUBLISHED,
  /** Newest here first. */
  HERE,
  TITLE;

  Sort sort() {
    return new Sort(
        first(),
        new SortField(IndexFields.CAME, SortField.Type.LONG),
        new SortField(IndexFields.ID, SortField.Type.INT));
  }

  private SortField first() {
    return switch (this) {
      case RELEVANCE -> SortField.FIELD_SCORE;
      case PUBLISHED -> newest(IndexFields.PUBLISHED);
      case HERE -> newest(IndexFields.CAME);
      case TITLE -> new SortField(IndexFields.TITLE_ORDER, SortField.Type.STRING);
    };
  }

  private static SortField newest(String field) {
    SortField sort = new SortField(field, SortField.Type.LONG, true);
    sort.setMissingValue(Long.MIN_VALUE);
    return sort;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Order> named(String word) {
    return Arrays.stream(values()).filter(order -> order.word().equals(word)).findFirst();
  }
}
