package org.quietlantern.core.holdings;

import java.time.LocalDate;
import java.util.Optional;

/**
 * How a group comes to one publication, and why so.
 *
 * @param ground in words, for people
 * @param until the last day that it holds, where one is known
 */
public record Way(Access access, String ground, Optional<LocalDate> until) {}
