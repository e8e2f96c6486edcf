package org.quietlantern.core.review;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Who looks at which work, where a group shares its arrivals out (rules V4, V5): whoever has had
 * the least for their weight comes next, and nobody gets what they wrote.
 */
public final class Dealing {

  /**
   * Somebody who is here to look at works.
   *
   * @param weight how much they take beside the others; above zero
   * @param had works dealt to them before
   */
  public record Reader(int member, double weight, long had) {
    public Reader {
      if (!(weight > 0)) {
        throw new IllegalArgumentException("a weight is above zero");
      }
    }
  }

  /**
   * A work to be dealt.
   *
   * @param wrote members who wrote it
   * @param has members who look at it already
   */
  public record Work(int arrival, Set<Integer> wrote, Set<Integer> has) {
    public Work {
      wrote = Set.copyOf(wrote);
      has = Set.copyOf(has);
    }
  }

  private Dealing() {}

  /**
   * Members by arrival, in its order; as many as are asked for with those who have it, or all that
   * there are.
   *
   * @param asked readers of each work
   */
  public static Map<Integer, List<Integer>> deal(
      List<Work> works, List<Reader> readers, int asked) {
    Map<Integer, Long> had =
        readers.stream().collect(Collectors.toMap(Reader::member, Reader::had, Long::sum));
    Map<Integer, List<Integer>> dealt = new LinkedHashMap<>();
    for (Work work : works) {
      List<Integer> its =
          readers.stream()
              .filter(one -> !work.wrote().contains(one.member()))
              .filter(one -> !work.has().contains(one.member()))
              .sorted(
                  Comparator.<Reader>comparingDouble(
                          one -> (had.get(one.member()) + 1) / one.weight())
                      .thenComparing(Reader::member))
              .limit(Math.max(0, asked - work.has().size()))
              .map(Reader::member)
              .toList();
      its.forEach(member -> had.merge(member, 1L, Long::sum));
      dealt.put(work.arrival(), its);
    }
    return dealt;
  }

  /**
   * Those who come to share begin where the one stands who has had the least for their weight: what
   * was dealt before they came is not theirs to make up for.
   *
   * @param weight of the one who comes
   */
  public static long beginsWith(List<Reader> readers, double weight) {
    return readers.stream().mapToDouble(one -> one.had() / one.weight()).min().stream()
        .mapToLong(least -> (long) Math.floor(least * weight))
        .findFirst()
        .orElse(0);
  }
}
