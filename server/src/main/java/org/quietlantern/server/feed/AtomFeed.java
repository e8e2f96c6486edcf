package org.quietlantern.server.feed;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.server.platform.Nullable;

/**
 * A feed before it is written.
 *
 * @param subtitle what it is, in a sentence
 * @param author who makes it, as RFC 4287 (4.1.1) asks for
 * @param self the address of this page
 * @param first the address of the first page
 * @param next the address of the page after this one; none behind the last (RFC 5005, 3)
 * @param updated when its last round closed or something in it changed, or when it was made
 */
public record AtomFeed(
    String id,
    String title,
    String subtitle,
    String author,
    String self,
    String first,
    @Nullable String next,
    String alternate,
    Instant updated,
    List<Entry> entries) {

  /**
   * One publication.
   *
   * @param abstractText may be empty, where it is not to be shown
   * @param newClass why it is news; absent where that is not told
   * @param updated when its round closed or it was kept, or what is told of it last changed
   */
  public record Entry(
      String id,
      Publication publication,
      String abstractText,
      String link,
      @Nullable String newClass,
      Instant published,
      Instant updated) {}

  /** The same name in the same installation gives the same id, wherever the server moves. */
  public static String id(String installation, String name) {
    byte[] bytes = (installation + "/" + name).getBytes(StandardCharsets.UTF_8);
    return "urn:uuid:" + UUID.nameUUIDFromBytes(bytes);
  }
}
