package org.quietlantern.server.account;

import java.time.LocalTime;
import java.util.List;

/**
 * What holds for an account in all its groups.
 *
 * @param zone in which its days begin, {@code Europe/Oslo}
 * @param letters whether it is written to at all
 * @param letterDays on which days, as in ISO 8601: Monday is 1
 * @param letterHours one to four, in its zone
 * @param lettersAtOnce whether also as soon as a round closes
 * @param lettersOfNothing whether also where nothing came
 */
record AccountSettings(
    String zone,
    boolean letters,
    List<Integer> letterDays,
    List<LocalTime> letterHours,
    boolean lettersAtOnce,
    boolean lettersOfNothing) {}
