package org.quietlantern.core.review;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * How far a group is with a round.
 *
 * @param arrivals how many there are to review
 * @param shares of the members
 * @param covered arrivals with at least the asked number of lit lamps
 * @param nobody arrivals on which no lamp is lit
 */
public record Coverage(int arrivals, Map<Integer, Share> shares, int covered, int nobody) {
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
   */
  public record Share(int reviewed, int spared) {}

  /**
   * @param duties of those who owe the round, by member
   * @param asked how many lit lamps cover an arrival; never more than there are members
   */
  public static Coverage of(Collection<Arrived> arrivals, Map<Integer, Duty> duties, int asked) {
    int needed = Math.min(asked, duties.size());
    List<Long> lit = arrivals.stream().map(Coverage::lit).toList();
    return new Coverage(
        arrivals.size(),
        duties.entrySet().stream()
            .collect(
                Collectors.toMap(
                    Map.Entry::getKey, one -> share(arrivals, one.getKey(), one.getValue()))),
        (int) lit.stream().filter(n -> n >= needed).count(),
        (int) lit.stream().filter(n -> n == 0).count());
  }

  private static Share share(Collection<Arrived> arrivals, int member, Duty duty) {
    int reviewed = (int) arrivals.stream().filter(one -> isLit(one, member)).count();
    int spared =
        (int)
            arrivals.stream().filter(one -> !duty.holds(one.came()) && !isLit(one, member)).count();
    return new Share(reviewed, spared);
  }

  private static long lit(Arrived arrival) {
    return arrival.lamps().values().stream().filter(lamp -> lamp == Lamp.LIT).count();
  }

  private static boolean isLit(Arrived arrival, int member) {
    return arrival.lamps().getOrDefault(member, Lamp.UNLIT) == Lamp.LIT;
  }
}
