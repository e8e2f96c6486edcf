package org.quietlantern.server.catalogue;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.exchange.SuppliedRecord;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.core.publication.SourceRecord;

/**
 * A source record of a work, with what could be read in it.
 *
 * @param order of supplying: what was supplied later has the larger one
 * @param keys by which records of the same work find each other
 */
record WorkRecord(
    SourceRecord record, int rank, long order, SuppliedRecord supplied, List<String> keys) {

  static WorkRecord of(SourceRecord record, int rank, long order) {
    SuppliedRecord supplied = RecordReader.read(record.raw());
    List<String> keys =
        supplied instanceof SuppliedRecord.Read read
            ? SameWork.keys(read.publication())
            : List.of();
    return new WorkRecord(record, rank, order, supplied, keys);
  }

  /** As if it had been supplied at another place in the order. */
  WorkRecord at(long other) {
    return new WorkRecord(record, rank, other, supplied, keys);
  }

  Optional<Publication> reading() {
    return supplied instanceof SuppliedRecord.Read read
        ? Optional.of(read.publication())
        : Optional.empty();
  }

  /** Whether it supplies values: it can be read and its source has not taken it back. */
  boolean supplies() {
    return !record.deleted() && reading().isPresent();
  }

  List<String> problems() {
    return supplied instanceof SuppliedRecord.Unreadable unreadable
        ? List.of(unreadable.reason())
        : ((SuppliedRecord.Read) supplied).problems();
  }

  /** As before, but taken back by its source; what it said stays known. */
  WorkRecord deleted(String datestamp) {
    SourceRecord gone =
        new SourceRecord(record.identifier(), record.format(), record.raw(), datestamp, true);
    return new WorkRecord(gone, rank, order, supplied, keys);
  }
}
