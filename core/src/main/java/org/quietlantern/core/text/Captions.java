package org.quietlantern.core.text;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.publication.Text;

/** Figures and tables of a page, by the captions that begin its lines. */
final class Captions {
  private static final int LONGEST = 120;
  private static final Pattern CAPTION =
      Pattern.compile("(?m)^(Figure|Fig\\.|Table)\\s+([A-Z]?\\d{1,3})[.:]\\s+(.*)$");

  private Captions() {}

  static List<TakenText.Part> of(String text, int page) {
    List<TakenText.Part> parts = new ArrayList<>();
    Matcher caption = CAPTION.matcher(text);
    while (caption.find()) {
      boolean isTable = caption.group(1).equals("Table");
      parts.add(
          new TakenText.Part(
              isTable ? TakenText.Part.Kind.TABLE : TakenText.Part.Kind.FIGURE,
              1,
              title(caption.group()),
              page,
              ""));
    }
    return parts;
  }

  /** Its first sentence. */
  static String title(String caption) {
    String clean = Text.clean(caption);
    int first = clean.indexOf(". ");
    int second = first < 0 ? -1 : clean.indexOf(". ", first + 1);
    return Text.atMost(LONGEST, second < 0 ? clean : clean.substring(0, second + 1));
  }
}
