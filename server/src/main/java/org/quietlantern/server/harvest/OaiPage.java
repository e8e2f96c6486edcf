package org.quietlantern.server.harvest;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.publication.SourceRecord;

/**
 * One answer to ListRecords.
 *
 * @param responseDate the source's own time, as it writes it
 * @param token where the next page begins; empty on the last
 * @param error code of an OAI-PMH error (3.6), if the answer was one
 */
record OaiPage(
    String responseDate,
    List<SourceRecord> records,
    Optional<String> token,
    Optional<String> error) {}
