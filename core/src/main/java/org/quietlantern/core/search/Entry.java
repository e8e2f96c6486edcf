package org.quietlantern.core.search;

import java.time.Instant;
import org.quietlantern.core.publication.Publication;

/** A publication as the index takes it in. {@code id} is its row number, above 0. */
public record Entry(int id, String publicId, Instant came, Publication publication) {
  public Entry {
    if (id <= 0) {
      throw new IllegalArgumentException("bad row number " + id);
    }
  }
}
