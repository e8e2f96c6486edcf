package org.quietlantern.core.citation.csl;

import java.util.HashMap;
import java.util.Map;

/** What disambiguation came to for a work (specification, <i>Disambiguation</i>). */
final class Settled {
  /** How many names are shown beyond what the style says. */
  int names;

  /** How far given names are shown: 1 initials, 2 whole. */
  final Map<ItemName, Integer> given = new HashMap<>();

  /** How many of the conditions {@code disambiguate} hold, in the order in which they are met. */
  int conditions;

  String yearSuffix = "";

  Settled copy() {
    Settled copy = new Settled();
    copy.names = names;
    copy.given.putAll(given);
    copy.conditions = conditions;
    copy.yearSuffix = yearSuffix;
    return copy;
  }
}
