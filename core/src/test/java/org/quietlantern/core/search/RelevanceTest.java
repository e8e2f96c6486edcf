package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.query.Strategy;

class RelevanceTest {
  private static final List<String> WORDS =
      List.of("moth", "bat", "lamp", "dim", "night", "verge", "fen", "hedge", "owl", "glare");

  @DisplayName("O1: rarer words weigh more, words met twice weigh more, long texts weigh less")
  @Test
  void whatWeighs() {
    try (Catalogue catalogue =
        new Catalogue()
            .titles("moth moth", "moth", "moth and many other small animals of fens", "bat")) {
      assertThat(ids(catalogue, "moth", false)).containsExactly("p1", "p2", "p3");
      assertThat(ids(catalogue, "moth", true)).containsExactly("p3", "p2", "p1");
      assertThat(ids(catalogue, "moth or bat", false)).startsWith("p4");
    }
  }

  @DisplayName("What is ruled out, and what a line holds beside its words, does not weigh")
  @Test
  void whatDoesNotWeigh() {
    try (Catalogue catalogue = new Catalogue().titles("moth", "moth lamp", "moth bat bat")) {
      assertThat(ids(catalogue, "moth not lamp", false)).containsExactly("p1", "p3");
      assertThat(ids(catalogue, "moth or bat", false)).startsWith("p3");
    }
  }

  @DisplayName("M9, O1: two copies of a catalogue have one order, however they came to be")
  @Test
  void oneOrder() {
    Random random = new Random(11);
    List<IndexEntry> entries = new ArrayList<>();
    for (int id = 1; id <= 400; id++) {
      entries.add(Catalogue.entry(id, Catalogue.titled(title(random))));
    }
    try (Catalogue straight = new Catalogue();
        Catalogue crooked = new Catalogue()) {
      straight.index.apply(entries, List.of(), 400);
      List<IndexEntry> shuffled = new ArrayList<>(entries);
      Collections.shuffle(shuffled, random);
      for (int from = 0; from < 400; from += 40) {
        List<IndexEntry> some = shuffled.subList(from, from + 40);
        // What is replaced at once leaves something behind in its segment.
        crooked.index.apply(
            some.stream().map(e -> Catalogue.entry(e.id(), Catalogue.titled("moth"))).toList(),
            List.of(),
            from + 20);
        assertThat(ids(crooked, "moth", false)).isNotEmpty();
        crooked.index.apply(some, List.of(), from + 40);
      }
      for (int n = 0; n < 60; n++) {
        String text = WORDS.get(n % 10) + " or " + title(random).replace(" ", " or ");
        assertThat(ids(crooked, text, false)).isEqualTo(ids(straight, text, false));
      }
    }
  }

  private static String title(Random random) {
    List<String> words = new ArrayList<>();
    for (int i = random.nextInt(12); i >= 0; i--) {
      words.add(WORDS.get((int) (10 * Math.pow(random.nextDouble(), 2))));
    }
    return String.join(" ", words);
  }

  private static List<String> ids(Catalogue catalogue, String text, boolean reverse) {
    try (Snapshot snapshot = catalogue.index.snapshot()) {
      return snapshot
          .search(
              (Compiled.Ready) Catalogue.compile(snapshot, Strategy.of(text)),
              new Ordering(Order.RELEVANCE, reverse))
          .publicIds();
    }
  }
}
