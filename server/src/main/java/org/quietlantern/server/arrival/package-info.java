/**
 * What alerts found, and what the members of a group said of it.
 *
 * <p>An <i>occasion</i> is why a publication is to be looked at (its first coming, a retraction).
 * An <i>arrival</i> is an occasion in a group, once, whichever alerts found it; a <i>finding</i>
 * says that an alert did, in one of its <i>rounds</i>. What a second alert finds stands there as
 * <i>here since</i> and is owed by nobody.
 *
 * <p>Counts of rounds are kept beside the marks in their transaction ({@code RoundCounts}), so that
 * a board of years is read, not worked out; every night they are held against the marks.
 */
package org.quietlantern.server.arrival;
