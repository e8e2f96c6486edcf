package org.quietlantern.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.standins.corpus.ManyWorks;
import org.quietlantern.standins.corpus.Work;

/** The catalogue for measuring: its vocabulary is like that of a real one. */
class ManyWorksTest {
  private static final int MANY = 20_000;

  private static List<String> words(Work work) {
    return Arrays.asList(
        (work.title() + " " + work.abstractText()).toLowerCase(Locale.ROOT).split("[^\\p{L}]+"));
  }

  @DisplayName("Heaps: twice the text, clearly more words, but not twice; Zipf: rank by frequency")
  @Test
  void vocabulary() {
    Map<String, Integer> count = new HashMap<>();
    int[] distinct = new int[2];
    ManyWorks.of(3, MANY)
        .forEach(
            work -> {
              words(work).forEach(word -> count.merge(word, 1, Integer::sum));
              if (work.number() == MANY / 2) {
                distinct[0] = count.size();
              }
            });
    distinct[1] = count.size();
    assertThat((double) distinct[1] / distinct[0]).isBetween(1.2, 1.8);
    List<Integer> byRank = count.values().stream().sorted((a, b) -> b - a).toList();
    assertThat(byRank.get(0)).isGreaterThan(8 * byRank.get(99));
    assertThat(byRank.get(99)).isGreaterThan(8 * byRank.get(1999));
    assertThat(byRank.get(byRank.size() / 2)).as("half of all words are rare").isLessThan(20);
  }

  @Test
  void theSameEachTimeAndInTheOrderOfTime() {
    List<Work> works = ManyWorks.of(3, 3000).toList();
    assertThat(ManyWorks.of(3, 3000).toList()).isEqualTo(works);
    for (int i = 1; i < works.size(); i++) {
      assertThat(works.get(i).date()).isAfterOrEqualTo(works.get(i - 1).date());
    }
    assertThat(works.stream().map(Work::doi)).doesNotHaveDuplicates();
  }
}
