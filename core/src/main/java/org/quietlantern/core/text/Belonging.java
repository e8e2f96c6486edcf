package org.quietlantern.core.text;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Fold;

/** Whether a file is likely to hold the text of a publication. */
public final class Belonging {
  private static final int FIRST_PAGES = 3;
  private static final int FIRST_LETTERS = 20_000;

  private Belonging() {}

  /** Its title or its DOI stands in the first pages, or the file calls itself so. */
  public static boolean of(TakenText text, String title, String doi) {
    String beginning =
        text.pages().stream()
            .limit(FIRST_PAGES)
            .map(TakenText.Page::text)
            .collect(Collectors.joining("\n"));
    String letters =
        Fold.letters(
            text.title()
                + "\n"
                + beginning.substring(0, Math.min(FIRST_LETTERS, beginning.length())));
    return Stream.of(Fold.mainTitle(title), doi)
        .map(Fold::letters)
        .anyMatch(sign -> !sign.isEmpty() && letters.contains(sign));
  }
}
