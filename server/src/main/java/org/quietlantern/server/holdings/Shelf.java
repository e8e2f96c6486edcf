package org.quietlantern.server.holdings;

import java.util.Arrays;
import java.util.Locale;
import org.quietlantern.server.platform.Refusal;

/** Whose holdings a file tells. */
public enum Shelf {
  /** What the group may read. */
  GROUP,
  /** What stands in print at the group's library. */
  PRINTED,
  /** What a member may read by rights of their own; nobody else sees it. */
  OWN;

  String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** In an address. */
  static Shelf named(String word) {
    return Arrays.stream(values())
        .filter(shelf -> shelf.word().equals(word))
        .findFirst()
        .orElseThrow(Refusal::unknown);
  }
}
