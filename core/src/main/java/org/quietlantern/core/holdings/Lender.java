package org.quietlantern.core.holdings;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.publication.Kind;

/**
 * A library that lends to a group, and what it takes requests for.
 *
 * @param name as people call it; empty where nobody said
 * @param since the first year of publication; empty: any
 * @param until the last year; empty: any
 */
public record Lender(
    String name, Set<Kind> kinds, Optional<Integer> since, Optional<Integer> until) {
  public Lender {
    kinds = Set.copyOf(kinds);
    if (since.isPresent() && until.isPresent() && since.get() > until.get()) {
      throw new IllegalArgumentException(
          "lends since %d until %d".formatted(since.get(), until.get()));
    }
  }

  /** The first that takes requests for a work, as the group has put them in order. */
  public static Optional<Lender> of(Ways.Asked asked, List<Lender> lenders) {
    return lenders.stream().filter(lender -> lender.takes(asked)).findFirst();
  }

  /** Where it depends on the year, a work without one is not taken. */
  boolean takes(Ways.Asked asked) {
    return kinds.contains(asked.kind())
        && since
            .map(year -> asked.first().map(LocalDate::getYear).orElse(year - 1) >= year)
            .orElse(true)
        && until
            .map(year -> asked.last().map(LocalDate::getYear).orElse(year + 1) <= year)
            .orElse(true);
  }

  /** As people call it. */
  public String spoken() {
    return name.isEmpty() ? "your lending library" : name;
  }
}
