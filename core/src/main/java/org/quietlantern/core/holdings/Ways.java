package org.quietlantern.core.holdings;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.quietlantern.core.publication.Kind;

/** Decides how a group comes to publications on a day (rule L7). */
public final class Ways {
  private final Holdings holdings;
  private final List<Lender> lenders;
  private final LocalDate today;

  /**
   * What matters of a publication.
   *
   * @param number under which holdings name it ({@link Holdings.Title#numberOf}); empty: none
   * @param first the first day on which it can have appeared; empty if unknown
   * @param last the last such day
   */
  public record Asked(
      boolean open,
      String number,
      Optional<LocalDate> first,
      Optional<LocalDate> last,
      Kind kind,
      boolean hasAbstract) {}

  /** {@code lenders}: who lends to the group, in the order in which they are asked. */
  public Ways(Holdings holdings, List<Lender> lenders, LocalDate today) {
    this.holdings = holdings;
    this.lenders = List.copyOf(lenders);
    this.today = today;
  }

  /** Only the word, quickly. */
  public Access access(Asked asked) {
    if (asked.open()) {
      return Access.OPEN;
    }
    Optional<Holdings.Title> held = holdings.covering(asked, today);
    if (held.isPresent()) {
      return held.get().coverage().free() ? Access.OPEN : Access.HELD;
    }
    if (lender(asked).isPresent()) {
      return Access.REQUEST;
    }
    return asked.hasAbstract() ? Access.ABSTRACT : Access.NONE;
  }

  /** The library that is asked for a copy. */
  public Optional<Lender> lender(Asked asked) {
    return Lender.of(asked, lenders);
  }

  /** With its ground. */
  public Way way(Asked asked) {
    Access access = access(asked);
    Optional<Holdings.Title> held =
        asked.open() ? Optional.empty() : holdings.covering(asked, today);
    Optional<LocalDate> until =
        held.map(Holdings.Title::coverage)
            .flatMap(coverage -> asked.first().flatMap(coverage::ends))
            .map(day -> day.minusDays(1));
    String ground =
        switch (access) {
          case OPEN -> asked.open() ? "a source knows an open copy" : "free at its publisher";
          case HELD -> "your group's holdings cover it" + atOnce(held.orElseThrow());
          case REQUEST ->
              opening(asked) + lender(asked).orElseThrow().spoken() + " takes requests for it";
          case ABSTRACT -> opening(asked) + "only its abstract is known";
          case NONE -> opening(asked) + "no copy and no holdings are known";
        };
    return new Way(access, ground, until);
  }

  private String opening(Asked asked) {
    return asked.last().stream()
        .flatMap(
            last ->
                holdings.of(asked.number()).stream()
                    .flatMap(title -> title.coverage().opens(last, today).stream()))
        .min(LocalDate::compareTo)
        .map(day -> "yours to read from " + day + "; until then ")
        .orElse("");
  }

  private static String atOnce(Holdings.Title title) {
    return title.readers().isEmpty()
        ? ""
        : title.readers().getAsInt() == 1
            ? ", one reader at a time"
            : ", " + title.readers().getAsInt() + " readers at a time";
  }
}
