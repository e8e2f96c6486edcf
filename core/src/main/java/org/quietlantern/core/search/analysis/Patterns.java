package org.quietlantern.core.search.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.apache.lucene.analysis.miscellaneous.ASCIIFoldingFilter;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.query.Term;

/**
 * Typed words as sequences of index words. A hyphenated form gives two sequences: its parts, and
 * the joined form.
 */
public final class Patterns {
  private static final int MOST = 16;

  private Patterns() {}

  /** One place of a sequence: a word, or a cut word ({@code *} and {@code ?} in it are open). */
  public record Slot(String word, boolean cut) {}

  /** All sequences that a word or a phrase may be met as. */
  public static List<List<Slot>> of(Term term, Analysis analysis) {
    List<List<Slot>> whole = List.of(List.of());
    for (Term part : term instanceof Term.Phrase phrase ? phrase.parts() : List.of(term)) {
      whole = times(whole, ofPart(part, analysis));
    }
    return whole;
  }

  private static List<List<Slot>> times(List<List<Slot>> starts, List<List<Slot>> endings) {
    return starts.stream()
        .flatMap(
            start ->
                endings.stream()
                    .map(ending -> Stream.concat(start.stream(), ending.stream()).toList()))
        .limit(MOST)
        .toList();
  }

  private static List<List<Slot>> ofPart(Term part, Analysis analysis) {
    return part instanceof Term.Cut cut ? ofCut(cut) : ofWord(((Term.Word) part).text(), analysis);
  }

  private static List<List<Slot>> ofWord(String text, Analysis analysis) {
    List<Analysis.Found> found = analysis.words(Text.clean(text));
    List<Slot> parts = new ArrayList<>();
    List<Slot> joined = new ArrayList<>();
    for (Analysis.Found word : found) {
      Slot slot = new Slot(word.word(), false);
      if (word.step() > 0) {
        parts.add(slot);
      } else if (joined.isEmpty()) {
        joined.add(slot);
      }
    }
    boolean onlyOneHyphenated = joined.size() == 1 && !text.matches(".*[^\\p{L}\\p{N}'’‐‑-].*");
    return onlyOneHyphenated ? List.of(parts, joined) : List.of(parts);
  }

  private static List<List<Slot>> ofCut(Term.Cut cut) {
    String folded = fold(cut.typed());
    List<String> parts = Stream.of(folded.split("-")).filter(p -> !p.isEmpty()).toList();
    List<Slot> apart = parts.stream().map(p -> new Slot(p, isOpen(p))).toList();
    return parts.size() < 2
        ? List.of(apart)
        : List.of(apart, List.of(new Slot(String.join("", parts), true)));
  }

  private static boolean isOpen(String part) {
    return part.indexOf('*') >= 0 || part.indexOf('?') >= 0;
  }

  private static String fold(String typed) {
    char[] lower = Text.clean(typed).toLowerCase(Locale.ROOT).replaceAll("['’‘]", "").toCharArray();
    char[] folded = new char[lower.length * 4];
    int length = ASCIIFoldingFilter.foldToASCII(lower, 0, folded, 0, lower.length);
    return new String(folded, 0, length).replaceAll("[^\\p{L}\\p{N}*?-]", "");
  }
}
