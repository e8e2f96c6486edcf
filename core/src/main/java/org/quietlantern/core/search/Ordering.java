package org.quietlantern.core.search;

import java.util.Optional;

/** An order and its direction. */
public record Ordering(Order order, boolean reverse) {
  private static final String REVERSED = "-";

  /** The usual one. */
  public static final Ordering RELEVANCE = new Ordering(Order.RELEVANCE, false);

  /** As it stands in addresses: {@code published}, or {@code -published} the other way round. */
  public String word() {
    return (reverse ? REVERSED : "") + order.word();
  }

  public static Optional<Ordering> named(String word) {
    boolean reverse = word.startsWith(REVERSED);
    return Order.named(reverse ? word.substring(1) : word).map(o -> new Ordering(o, reverse));
  }
}
