package org.quietlantern.core.activity;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * Something that was done, or several alike, as it is told.
 *
 * @param who did it, by a number; empty: the lantern itself
 * @param words with a place for each thing, {@link Wording}
 * @param things what it concerns but publications, in the order in which the words take them
 * @param publications that it concerns, each once
 * @param times how often it was done
 * @param at when it was done last
 */
public record Deed(
    Optional<Integer> who,
    String words,
    List<Thing> things,
    List<String> publications,
    int times,
    Instant at) {

  /** {@code of}: what sort of thing, in lower case; {@code id}: its public id. */
  public record Thing(String of, String id) {}
}
