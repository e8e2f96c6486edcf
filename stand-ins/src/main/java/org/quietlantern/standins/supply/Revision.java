package org.quietlantern.standins.supply;

import java.time.Instant;

/** What a source says of a work from a moment on. {@code deleted}: it says only that it is gone. */
public record Revision(Instant from, Entry entry, boolean deleted) {
  public String identifier() {
    return entry.identifier();
  }
}
