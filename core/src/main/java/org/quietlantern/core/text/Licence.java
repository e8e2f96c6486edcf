package org.quietlantern.core.text;

import java.util.regex.Pattern;

/** What the use of a text is bound to, as people and sources say it in words. */
public final class Licence {
  /** Of a text that was fetched from where anybody may read it. */
  public static final String OPEN = "open to all";

  /**
   * Each of the licences of Creative Commons lets the whole be shared as it is, for no money
   * (version 4.0, section 2 a 1); so does what belongs to nobody.
   */
  private static final Pattern SHARED =
      Pattern.compile(
          "\\b(?:cc[ -]?(?:by|0|zero)|creative ?commons|public domain|" + OPEN + ")\\b",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern NO_CHANGES =
      Pattern.compile("\\bno[ -]?deriv\\w*", Pattern.CASE_INSENSITIVE);
  private static final Pattern DENIED =
      Pattern.compile(
          "\\b(?:no|not|non|never|without|except)\\b(?!-?commercial)", Pattern.CASE_INSENSITIVE);

  private Licence() {}

  /**
   * Whether the text may be given on as it is, to anybody and for no money. Where the words can be
   * understood otherwise, it may not.
   */
  public static boolean maySend(String words) {
    return SHARED.matcher(words).find()
        && !DENIED.matcher(NO_CHANGES.matcher(words).replaceAll("")).find();
  }
}
