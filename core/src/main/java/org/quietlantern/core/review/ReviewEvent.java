package org.quietlantern.core.review;

import java.time.Instant;
import java.util.Optional;

/**
 * One thing that a member said of an occasion. Events are only ever added.
 *
 * @param mark empty: the last mark still standing is taken back
 * @param reason empty if none was given
 */
public record ReviewEvent(Optional<Mark> mark, String reason, Instant at) {}
