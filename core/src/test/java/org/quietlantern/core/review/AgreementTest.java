package org.quietlantern.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.review.Agreement.Doubt;
import org.quietlantern.core.review.Agreement.Figure;
import org.quietlantern.core.review.Agreement.Judged;

@DisplayName("V6: agreement, as published worked examples have it")
class AgreementTest {
  private static final Offset<Double> FOUR_DIGITS = within(0.00005);
  private static final int ANN = 1;
  private static final int BEN = 2;

  /** Counts of a square of verdicts: what Ann says by rows, Ben by columns. */
  private static List<Judged> square(int... counts) {
    int size = (int) Math.sqrt(counts.length);
    List<Judged> judged = new ArrayList<>();
    for (int cell = 0; cell < counts.length; cell++) {
      for (int n = 0; n < counts[cell]; n++) {
        judged.add(new Judged(Map.of(ANN, "v" + cell / size, BEN, "v" + cell % size)));
      }
    }
    return judged;
  }

  /** Works by rows, readers by columns; a dot: not judged by that one. */
  private static List<Judged> rows(String... rows) {
    return Arrays.stream(rows)
        .map(
            row -> {
              Map<Integer, String> by = new HashMap<>();
              String[] said = row.split(" ");
              for (int reader = 0; reader < said.length; reader++) {
                if (!said[reader].equals(".")) {
                  by.put(reader, said[reader]);
                }
              }
              return new Judged(by);
            })
        .toList();
  }

  @DisplayName("Cohen's kappa: fifty works, 20 and 15 alike; by chance a half")
  @Test
  void cohen() {
    List<Judged> judged = square(20, 5, 10, 15);
    assertThat(Agreement.percent(judged, ANN, BEN).value()).isEqualTo(0.7, FOUR_DIGITS);
    assertThat(Agreement.cohen(judged, ANN, BEN).value()).isEqualTo(0.4, FOUR_DIGITS);
    assertThat(Agreement.cohen(judged, BEN, ANN)).isEqualTo(Agreement.cohen(judged, ANN, BEN));
  }

  @DisplayName("Its error: Fleiss, Levin and Paik, Statistical Methods for Rates, chapter 18")
  @Test
  void error() {
    Figure kappa = Agreement.cohen(square(75, 1, 4, 5, 4, 1, 0, 0, 10), ANN, BEN);
    assertThat(kappa.value()).isEqualTo(0.6765, FOUR_DIGITS);
    assertThat((kappa.high() - kappa.low()) / 2 / 1.959964).isEqualTo(0.0877, within(0.0005));
    assertThat(kappa.works()).isEqualTo(100);
  }

  @DisplayName("Nearly all the same: kappa falls below chance, AC1 does not (Gwet 2002)")
  @Test
  void skewed() {
    List<Judged> judged = square(118, 5, 2, 0);
    assertThat(Agreement.cohen(judged, ANN, BEN).value()).isEqualTo(-0.0234, FOUR_DIGITS);
    assertThat(Agreement.ac1(judged).value()).isEqualTo(0.9408, FOUR_DIGITS);
  }

  @DisplayName("Four readers, some of whom did not judge: Gwet's handbook, and his own program")
  @Test
  void fourReaders() {
    List<Judged> judged =
        rows(
            "1 1 . 1", "2 2 3 2", "3 3 3 3", "3 3 3 3", "2 2 2 2", "1 2 3 4", "4 4 4 4", "1 1 2 1",
            "2 2 2 2", ". 5 5 5", ". . 1 1", ". . 3 .");
    Figure ac1 = Agreement.ac1(judged);
    assertThat(ac1.value()).isEqualTo(0.77544, FOUR_DIGITS);
    assertThat(ac1.low()).isEqualTo(0.4608, within(0.0005));
    assertThat(ac1.high()).isEqualTo(1);
    assertThat(ac1.works()).as("the last was judged by one").isEqualTo(11);
    Figure fleiss = Agreement.fleiss(judged);
    assertThat(fleiss.value()).isEqualTo(0.76117, FOUR_DIGITS);
    assertThat(fleiss.low()).isEqualTo(0.4244, within(0.0005));
  }

  @DisplayName("Fleiss' kappa: ten works, fourteen readers, five verdicts")
  @Test
  void fourteenReaders() {
    int[][] counts = {
      {0, 0, 0, 0, 14}, {0, 2, 6, 4, 2}, {0, 0, 3, 5, 6}, {0, 3, 9, 2, 0}, {2, 2, 8, 1, 1},
      {7, 7, 0, 0, 0}, {3, 2, 6, 3, 0}, {2, 5, 3, 2, 2}, {6, 5, 2, 1, 0}, {0, 2, 2, 3, 7}
    };
    List<Judged> judged = new ArrayList<>();
    for (int[] row : counts) {
      Map<Integer, String> by = new HashMap<>();
      for (int verdict = 0; verdict < row.length; verdict++) {
        for (int n = 0; n < row[verdict]; n++) {
          by.put(by.size(), "v" + verdict);
        }
      }
      judged.add(new Judged(by));
    }
    assertThat(Agreement.fleiss(judged).value()).isEqualTo(0.2099, FOUR_DIGITS);
  }

  @DisplayName("Too few, one verdict, nobody beside: said, not counted")
  @Test
  void saysNothing() {
    assertThat(Agreement.cohen(square(3, 1, 1, 4), ANN, BEN).doubt()).isEqualTo(Doubt.FEW);
    assertThat(Agreement.percent(square(3, 1, 1, 4), ANN, BEN).doubt()).isEqualTo(Doubt.FEW);
    List<Judged> same = square(40, 0, 0, 0);
    assertThat(Agreement.cohen(same, ANN, BEN).doubt()).isEqualTo(Doubt.ONE_VERDICT);
    assertThat(Agreement.cohen(same, ANN, BEN).value()).isNaN();
    assertThat(Agreement.fleiss(same).doubt()).isEqualTo(Doubt.ONE_VERDICT);
    assertThat(Agreement.ac1(same).doubt()).isEqualTo(Doubt.ONE_VERDICT);
    assertThat(Agreement.percent(same, ANN, BEN).value()).isEqualTo(1);
    assertThat(Agreement.percent(same, ANN, BEN).low()).as("Wilson").isEqualTo(0.9124, FOUR_DIGITS);
    List<Judged> alone = rows("keep .", ". pass", "pass .");
    assertThat(Agreement.cohen(alone, 0, 1).doubt()).isEqualTo(Doubt.NOTHING_SHARED);
    assertThat(Agreement.fleiss(alone).doubt()).isEqualTo(Doubt.NOTHING_SHARED);
    assertThat(Agreement.ac1(List.of()).doubt()).isEqualTo(Doubt.NOTHING_SHARED);
    Figure one = Agreement.ac1(rows("keep pass"));
    assertThat(one.doubt()).isEqualTo(Doubt.FEW);
    assertThat(one.low()).isNaN();
  }

  @DisplayName("Readers who say anything are as good as chance; empty cells break nothing")
  @Test
  void chance() {
    Random random = new Random(7);
    List<Judged> judged = new ArrayList<>();
    for (int n = 0; n < 4_000; n++) {
      judged.add(
          new Judged(
              Map.of(ANN, random.nextInt(10) < 2 ? "keep" : "pass", BEN, "v" + random.nextInt(3))));
    }
    assertThat(Agreement.cohen(judged, ANN, BEN).value()).isEqualTo(0, within(0.05));
    List<Judged> free = new ArrayList<>();
    for (int n = 0; n < 4_000; n++) {
      free.add(new Judged(Map.of(ANN, "v" + random.nextInt(2), BEN, "v" + random.nextInt(2))));
    }
    for (Figure figure :
        List.of(Agreement.cohen(free, ANN, BEN), Agreement.fleiss(free), Agreement.ac1(free))) {
      assertThat(figure.value()).isEqualTo(0, within(0.05));
      assertThat(figure.low()).isNegative();
      assertThat(figure.high()).isPositive();
    }
  }
}
