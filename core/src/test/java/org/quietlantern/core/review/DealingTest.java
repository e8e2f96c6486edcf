package org.quietlantern.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.review.Dealing.Reader;
import org.quietlantern.core.review.Dealing.Work;

@DisplayName("V4, V5: arrivals that are shared out")
class DealingTest {
  private static List<Reader> readers(double... weights) {
    return IntStream.range(0, weights.length)
        .mapToObj(n -> new Reader(n + 1, weights[n], 0))
        .toList();
  }

  private static List<Work> works(int many) {
    return IntStream.range(0, many).mapToObj(n -> new Work(n, Set.of(), Set.of())).toList();
  }

  /** The same readers with what was dealt to them now. */
  private static List<Reader> after(List<Reader> readers, Map<Integer, List<Integer>> dealt) {
    Map<Integer, Long> more = new HashMap<>();
    dealt.values().forEach(its -> its.forEach(member -> more.merge(member, 1L, Long::sum)));
    return readers.stream()
        .map(
            one ->
                new Reader(
                    one.member(), one.weight(), one.had() + more.getOrDefault(one.member(), 0L)))
        .toList();
  }

  @DisplayName("In turn; by weight: who takes three times as much gets three of four")
  @Test
  void inTurn() {
    assertThat(Dealing.deal(works(4), readers(1, 1, 1), 1).values())
        .containsExactly(List.of(1), List.of(2), List.of(3), List.of(1));
    List<Reader> after = after(readers(3, 1), Dealing.deal(works(400), readers(3, 1), 1));
    assertThat(after.get(0).had()).isCloseTo(300, within(1L));
    assertThat(after.get(1).had()).isCloseTo(100, within(1L));
  }

  @DisplayName("More readers asked for than there are; nobody there; who has it counts")
  @Test
  void edges() {
    assertThat(Dealing.deal(works(1), readers(1, 1), 5).get(0)).containsExactlyInAnyOrder(1, 2);
    assertThat(Dealing.deal(works(1), List.of(), 2).get(0)).isEmpty();
    assertThat(Dealing.deal(List.of(), readers(1), 1)).isEmpty();
    Work begun = new Work(7, Set.of(3), Set.of(1));
    assertThat(Dealing.deal(List.of(begun), readers(1, 1, 1), 2)).containsEntry(7, List.of(2));
    Work done = new Work(8, Set.of(), Set.of(1, 2));
    assertThat(Dealing.deal(List.of(done), readers(1, 1, 1), 2)).containsEntry(8, List.of());
    assertThat(Dealing.beginsWith(List.of(), 1)).isZero();
    assertThat(Dealing.beginsWith(List.of(new Reader(1, 1, 40), new Reader(2, 2, 60)), 0.5))
        .isEqualTo(15);
  }

  @DisplayName("Random groups, authors, absences: never one's own, as many as can be, and fair")
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void fair(long seed) {
    Random random = new Random(seed);
    List<Reader> all = new ArrayList<>();
    int many = 2 + random.nextInt(8);
    for (int n = 1; n <= many; n++) {
      all.add(new Reader(n, 1 + random.nextInt(3), 0));
    }
    int arrival = 0;
    for (int day = 0; day < 60; day++) {
      int asked = 1 + random.nextInt(3);
      List<Work> works = new ArrayList<>();
      for (int n = random.nextInt(8); n > 0; n--) {
        Set<Integer> wrote = new HashSet<>();
        if (random.nextInt(10) == 0) {
          wrote.add(1 + random.nextInt(many));
        }
        works.add(new Work(arrival++, wrote, Set.of()));
      }
      Map<Integer, List<Integer>> dealt = Dealing.deal(works, all, asked);
      for (Work work : works) {
        List<Integer> its = dealt.get(work.arrival());
        assertThat(its).doesNotHaveDuplicates().noneMatch(work.wrote()::contains);
        assertThat(its).hasSize(Math.min(asked, many - work.wrote().size()));
      }
      all = new ArrayList<>(after(all, dealt));
      // Where all are asked each time, weights cannot hold.
      if (many > 6) {
        assertThat(unevenness(all)).as("day %d", day).isLessThanOrEqualTo(3);
      }
    }
  }

  /** The most that two readers differ by for a weight of one. */
  private static double unevenness(List<Reader> readers) {
    DoubleSummaryStatistics each =
        readers.stream().mapToDouble(one -> one.had() / one.weight()).summaryStatistics();
    return each.getMax() - each.getMin();
  }

  @DisplayName("Who comes back from an absence is not given all that they missed")
  @Test
  void absence() {
    List<Reader> two = List.of(new Reader(1, 1, 100), new Reader(2, 1, 100));
    long begins = Dealing.beginsWith(two, 1);
    List<Reader> three = new ArrayList<>(two);
    three.add(new Reader(3, 1, begins));
    List<Reader> after = after(three, Dealing.deal(works(30), three, 1));
    assertThat(after.get(2).had() - begins).isEqualTo(10);
  }
}
