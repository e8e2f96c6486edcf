package org.quietlantern.bench;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;
import org.quietlantern.core.vocabulary.SkosFormat;
import org.quietlantern.core.vocabulary.SkosReader;
import org.quietlantern.core.vocabulary.SkosWriter;
import org.quietlantern.core.vocabulary.VocabularyUpdate;

/** A vocabulary of so many headings (30,000), read from SKOS and looked up in. */
public final class HeadingBench {
  private static final List<String> WORDS =
      List.of(
          "moth",
          "bat",
          "beetle",
          "lamp",
          "light",
          "verge",
          "river",
          "survival",
          "growth",
          "song",
          "night",
          "traps",
          "flight",
          "behaviour",
          "spectrum",
          "street",
          "forest",
          "lake",
          "bird",
          "glare");

  private HeadingBench() {}

  public static void main(String[] arguments) {
    int size = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 30_000;
    byte[] file = SkosWriter.write(made(size), SkosFormat.TURTLE).getBytes(StandardCharsets.UTF_8);
    print(
        "%,d headings, %,d KiB of Turtle%n%n| | milliseconds |%n|---|---|%n",
        size, file.length >> 10);
    List<Headings> read = new ArrayList<>();
    print(
        "| read from SKOS, checked, compared with what was known, made ready | %s |%n",
        Times.of(
            () -> {
              SkosReader.Read skos = SkosReader.read(file);
              VocabularyUpdate update = VocabularyUpdate.of(List.of(), skos.concepts());
              read.clear();
              read.add(new Headings(update.terms(), List.of()));
            }));
    Headings headings = read.get(0);
    for (String typed : List.of("m", "moth", "street lights", "bat 12")) {
      print(
          "| looked up: “%s”, %d met | %s |%n",
          typed, headings.lookUp(typed, 30).size(), Times.of(() -> headings.lookUp(typed, 30)));
    }
    Concept top = headings.tops().get(0);
    print(
        "| all %,d below the topmost | %s |%n",
        headings.reach(top, true).size(), Times.of(() -> headings.reach(top, true)));
  }

  /** A tree in which each has ten below it. */
  private static List<Concept> made(int size) {
    List<Concept> made = new ArrayList<>();
    for (int i = 0; i < size; i++) {
      String label = name(i) + " " + i;
      made.add(
          Concept.plain(
              "urn:bench:" + i,
              "urn:bench",
              label,
              List.of(name(i * 7 + 3) + " other " + i, name(i * 13 + 5) + " also " + i),
              i == 0 ? List.of() : List.of("urn:bench:" + (i - 1) / 10)));
    }
    return made;
  }

  private static String name(int i) {
    return WORDS.get(i % WORDS.size()) + " " + WORDS.get(i / WORDS.size() % WORDS.size());
  }

  private static void print(String format, Object... values) {
    System.out.printf(Locale.ENGLISH, format, values);
  }
}
