package org.quietlantern.server.arrival;

import java.time.Instant;
import java.util.Map;
import org.quietlantern.server.platform.Nullable;

/**
 * A round in the list of rounds.
 *
 * @param closed none while it gathers
 * @param reviewed how many each member has reviewed, by the member's id
 * @param shares how many of them are each member's to review, by the member's id: not what came
 *     before they joined
 * @param asked how many marks cover an arrival
 * @param covers which marks do: {@code mark} (any), {@code verdict} or {@code apart}
 * @param covered how many have as many as are asked for
 * @param waitingSince when the oldest came that is not covered
 */
public record RoundLine(
    String id,
    String alert,
    String alertName,
    int n,
    Instant opens,
    @Nullable Instant closes,
    @Nullable Instant closed,
    int arrivals,
    int asked,
    String covers,
    Map<String, Integer> reviewed,
    Map<String, Integer> shares,
    int covered,
    int nobody,
    @Nullable Instant waitingSince) {}
