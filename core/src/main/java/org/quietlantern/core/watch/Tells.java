package org.quietlantern.core.watch;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What an alert tells of that which its search finds. */
public enum Tells {
  /** What is new to it, and what comes again to be reviewed. */
  NEW,
  /** What changes of it, and not what is new to it. */
  CHANGES;

  /** As it is stored and shown. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Tells> named(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
  }
}
