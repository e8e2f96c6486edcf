package org.quietlantern.core.text;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.publication.Fold;

/**
 * Finds passages again in a text (rule T3): by their letters alone, so that line ends, hyphens,
 * ligatures and kinds of quotation mark make no difference.
 */
public final class Places {
  private final List<String> pages;

  /** {@code pages}: their words, in order. */
  public Places(List<String> pages) {
    this.pages = pages.stream().map(Fold::letters).toList();
  }

  /**
   * Where a passage is now.
   *
   * @param page from 0
   * @param nth which of the same words on the page it is, from 0
   */
  public record Place(int page, int nth) {}

  /** How well one occurrence fits: by what stands around it, then by how near it is. */
  private record Fit(int around, int far, Place place) {
    boolean beats(Fit other) {
      return around > other.around || (around == other.around && far < other.far);
    }
  }

  /** Empty where its words do not stand in this text. */
  public Optional<Place> find(Passage passage) {
    String quote = Fold.letters(passage.quote());
    if (quote.isEmpty()) {
      return Optional.empty();
    }
    String before = Fold.letters(passage.before());
    String after = Fold.letters(passage.after());
    Fit best = null;
    for (int page = 0; page < pages.size(); page++) {
      String letters = pages.get(page);
      int nth = 0;
      for (int at = letters.indexOf(quote); at >= 0; at = letters.indexOf(quote, at + 1)) {
        int around =
            sameEnd(letters.substring(0, at), before)
                + sameBeginning(letters.substring(at + quote.length()), after);
        int far = Math.abs(page - passage.page()) * 100_000 + Math.abs(at - passage.start());
        Fit fit = new Fit(around, far, new Place(page, nth));
        best = best == null || fit.beats(best) ? fit : best;
        nth++;
      }
    }
    return Optional.ofNullable(best).map(Fit::place);
  }

  private static int sameEnd(String text, String end) {
    int most = Math.min(text.length(), end.length());
    int same = 0;
    while (same < most
        && text.charAt(text.length() - 1 - same) == end.charAt(end.length() - 1 - same)) {
      same++;
    }
    return same;
  }

  private static int sameBeginning(String text, String beginning) {
    int most = Math.min(text.length(), beginning.length());
    int same = 0;
    while (same < most && text.charAt(same) == beginning.charAt(same)) {
      same++;
    }
    return same;
  }
}
