package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.query.Parsed;
import org.quietlantern.core.query.Parser;
import org.quietlantern.core.query.Strategy;
import org.roaringbitmap.RoaringBitmap;

/** The engine against an evaluator that reads every publication and shares only the tokenizer. */
class BruteForceTest {
  private static final List<String> WORDS =
      List.of(
          "moth",
          "moths",
          "bat",
          "part-night",
          "night",
          "lighting",
          "dimming",
          "dimmed",
          "verge",
          "hawkmoth",
          "café",
          "lamp");
  private final Random random = new Random(2026);

  @DisplayName("M1, M3, M4, M5: random lines find what reading every publication finds")
  @Test
  void randomLines() {
    List<Publication> all = new ArrayList<>();
    for (int i = 0; i < 250; i++) {
      all.add(
          Catalogue.with(Catalogue.PLAIN, text(1 + random.nextInt(6)), text(random.nextInt(9))));
    }
    try (Catalogue catalogue = new Catalogue()) {
      all.forEach(catalogue::add);
      try (Snapshot snapshot = catalogue.index.snapshot()) {
        int found = 0;
        List<Reading> readings = all.stream().map(Reading::new).toList();
        for (int n = 0; n < Laws.times(1500); n++) {
          String line = line(2);
          found += check(snapshot, readings, line);
        }
        assertThat(found).as("most lines find something").isGreaterThan(Laws.least(20_000));
      }
    }
  }

  private static int check(Snapshot snapshot, List<Reading> all, String line) {
    Parsed parsed = Parser.parse(line);
    RoaringBitmap expected = new RoaringBitmap();
    for (int i = 0; i < all.size(); i++) {
      if (parsed.tree().orElseThrow().match(all.get(i)) != parsed.rulesOut()) {
        expected.add(i + 1);
      }
    }
    Compiled.Ready ready = (Compiled.Ready) Catalogue.compile(snapshot, Strategy.of(line));
    assertThat(snapshot.all(ready)).as(line).isEqualTo(expected);
    assertThat(snapshot.search(ready, Ordering.RELEVANCE).count())
        .as(line)
        .isEqualTo(expected.getCardinality());
    return expected.getCardinality();
  }

  private String text(int words) {
    List<String> text = new ArrayList<>(List.of("x"));
    for (int i = 0; i < words; i++) {
      text.add(word());
    }
    return String.join(" ", text);
  }

  private String word() {
    return WORDS.get(random.nextInt(WORDS.size()));
  }

  private String line(int depth) {
    String joined = unit(depth);
    for (int i = random.nextInt(3); i > 0; i--) {
      joined += List.of(" ", " and ", " or ", " not ").get(random.nextInt(4)) + unit(depth);
    }
    return depth == 2 && random.nextInt(8) == 0 ? "not " + joined : joined;
  }

  private String unit(int depth) {
    return switch (random.nextInt(depth > 0 ? 7 : 4)) {
      case 0 -> "\"" + word() + " " + word() + "\"";
      case 1 -> word().replaceAll("^(.{3}).*", "$1*");
      case 2 -> "\"" + word() + "\"";
      case 4 -> "(" + line(depth - 1) + ")";
      case 5 -> "title: " + word();
      default -> word();
    };
  }

  @Test
  void theEvaluatorIsNotBlind() {
    Reading reading = new Reading(Catalogue.with(Catalogue.PLAIN, "Part-night lighting", "moths"));
    TreeSet<String> met = new TreeSet<>();
    for (String line :
        List.of("moth", "\"moth\"", "partnight", "title: moth", "\"night lighting\"")) {
      if (Parser.parse(line).tree().orElseThrow().match(reading)) {
        met.add(line);
      }
    }
    assertThat(met).containsExactly("\"night lighting\"", "moth", "partnight");
  }
}
