package org.quietlantern.core.publication;

/**
 * Where a work can be met on the web, as a source says it.
 *
 * @param address http or https
 * @param use what is there
 * @param version of which version it is
 * @param open whether anybody may read it there
 */
public record Copy(String address, Use use, VersionKind version, boolean open) {
  /** What an address leads to. */
  public enum Use {
    /** The text itself, as a page. */
    PAGE,
    /** The text itself, as a file. */
    FILE,
    /** A page about the work, from which its text may hang; or nobody says what it is. */
    ABOUT
  }
}
