package org.quietlantern.core.citation.shelf;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.quietlantern.core.publication.Fold;

/**
 * Finds styles by what is typed of their title, short title, discipline, sort or ISSN. For several
 * threads at once.
 */
public final class StyleFinder {
  /** In the order in which equal ones are shown. */
  private final List<Line> lines;

  /** Styles that many mean when they type little, in the order in which they come first. */
  private static final List<String> USUAL =
      List.of(
          "apa",
          "modern-language-association",
          "chicago-author-date",
          "chicago-notes-bibliography",
          "american-medical-association",
          "nlm-citation-sequence",
          "ieee",
          "harvard-cite-them-right",
          "cse-name-year",
          "american-chemical-society");

  /** A style with the words by which it is found. */
  private record Line(StyleInfo style, List<String> title, List<String> all, int usual) {}

  /** What was found, the best first, and how many there are. */
  public record Found(List<StyleInfo> styles, int count) {}

  public StyleFinder(List<StyleInfo> styles) {
    this.lines =
        styles.stream()
            .map(StyleFinder::line)
            .sorted(
                Comparator.comparingInt(Line::usual)
                    .thenComparing(line -> line.style().isDependent())
                    .thenComparingInt(line -> line.title().size())
                    .thenComparing(line -> line.style().title()))
            .toList();
  }

  private static Line line(StyleInfo style) {
    List<String> title = words(style.title());
    List<String> all = new ArrayList<>(title);
    all.addAll(words(style.shortTitle()));
    all.addAll(words(style.name()));
    style.fields().forEach(field -> all.addAll(words(field)));
    all.addAll(words(style.format()));
    style.issns().forEach(issn -> all.add(Fold.letters(issn)));
    int usual = USUAL.indexOf(style.name());
    return new Line(style, title, List.copyOf(all), usual < 0 ? USUAL.size() : usual);
  }

  private static List<String> words(String text) {
    return Arrays.stream(text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"))
        .map(Fold::letters)
        .filter(word -> !word.isEmpty())
        .toList();
  }

  /**
   * Styles that have each word as the beginning of one of theirs.
   *
   * @param typed nothing finds all, those that many use first
   */
  public Found find(String typed, int most) {
    List<String> asked = new ArrayList<>(words(typed));
    // An ISSN is one word, however it is written.
    if (typed.strip().matches("\\d{4}-?\\d{3}[\\dxX]")) {
      asked.clear();
      asked.add(Fold.letters(typed));
    }
    // What many use first, then those that are called so, then those that have it somewhere.
    List<List<Line>> found = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      found.add(new ArrayList<>());
    }
    for (Line line : lines) {
      if (meets(line.all(), asked)) {
        found.get(place(line, asked)).add(line);
      }
    }
    return new Found(
        found.stream().flatMap(List::stream).limit(most).map(Line::style).toList(),
        found.stream().mapToInt(List::size).sum());
  }

  private static int place(Line line, List<String> asked) {
    if (line.usual() < USUAL.size()) {
      return 0;
    }
    boolean called = meets(line.title(), asked);
    return called && begins(line, asked) ? 1 : called ? 2 : 3;
  }

  private static boolean begins(Line line, List<String> asked) {
    return asked.isEmpty()
        || (!line.title().isEmpty() && line.title().get(0).startsWith(asked.get(0)));
  }

  private static boolean meets(List<String> words, List<String> asked) {
    for (String one : asked) {
      boolean met = false;
      for (int i = 0; i < words.size() && !met; i++) {
        met = words.get(i).startsWith(one);
      }
      if (!met) {
        return false;
      }
    }
    return true;
  }
}
