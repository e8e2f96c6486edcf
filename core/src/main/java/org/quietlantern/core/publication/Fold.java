package org.quietlantern.core.publication;

import java.text.Normalizer;
import java.util.Locale;
import java.util.regex.Pattern;

/** Text reduced to what counts when two supplied forms of it are compared. */
public final class Fold {
  private static final Pattern SUBTITLE = Pattern.compile(": | – | — |\\? |\\. ");
  private static final int SHORTEST_MAIN_TITLE = 25;

  private Fold() {}

  /** Letters and digits only, small, without accents; ligatures and the like taken apart (NFKD). */
  public static String letters(String text) {
    String apart =
        Normalizer.normalize(text.toLowerCase(Locale.ROOT), Normalizer.Form.NFKD)
            .replace("ß", "ss")
            .replace("ø", "o")
            .replace("æ", "ae")
            .replace("ł", "l");
    StringBuilder letters = new StringBuilder(apart.length());
    apart.codePoints().filter(Fold::counts).forEach(letters::appendCodePoint);
    return letters.toString();
  }

  private static boolean counts(int letter) {
    return switch (Character.getType(letter)) {
      case Character.DECIMAL_DIGIT_NUMBER, Character.LETTER_NUMBER, Character.OTHER_NUMBER -> true;
      default -> Character.isLetter(letter);
    };
  }

  /** The title in front of its subtitle; the whole title where that would be too little. */
  public static String mainTitle(String title) {
    var mark = SUBTITLE.matcher(title);
    return mark.find(0) && mark.start() >= SHORTEST_MAIN_TITLE
        ? title.substring(0, mark.start())
        : title;
  }
}
