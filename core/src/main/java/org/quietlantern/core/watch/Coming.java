package org.quietlantern.core.watch;

/**
 * One occasion of a work.
 *
 * @param key what tells it from others of its kind; empty where it happens once
 */
public record Coming(Occasion occasion, String key) {
  public static final Coming FIRST = new Coming(Occasion.FIRST_COMING, "");

  /** A work as it comes: by its id the first time, as {@code ID@retracted} when it comes again. */
  public record Of(String work, Coming on) {
    public String name() {
      return on.isFirst() ? work : work + "@" + on.text();
    }

    /**
     * Reads what {@link #name} wrote.
     *
     * @throws java.util.NoSuchElementException where there is no such occasion
     */
    public static Of named(String name) {
      int at = name.indexOf('@');
      return at < 0
          ? new Of(name, FIRST)
          : new Of(name.substring(0, at), Coming.of(name.substring(at + 1)));
    }
  }

  /** By the word of its occasion and its key, as they are stored. */
  public static Coming stored(String occasion, String key) {
    return new Coming(Occasion.named(occasion), key);
  }

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
        ? stored(text, "")
        : stored(text.substring(0, colon), text.substring(colon + 1));
  }

  public boolean isFirst() {
    return occasion == Occasion.FIRST_COMING;
  }
}
