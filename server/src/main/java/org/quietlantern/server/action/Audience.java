package org.quietlantern.server.action;

import java.util.Locale;

/** Who is told that something was done. */
public enum Audience {
  GROUP,
  /** The member who did it, and the people whom it is about. */
  THOSE,
  /** The member who did it, nobody else. */
  ME;

  String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
