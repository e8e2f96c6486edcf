package org.quietlantern.server.catalogue;

import java.time.Instant;
import org.quietlantern.core.publication.Publication;

/**
 * A publication of the catalogue.
 *
 * @param asked row number that was asked for: that of {@code id}, or of one merged into it
 * @param id its row number, never shown
 */
public record Stored(
    int asked, int id, String pid, Instant came, boolean withdrawn, Publication publication) {
  /** Whether it was asked for by what it was before it was merged into another. */
  public boolean isMerged() {
    return asked != id;
  }
}
