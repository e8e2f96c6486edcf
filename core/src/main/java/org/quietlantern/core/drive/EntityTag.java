package org.quietlantern.core.drive;

import java.util.regex.Pattern;

/** An entity tag (RFC 9110, 8.8.3) as it stands in its field; empty where a drive gives none. */
public record EntityTag(String text) {
  private static final Pattern TAG =
      Pattern.compile("(W/)?\"[\\x21\\x23-\\x7e\\x80-\\xff]{0,200}\"");

  /** What is no tag counts as none. */
  public EntityTag {
    text = TAG.matcher(text.strip()).matches() ? text.strip() : "";
  }

  public static final EntityTag NONE = new EntityTag("");

  /** Whether a condition can go by it: weak ones never hold (RFC 9110, 13.1.1). */
  public boolean isStrong() {
    return text.startsWith("\"");
  }

  /** Weak comparison (RFC 9110, 8.8.3.2); none is like nothing. */
  public boolean isLike(EntityTag other) {
    return !text.isEmpty() && opaque().equals(other.opaque());
  }

  private String opaque() {
    return text.startsWith("W/") ? text.substring(2) : text;
  }
}
