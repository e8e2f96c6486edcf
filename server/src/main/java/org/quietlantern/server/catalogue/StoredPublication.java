package org.quietlantern.server.catalogue;

import java.time.Instant;
import org.quietlantern.core.holdings.Holdings;
import org.quietlantern.core.holdings.Ways;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;

/**
 * A publication of the catalogue.
 *
 * @param asked row number that was asked for: that of {@code id}, or of one merged into it
 * @param id its row number, never shown
 * @param digest of its values and of who supplies it
 * @param group the group that alone has it; 0 for everybody's
 */
public record StoredPublication(
    int asked,
    int id,
    String pid,
    int group,
    Instant came,
    boolean withdrawn,
    Publication publication,
    long digest) {
  /** What its access depends on. */
  public static Ways.Asked asked(Publication publication) {
    return new Ways.Asked(
        publication.open(),
        Holdings.Title.numberOf(publication),
        publication.date().map(PartialDate::earliest),
        publication.date().map(PartialDate::latest),
        publication.kind(),
        !publication.abstractText().isEmpty());
  }

  /** Whether it was asked for by what it was before it was merged into another. */
  public boolean isMerged() {
    return asked != id;
  }
}
