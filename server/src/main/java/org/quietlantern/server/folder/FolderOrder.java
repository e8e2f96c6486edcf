package org.quietlantern.server.folder;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.quietlantern.core.search.Order;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.platform.Nullable;

/**
 * An order of what is in a folder: one of its own, or one of the catalogue's.
 *
 * @param indexed one that the index knows; absent for one of the folder's
 */
record FolderOrder(Own own, @Nullable Ordering indexed, boolean reverse) {
  static final FolderOrder USUAL = new FolderOrder(Own.KEPT, null, false);

  /** What a folder knows of its items. */
  enum Own {
    /** What was kept last comes first. */
    KEPT,
    /** As members put them; what nobody has put anywhere comes first. */
    HAND,
    /** By who kept it first. */
    WHO
  }

  /** {@code kept}, {@code hand}, {@code who}, or a word of the catalogue; {@code -} reverses. */
  static Optional<FolderOrder> named(String word) {
    boolean reverse = word.startsWith("-");
    String name = reverse ? word.substring(1) : word;
    return Arrays.stream(Own.values())
        .filter(own -> own.name().toLowerCase(Locale.ROOT).equals(name))
        .findFirst()
        .map(own -> new FolderOrder(own, null, reverse))
        .or(
            () ->
                Ordering.named(word)
                    .filter(ordering -> ordering.order() != Order.RELEVANCE)
                    .map(ordering -> new FolderOrder(Own.KEPT, ordering, reverse)));
  }
}
