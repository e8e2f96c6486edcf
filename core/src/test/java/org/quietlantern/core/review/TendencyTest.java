package org.quietlantern.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.review.Tendency.Example;

@DisplayName("What a group tends to keep")
class TendencyTest {
  private static final Trait DIMMING = new Trait(Trait.Kind.HEADING, "Part-night lighting");
  private static final Trait OXLADE = new Trait(Trait.Kind.AUTHOR, "Oxlade");
  private final Random random = new Random(11);

  private Trait word() {
    return new Trait(Trait.Kind.WORD, "w" + random.nextInt(300));
  }

  /** A work with some words; what is about dimming is kept nine times of ten, else once in ten. */
  private Example example() {
    Set<Trait> traits = new HashSet<>();
    for (int n = 0; n < 30; n++) {
      traits.add(word());
    }
    boolean liked = random.nextInt(4) == 0;
    if (liked) {
      traits.add(random.nextBoolean() ? DIMMING : OXLADE);
    }
    return new Example(traits, random.nextInt(10) < (liked ? 9 : 1));
  }

  private List<Example> examples(int many) {
    List<Example> examples = new ArrayList<>();
    while (examples.size() < many) {
      examples.add(example());
    }
    return examples;
  }

  @DisplayName("What was kept stands further up among works that it has not seen, and it says why")
  @Test
  void ranks() {
    Tendency tendency = Tendency.learn(examples(800)).orElseThrow();
    List<Example> unseen = examples(400);
    List<Example> ordered = new ArrayList<>(unseen);
    ordered.sort(Comparator.comparingDouble(one -> -tendency.of(one.traits())));
    assertThat(place(ordered)).isLessThan(0.35);
    assertThat(place(unseen)).as("as they came").isBetween(0.4, 0.6);
    Set<Trait> both = Set.of(DIMMING, OXLADE, new Trait(Trait.Kind.WORD, "never met"));
    assertThat(tendency.why(both, 3))
        .extracting(one -> one.trait())
        .containsExactlyInAnyOrder(DIMMING, OXLADE);
    assertThat(tendency.why(both, 1)).hasSize(1);
    assertThat(tendency.of(both)).isGreaterThan(tendency.of(Set.of()));
  }

  /** Where those that were kept stand on the average: 0 first, 1 last. */
  private static double place(List<Example> ordered) {
    double sum = 0;
    int kept = 0;
    for (int at = 0; at < ordered.size(); at++) {
      if (ordered.get(at).kept()) {
        sum += at / (ordered.size() - 1.0);
        kept++;
      }
    }
    return sum / kept;
  }

  @DisplayName("The same marks give the same order; without enough of either it orders nothing")
  @Test
  void same() {
    List<Example> examples = examples(200);
    Set<Trait> some = examples.get(0).traits();
    assertThat(Tendency.learn(examples).orElseThrow().of(some))
        .isEqualTo(Tendency.learn(examples).orElseThrow().of(some));
    assertThat(Tendency.learn(examples.subList(0, 12))).isEmpty();
    assertThat(Tendency.learn(examples.stream().filter(Example::kept).toList())).isEmpty();
    assertThat(Tendency.learn(List.of())).isEmpty();
  }

  @DisplayName("What nearly all works have, or one alone, tells nothing")
  @Test
  void common() {
    Trait everywhere = new Trait(Trait.Kind.WORD, "light");
    Trait once = new Trait(Trait.Kind.WORD, "once");
    List<Example> examples = new ArrayList<>();
    for (int n = 0; n < 40; n++) {
      Set<Trait> traits = new HashSet<>(Set.of(everywhere));
      if (n == 0) {
        traits.add(once);
      }
      if (n % 2 == 0) {
        traits.add(DIMMING);
      }
      examples.add(new Example(traits, n % 2 == 0));
    }
    Tendency tendency = Tendency.learn(examples).orElseThrow();
    assertThat(tendency.why(Set.of(everywhere, once, DIMMING), 5))
        .extracting(one -> one.trait())
        .containsExactly(DIMMING);
  }
}
