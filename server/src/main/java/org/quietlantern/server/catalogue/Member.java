package org.quietlantern.server.catalogue;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.exchange.Supplied;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SourceRecord;

/**
 * A source record of a work, with what could be read in it.
 *
 * @param order of supplying: what was supplied later has the larger one
 */
record Member(SourceRecord record, int rank, long order, Supplied supplied) {

  static Member of(SourceRecord record, int rank, long order) {
    return new Member(record, rank, order, RecordReader.read(record.format(), record.raw()));
  }

  /** As if it had been supplied at another place in the order. */
  Member at(long other) {
    return new Member(record, rank, other, supplied);
  }

  Optional<Publication> reading() {
    return supplied instanceof Supplied.Read read
        ? Optional.of(read.publication())
        : Optional.empty();
  }

  /** Whether it supplies values: it can be read and its source has not taken it back. */
  boolean supplies() {
    return !record.deleted() && reading().isPresent();
  }

  List<String> problems() {
    return supplied instanceof Supplied.Unreadable unreadable
        ? List.of(unreadable.reason())
        : ((Supplied.Read) supplied).problems();
  }

  /** As before, but taken back by its source; what it said stays known. */
  Member deleted(String datestamp) {
    SourceRecord gone =
        new SourceRecord(record.identifier(), record.format(), record.raw(), datestamp, true);
    return new Member(gone, rank, order, supplied);
  }
}
