package org.quietlantern.core.text;

import org.quietlantern.core.publication.Text;

/**
 * A place in a text, as it is kept: by its words and by where it stood, never by a file (rule T3;
 * Web Annotation Data Model, 4.2.4 and 4.2.5).
 *
 * @param quote its words
 * @param before some of what stands in front of it
 * @param after some of what follows
 * @param page on which it stood, from 0
 * @param start how many letters and digits of the page stood before it
 */
public record Passage(String quote, String before, String after, int page, int start) {
  /** Letters of a quote, more than which is no passage but a text. */
  public static final int LONGEST = 5_000;

  private static final int AROUND = 200;

  public Passage {
    quote = Text.atMost(LONGEST, Text.clean(quote));
    before = Text.clean(before);
    before = before.substring(Math.max(0, before.length() - AROUND));
    after = Text.clean(after);
    after = after.substring(0, Math.min(AROUND, after.length()));
    page = Math.max(0, page);
    start = Math.max(0, start);
  }
}
