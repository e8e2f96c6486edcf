/**
 * Fetching what sources have to say (OAI-PMH 2.0), whatever they do.
 *
 * <p>{@code HarvestJob} asks {@code Harvests} which sources are due; each is one try. {@code
 * HarvestRun} knows where the next page is and puts up with tokens that are forgotten and circles;
 * {@code OaiReader} reads a page while it streams in and lets nothing through the door that the
 * database cannot hold; {@code HarvestSteps} takes the page and notes the place in one transaction.
 * A record that cannot be taken is set aside by name.
 *
 * <p>A harvest ({@code harvest}) outlives tries and processes: it goes on from its last page until
 * it comes to its end. A try ({@code harvest_try}) is what people are shown: when, how much, why it
 * broke off. Alerts look at what harvests brought once those have come to rest ({@code settled}).
 */
package org.quietlantern.server.harvest;
