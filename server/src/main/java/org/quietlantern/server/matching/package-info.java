/**
 * Where strategies meet the catalogue: compiled, counted, explained. One place, so that a search,
 * an alert and a report can never disagree.
 *
 * <p>What a count depends on is three things: the state of the index (a number of changes), the
 * day, and what a group has (holdings, journals, headings; {@code GroupContexts}). Together they
 * are the opaque {@code asOf} that answers carry.
 *
 * <p>{@code Matching.inOneState} is the gate of all questions of members: it waits for a fair turn,
 * opens one state for whatever is asked inside, and ends the work when its time is over. Inside a
 * transaction there is no waiting, for a connection would wait, too; commands therefore ask before
 * they begin theirs.
 */
package org.quietlantern.server.matching;
