package org.quietlantern.core.citation.csl;

/** Words that look alike. */
public record Run(String text, Look look) {

  /** How words look. */
  public record Look(
      boolean italic, boolean bold, boolean smallCaps, boolean underlined, Level level) {
    public static final Look PLAIN = new Look(false, false, false, false, Level.BASELINE);
    public static final Look ITALIC = new Look(true, false, false, false, Level.BASELINE);
  }

  /** Where words stand by the line. */
  public enum Level {
    BASELINE,
    SUPERSCRIPT,
    SUBSCRIPT
  }
}
