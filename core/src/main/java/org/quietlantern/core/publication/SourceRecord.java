package org.quietlantern.core.publication;

import java.util.Objects;

/**
 * What a source supplied under one of its identifiers.
 *
 * @param raw as supplied, character by character; empty for a deletion
 * @param datestamp of the source's last change, as the source writes it
 */
public record SourceRecord(
    String identifier, String format, String raw, String datestamp, boolean deleted) {
  public SourceRecord {
    Objects.requireNonNull(raw);
    if (identifier.isBlank()) {
      throw new IllegalArgumentException("a source record without an identifier");
    }
  }
}
