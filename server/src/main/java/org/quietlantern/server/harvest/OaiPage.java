package org.quietlantern.server.harvest;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.core.publication.Text;

/**
 * One answer to ListRecords.
 *
 * @param responseDate the source's own time; empty where it writes none that can be read
 * @param setAside records that cannot be taken as they are; the others can
 * @param token where the next page begins; empty on the last
 * @param expected how many records the whole list has, if the source says so (3.5)
 * @param error code of an OAI-PMH error (3.6), if the answer was one
 */
record OaiPage(
    Optional<Instant> responseDate,
    List<SourceRecord> records,
    List<SetAside> setAside,
    Optional<String> token,
    Optional<Integer> expected,
    Optional<String> error) {

  /** Whether it says that there is nothing in what was asked for (OAI-PMH 2.0, 3.6). */
  boolean saysNothing() {
    return error.filter("noRecordsMatch"::equals).isPresent();
  }

  /** A record that cannot be taken, by its name. {@code raw}: the beginning of what came. */
  record SetAside(String identifier, String why, String raw) {
    /** Letters of a name that are kept: no more find a place in an index of the database. */
    static final int NAME = 200;

    /** Letters of what came that are kept to look at. */
    static final int SHOWN = 10_000;

    SetAside {
      identifier =
          identifier.isBlank() ? "without a name" : Text.atMost(NAME, Text.clean(identifier));
      raw = Text.atMost(SHOWN, raw).replace("\0", "");
    }
  }
}
