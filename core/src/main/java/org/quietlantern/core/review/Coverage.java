package org.quietlantern.core.review;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * How far a group is with a round.
 *
 * @param arrivals how many there are to review
 * @param reviewed lit lamps by member
 * @param covered arrivals with at least the asked number of lit lamps
 * @param nobody arrivals on which no lamp is lit
 */
public record Coverage(int arrivals, Map<Integer, Integer> reviewed, int covered, int nobody) {
  public Coverage {
    reviewed = Map.copyOf(reviewed);
  }

  /**
   * @param lamps for each arrival the lamps by member
   * @param members those who owe the round
   * @param asked how many lit lamps cover an arrival; never more than there are members
   */
  public static Coverage of(
      Collection<Map<Integer, Lamp>> lamps, List<Integer> members, int asked) {
    int needed = Math.min(asked, members.size());
    Map<Integer, Integer> reviewed =
        members.stream()
            .collect(
                Collectors.toMap(
                    m -> m, m -> (int) lamps.stream().filter(a -> isLit(a, m)).count()));
    List<Long> lit = lamps.stream().map(Coverage::lit).toList();
    return new Coverage(
        lamps.size(),
        reviewed,
        (int) lit.stream().filter(n -> n >= needed).count(),
        (int) lit.stream().filter(n -> n == 0).count());
  }

  private static long lit(Map<Integer, Lamp> arrival) {
    return arrival.values().stream().filter(lamp -> lamp == Lamp.LIT).count();
  }

  private static boolean isLit(Map<Integer, Lamp> arrival, int member) {
    return arrival.getOrDefault(member, Lamp.UNLIT) == Lamp.LIT;
  }
}
