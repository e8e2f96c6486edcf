package org.quietlantern.server.arrival;

import java.time.Instant;
import java.util.List;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.platform.Nullable;

/**
 * An arrival in a round.
 *
 * @param id of the publication, and after an {@code @} the occasion on which it comes again; what
 *     is marked is named so
 * @param occasion {@code first coming}, {@code retracted}, {@code corrected}, {@code concern},
 *     {@code final} or {@code withdrawn}
 * @param hereSince another alert had found it before
 * @param lamps of the members; none of what is only told
 * @param because what moves it up where works stand in the order of what the group tends to keep
 */
public record ArrivalShown(
    String id,
    Summary publication,
    String occasion,
    String newClass,
    boolean hereSince,
    Instant came,
    List<WordsMet> words,
    List<LampShown> lamps,
    List<Because> because) {

  /** In another order: the same arrival with what moves it up. */
  ArrivalShown because(List<Because> reasons) {
    return new ArrivalShown(
        id, publication, occasion, newClass, hereSince, came, words, lamps, reasons);
  }

  /**
   * Something that works have which the group kept.
   *
   * @param kind {@code heading}, {@code author}, {@code reference}, {@code journal} or {@code word}
   * @param what its name; of a reference the title of the cited work
   */
  public record Because(String kind, String what) {}

  /** A word of the search and the fields in which it was met. */
  public record WordsMet(String typed, List<String> fields) {}

  /**
   * A member's lamp on an arrival; {@code mark} and the rest only where something was said.
   *
   * @param before what the member had said when the work first came; only where it comes again
   */
  public record LampShown(
      String member,
      String lamp,
      @Nullable String mark,
      @Nullable String reason,
      @Nullable Instant at,
      @Nullable String before) {}
}
