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
 * @param covered arrivals with at least the asked number of lit lamps
 * @param nobody arrivals on which no lamp is lit
 * @param waitingSince when the oldest of them came that is not covered
 */
public record Coverage(
    int arrivals,
    Map<Integer, Share> shares,
    int covered,
    int nobody,
    Optional<Instant> waitingSince) {
  public Coverage {
    shares = Map.copyOf(shares);
  }

  /** Something to review: when it came to the group, and its lamps by member. */
  public record Arrived(Instant came, Map<Integer, Lamp> lamps) {}

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
   * @param asked how many lit lamps cover an arrival; never more than there are members
   */
  public static Coverage of(Collection<Arrived> arrivals, Map<Integer, Duty> duties, int asked) {
    int needed = needed(asked, duties.size());
    List<Arrived> waiting = arrivals.stream().filter(one -> lit(one.lamps()) < needed).toList();
    return new Coverage(
        arrivals.size(),
        duties.entrySet().stream()
            .collect(
                Collectors.toMap(
                    Map.Entry::getKey, one -> share(arrivals, one.getKey(), one.getValue()))),
        arrivals.size() - waiting.size(),
        (int) arrivals.stream().filter(one -> lit(one.lamps()) == 0).count(),
        waiting.stream().map(Arrived::came).min(Comparator.naturalOrder()));
  }

  /** How many lit lamps cover an arrival: as many as are asked for, or all that there are. */
  public static int needed(int asked, int members) {
    return Math.min(asked, members);
  }

  private static Share share(Collection<Arrived> arrivals, int member, Duty duty) {
    int reviewed = 0;
    int spared = 0;
    int rested = 0;
    for (Arrived one : arrivals) {
      Lamp lamp = one.lamps().getOrDefault(member, Lamp.UNLIT);
      reviewed += lamp == Lamp.LIT ? 1 : 0;
      spared += lamp != Lamp.LIT && !duty.owes(one.came(), lamp) ? 1 : 0;
      rested += duty.rests(one.came(), lamp) ? 1 : 0;
    }
    return new Share(reviewed, spared, rested);
  }

  /** How many lamps are lit. */
  private static long lit(Map<Integer, Lamp> lamps) {
    return lamps.values().stream().filter(lamp -> lamp == Lamp.LIT).count();
  }
}
