package org.quietlantern.core.search;

import java.time.Instant;
import java.util.List;
import org.quietlantern.core.publication.Publication;

/**
 * A publication as the index takes it in. {@code id} is its row number, above 0.
 *
 * @param group the group that alone has it, by its row number; {@link #SHARED} for everybody's
 * @param sources keys of the sources that supply it
 * @param digest of everything above: another value is another state of the publication
 */
public record IndexEntry(
    int id,
    String publicId,
    int group,
    Instant came,
    List<String> sources,
    Publication publication,
    long digest) {
  /** Of no group in particular. */
  public static final int SHARED = 0;

  public IndexEntry {
    sources = List.copyOf(sources);
    if (id <= 0) {
      throw new IllegalArgumentException("bad row number " + id);
    }
  }

  /** One whose state nobody compares. */
  public IndexEntry(
      int id,
      String publicId,
      int group,
      Instant came,
      List<String> sources,
      Publication publication) {
    this(id, publicId, group, came, sources, publication, 0);
  }
}
