package org.quietlantern.core.review;

import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * How far a group is with a round.
 *
 * @param arrivals how many there are to review
 * @param shares of the members
 * @param covered arrivals with at least what is asked ({@link Asked})
 * @param nobody arrivals on which no lamp is lit
 * @param waitingSince when the oldest of them came that is not covered
 */
public record Coverage(
    int arrivals,
    Map<Integer, Share> shares,
    int covered,
    int nobody,
    Optional<Instant> waitingSince) {
  /** One lit lamp. */
  public static final Asked SEEN_BY_SOMEBODY = new Asked(1, Covers.MARK);

  public Coverage {
    shares = Map.copyOf(shares);
  }

  /** Something to review: when it came to the group, and what is said of it, by member. */
  public record Arrived(Instant came, Map<Integer, Mark> said) {}

  /**
   * What covers an arrival (rule V4).
   *
   * @param many how many marks; never more than there are members
   * @param by which marks count
   */
  public record Asked(int many, Covers by) {
    /** How many it takes with so many members. */
    public int of(int members) {
      return Math.min(many, members);
    }

    /** How many of the marks on an arrival count. */
    public int counted(Collection<Mark> said) {
      return by.count(said);
    }
  }

  /**
   * How far a member is.
   *
   * @param reviewed lit lamps
   * @param spared unlit ones of what is not theirs ({@link Duty}): nobody owes that (rule V5)
   * @param rested those of the spared that came since they joined: while they were away, or left
   *     alone by choice (rule V2)
   */
  public record Share(int reviewed, int spared, int rested) {}

  /**
   * @param duties of those who owe the round, by member
   */
  public static Coverage of(Collection<Arrived> arrivals, Map<Integer, Duty> duties, Asked asked) {
    int needed = asked.of(duties.size());
    List<Arrived> waiting =
        arrivals.stream().filter(one -> asked.counted(one.said().values()) < needed).toList();
    return new Coverage(
        arrivals.size(),
        duties.entrySet().stream()
            .collect(
                Collectors.toMap(
                    Map.Entry::getKey, one -> share(arrivals, one.getKey(), one.getValue()))),
        arrivals.size() - waiting.size(),
        (int)
            arrivals.stream()
                .filter(one -> SEEN_BY_SOMEBODY.counted(one.said().values()) == 0)
                .count(),
        waiting.stream().map(Arrived::came).min(Comparator.naturalOrder()));
  }

  private static Share share(Collection<Arrived> arrivals, int member, Duty duty) {
    int reviewed = 0;
    int spared = 0;
    int rested = 0;
    for (Arrived one : arrivals) {
      Lamp lamp = Lamp.of(Optional.ofNullable(one.said().get(member)));
      reviewed += lamp == Lamp.LIT ? 1 : 0;
      spared += lamp != Lamp.LIT && !duty.owes(one.came(), lamp) ? 1 : 0;
      rested += duty.rests(one.came(), lamp) ? 1 : 0;
    }
    return new Share(reviewed, spared, rested);
  }
}
