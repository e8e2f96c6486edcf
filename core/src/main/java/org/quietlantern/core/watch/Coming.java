package org.quietlantern.core.watch;

/**
 * One occasion of a work.
 *
 * @param key what tells it from others of its kind; empty where it happens once
 */
public record Coming(Occasion occasion, String key) {
  public static final Coming FIRST = new Coming(Occasion.FIRST_COMING, "");

  /** As {@code retracted} or {@code corrected:17}; empty for the first. */
  public String text() {
    if (isFirst()) {
      return "";
    }
    return key.isEmpty() ? occasion.word() : occasion.word() + ":" + key;
  }

  /**
   * Reads what {@link #text} wrote.
   *
   * @throws java.util.NoSuchElementException where there is no such occasion
   */
  public static Coming of(String text) {
    int colon = text.indexOf(':');
    if (text.isEmpty()) {
      return FIRST;
    }
    return colon < 0
        ? new Coming(Occasion.named(text), "")
        : new Coming(Occasion.named(text.substring(0, colon)), text.substring(colon + 1));
  }

  public boolean isFirst() {
    return occasion == Occasion.FIRST_COMING;
  }
}
