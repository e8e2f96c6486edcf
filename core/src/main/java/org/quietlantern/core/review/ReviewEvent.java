package org.quietlantern.core.review;

import java.time.Instant;
import java.util.Optional;

/**
 * One thing that a member said of an occasion. Events are only ever added.
 *
 * @param number grows with every event
 * @param mark empty: a mark is taken back
 * @param undoes the number of the mark that is taken back; empty for marks, and for an undo that
 *     found nothing to take back
 * @param reason empty if none was given
 */
public record ReviewEvent(
    int number, Optional<Mark> mark, Optional<Integer> undoes, String reason, Instant at) {}
