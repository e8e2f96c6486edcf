package org.quietlantern.server.arrival;

import java.time.Instant;
import java.util.List;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.platform.Nullable;

/** An arrival in a round. {@code hereSince}: another alert had found it before. */
public record ArrivalShown(
    Summary publication,
    String occasion,
    String newClass,
    boolean hereSince,
    Instant came,
    List<WordsMet> words,
    List<LampShown> lamps) {

  /** A word of the search and the fields in which it was met. */
  public record WordsMet(String typed, List<String> fields) {}

  /** A member's lamp on an arrival; {@code mark} and the rest only where something was said. */
  public record LampShown(
      String member,
      String lamp,
      @Nullable String mark,
      @Nullable String reason,
      @Nullable Instant at) {}
}
