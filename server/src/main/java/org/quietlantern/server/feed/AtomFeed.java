package org.quietlantern.server.feed;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.publication.Publication;

/**
 * A feed before it is written.
 *
 * @param updated when its last round closed, or when it was made
 */
public record AtomFeed(
    String id,
    String title,
    String group,
    String self,
    String alternate,
    Instant updated,
    List<Entry> entries) {

  /** One arrival. {@code updated}: when its round closed, after which it does not change. */
  public record Entry(
      String id,
      Publication publication,
      String link,
      String newClass,
      Instant published,
      Instant updated) {}

  /** The same name in the same installation gives the same id, wherever the server moves. */
  static String id(String installation, String name) {
    byte[] bytes = (installation + "/" + name).getBytes(StandardCharsets.UTF_8);
    return "urn:uuid:" + UUID.nameUUIDFromBytes(bytes);
  }
}
