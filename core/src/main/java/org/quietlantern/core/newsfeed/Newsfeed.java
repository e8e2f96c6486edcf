package org.quietlantern.core.newsfeed;

import java.util.List;
import org.quietlantern.core.publication.Publication;

/**
 * A feed as it was read.
 *
 * @param title of it; may be empty
 * @param site the page that it belongs to; may be empty
 * @param entries each once, in its order
 * @param left how many more entries it has than are read
 * @param unread how many entries say nothing that can be a work: no title
 */
public record Newsfeed(String title, String site, List<Entry> entries, int left, int unread) {
  /** Entries that are read of one feed; no journal has as many at once. */
  public static final int MOST = 1_000;

  public Newsfeed {
    entries = List.copyOf(entries);
  }

  /**
   * @param id names it in its feed, the same however often it comes
   * @param link where it leads; may be empty
   */
  public record Entry(String id, String link, Publication work) {}

  /** Cannot be read as a feed; the message is a sentence for people. */
  public static final class Unreadable extends java.io.IOException {
    private static final long serialVersionUID = 1;

    Unreadable(String message, Throwable cause) {
      super(message, cause);
    }
  }
}
