package org.quietlantern.server.account;

import java.time.LocalTime;

/**
 * What holds for an account in all its groups.
 *
 * @param zone in which its days begin, {@code Europe/Oslo}
 * @param letters whether it gets a letter on days on which something waits
 * @param letterHour when that comes, in its zone
 */
record AccountSettings(String zone, boolean letters, LocalTime letterHour) {}
