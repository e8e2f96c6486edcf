package org.quietlantern.core.vocabulary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.vocabulary.Headings.Kind;
import org.quietlantern.core.vocabulary.Headings.Named;

/** Looking up takes short cuts; what it finds is what comparing every name finds. */
class HeadingIndexTest {
  private static final List<String> WORDS =
      List.of("moth", "mo", "bat", "bats", "lamp", "light", "lighting", "road", "owl");
  private final Random random = new Random(17);

  @DisplayName("H1: the best first, by any name, against comparing every name with what is typed")
  @Test
  void againstComparingAll() {
    int met = 0;
    for (int round = 0; round < 60; round++) {
      List<Concept> headings = headings();
      HeadingIndex index = new HeadingIndex();
      headings.forEach(heading -> index.add(names(heading)));
      for (int i = 0; i < 20; i++) {
        String typed = i % 4 == 0 ? "m" : name();
        List<String> expected =
            headings.stream()
                .filter(heading -> isMet(heading, typed))
                .map(heading -> best(heading, typed))
                .sorted(
                    Comparator.comparingInt((Best b) -> b.rank())
                        .thenComparingInt(b -> b.named().heading().label().length())
                        .thenComparing(b -> b.named().heading().label()))
                .limit(7)
                .map(b -> b.named().heading().uri() + " " + b.named().name())
                .toList();
        assertThat(index.lookUp(typed, 7))
            .as(typed)
            .extracting(named -> named.heading().uri() + " " + named.name())
            .containsExactlyElementsOf(expected);
        met += expected.size();
      }
    }
    assertThat(met).as("something is met").isGreaterThan(2_000);
  }

  private record Best(Named named, int rank) {}

  private static List<Named> names(Concept heading) {
    List<Named> names = new ArrayList<>();
    names.add(new Named(heading, heading.label(), Kind.PREFERRED));
    heading.names().forEach(name -> names.add(new Named(heading, name, Kind.OTHER)));
    return names;
  }

  /** Each typed word begins a word of some name. */
  private static boolean isMet(Concept heading, String typed) {
    List<String> all = names(heading).stream().flatMap(n -> words(n.name()).stream()).toList();
    return words(typed).stream().allMatch(w -> all.stream().anyMatch(a -> a.startsWith(w)));
  }

  private static Best best(Concept heading, String typed) {
    return names(heading).stream()
        .map(named -> new Best(named, how(words(named.name()), words(typed)) * 6 + worse(named)))
        .min(Comparator.comparingInt(Best::rank))
        .orElseThrow();
  }

  private static int worse(Named named) {
    return named.kind() == Kind.PREFERRED ? 0 : 1;
  }

  private static int how(List<String> words, List<String> sought) {
    if (words.equals(sought)) {
      return 0;
    }
    if (words.containsAll(sought)) {
      return 1;
    }
    if (words.get(0).startsWith(sought.get(0))) {
      return 2;
    }
    boolean all = sought.stream().allMatch(s -> words.stream().anyMatch(w -> w.startsWith(s)));
    return all ? 3 : 4;
  }

  /** In small letters, without the ending of a plural. */
  private static List<String> words(String name) {
    return Arrays.stream(name.toLowerCase(Locale.ROOT).split(" "))
        .map(w -> w.length() > 3 && w.endsWith("s") ? w.substring(0, w.length() - 1) : w)
        .toList();
  }

  private List<Concept> headings() {
    List<Concept> headings = new ArrayList<>();
    for (int i = 0; i < 30; i++) {
      List<String> names = new ArrayList<>();
      for (int j = random.nextInt(3); j > 0; j--) {
        names.add(name());
      }
      // Two letters at the end make every label one of its own.
      String label = name() + " " + (char) ('a' + i % 26) + (char) ('a' + i / 26);
      headings.add(Concept.plain("urn:" + i, "urn:s", label, names, List.of()));
    }
    return headings;
  }

  private String name() {
    List<String> words = new ArrayList<>();
    for (int i = random.nextInt(3); i >= 0; i--) {
      words.add(WORDS.get(random.nextInt(WORDS.size())));
    }
    return String.join(" ", words);
  }
}
