package org.quietlantern.core.reference;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.citation.check.Words;

/**
 * Braces what keeps its capitals in a title, for styles change the case of the rest: names in
 * running text, and words with a capital within (<i>LED, pH</i>).
 */
final class ProtectedTitle {
  private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{M}\\p{N}’'-]*");

  /** Stand for braces until all others are written as signs. */
  private static final char OPEN = '\uE000';

  private static final char CLOSE = '\uE001';

  private ProtectedTitle() {}

  static String of(String title, LatexText letters) {
    String plain = LatexText.TAG.matcher(title).replaceAll("");
    boolean heading = Words.isHeading(plain);
    StringBuilder out = new StringBuilder();
    Matcher word = WORD.matcher(title);
    Matcher tag = LatexText.TAG.matcher(title);
    int at = 0;
    boolean first = true;
    while (word.find(at)) {
      if (tag.region(at, title.length()).find() && tag.start() < word.start()) {
        out.append(title, at, tag.end());
        at = tag.end();
        continue;
      }
      out.append(title, at, word.start());
      out.append(kept(word.group(), first, heading) ? OPEN + word.group() + CLOSE : word.group());
      first = false;
      at = word.end();
    }
    return letters
        .marked(out.append(title.substring(at)).toString())
        .replace(OPEN, '{')
        .replace(CLOSE, '}');
  }

  private static boolean kept(String word, boolean first, boolean heading) {
    boolean within = word.substring(1).codePoints().anyMatch(Character::isUpperCase);
    boolean begins = Character.isUpperCase(word.codePointAt(0));
    return within || (begins && !first && !heading);
  }
}
