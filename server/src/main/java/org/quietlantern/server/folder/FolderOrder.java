package org.quietlantern.server.folder;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.quietlantern.core.search.Order;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.folder.FolderMapper.Item;
import org.quietlantern.server.platform.Nullable;

/**
 * An order of what is in a folder: one of its own, or one of the catalogue's.
 *
 * @param indexed one that the index knows; absent for one of the folder's
 */
record FolderOrder(Own own, @Nullable Ordering indexed, boolean reverse) {
  static final FolderOrder USUAL = new FolderOrder(Own.KEPT, null, false);
  static final FolderOrder BY_HAND = new FolderOrder(Own.HAND, null, false);

  /** What a folder knows of its items. */
  enum Own {
    /** What was kept last comes first. */
    KEPT,
    /** As members put them; what nobody has put anywhere comes first. */
    HAND,
    /** By who kept it first. */
    WHO;

    private Comparator<Item> order() {
      Comparator<Item> newest = Comparator.comparing(Item::at).thenComparing(Item::id).reversed();
      return switch (this) {
        case KEPT -> newest;
        case HAND ->
            Comparator.comparing(Item::place, Comparator.nullsFirst(Comparator.naturalOrder()))
                .thenComparing(newest);
        case WHO ->
            Comparator.comparing((Item item) -> item.keeper().toLowerCase(Locale.ROOT))
                .thenComparing(newest);
      };
    }
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

  /** By what the folder knows; for an order of the index, what was kept last comes first. */
  List<Item> sorted(List<Item> items) {
    List<Item> sorted = new ArrayList<>(items);
    sorted.sort(own.order());
    if (indexed == null && reverse) {
      Collections.reverse(sorted);
    }
    return sorted;
  }
}
