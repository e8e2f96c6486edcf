package org.quietlantern.server.arrival;

import java.util.List;
import org.quietlantern.server.platform.Nullable;

/**
 * A page of the rounds of a group.
 *
 * @param older how many rounds come after this page
 * @param owed how many arrivals wait for the reader in all rounds of the group
 * @param waiting the first round in which something waits for the reader; it may be on a later page
 */
public record RoundsPage(List<RoundLine> rounds, int older, int owed, @Nullable String waiting) {}
