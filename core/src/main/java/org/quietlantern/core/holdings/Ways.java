package org.quietlantern.core.holdings;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.publication.Kind;

/** Decides how a group comes to publications on a day (rule L7). */
public final class Ways {
  private final Holdings holdings;
  private final Set<Kind> lent;
  private final LocalDate today;

  /**
   * What matters of a publication.
   *
   * @param first the first day on which it can have appeared; empty if unknown
   * @param last the last such day
   */
  public record Asked(
      boolean open,
      String issn,
      Optional<LocalDate> first,
      Optional<LocalDate> last,
      Kind kind,
      boolean hasAbstract) {}

  /** {@code lent}: what the group's lending library takes requests for. */
  public Ways(Holdings holdings, Set<Kind> lent, LocalDate today) {
    this.holdings = holdings;
    this.lent = Set.copyOf(lent);
    this.today = today;
  }

  /** Only the word, quickly. */
  public Access access(Asked asked) {
    if (asked.open()) {
      return Access.OPEN;
    }
    Optional<Coverage> coverage = coverage(asked);
    if (coverage.isPresent()) {
      return coverage.get().free() ? Access.OPEN : Access.HELD;
    }
    if (lent.contains(asked.kind())) {
      return Access.REQUEST;
    }
    return asked.hasAbstract() ? Access.ABSTRACT : Access.NONE;
  }

  /** Whether the lending library takes requests for works of a kind. */
  public boolean isLent(Kind kind) {
    return lent.contains(kind);
  }

  /** With its ground. */
  public Way way(Asked asked) {
    Access access = access(asked);
    Optional<Coverage> coverage = asked.open() ? Optional.empty() : coverage(asked);
    Optional<LocalDate> until =
        coverage.flatMap(c -> asked.first().flatMap(c::ends)).map(day -> day.minusDays(1));
    String ground =
        switch (access) {
          case OPEN -> asked.open() ? "a source knows an open copy" : "free at its publisher";
          case HELD -> "your group's holdings cover it";
          case REQUEST -> opening(asked) + "your lending library takes requests for it";
          case ABSTRACT -> opening(asked) + "only its abstract is known";
          case NONE -> opening(asked) + "no copy and no holdings are known";
        };
    return new Way(access, ground, until);
  }

  private String opening(Asked asked) {
    return asked.last().stream()
        .flatMap(
            last -> holdings.of(asked.issn()).stream().flatMap(c -> c.opens(last, today).stream()))
        .min(LocalDate::compareTo)
        .map(day -> "yours to read from " + day + "; until then ")
        .orElse("");
  }

  /** What covers it; a free one before the others. */
  private Optional<Coverage> coverage(Asked asked) {
    if (asked.issn().isEmpty() || asked.first().isEmpty()) {
      return Optional.empty();
    }
    List<Coverage> all = holdings.of(asked.issn());
    Coverage found = null;
    for (Coverage coverage : all) {
      if (coverage.covers(asked.first().get(), asked.last().orElseThrow(), today)
          && (found == null || coverage.free())) {
        found = coverage;
      }
    }
    return Optional.ofNullable(found);
  }
}
