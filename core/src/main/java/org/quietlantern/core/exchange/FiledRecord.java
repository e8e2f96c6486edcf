package org.quietlantern.core.exchange;

import java.util.Optional;

/**
 * A record as it stands in a file.
 *
 * @param identifier as it, or what is around it, says; made of its contents where nothing does
 * @param datestamp of the harvest that was saved; empty if it was none
 * @param raw as supplied, XML in any of the formats that can be read; empty if it was taken back
 * @param problem why it cannot be taken as it is
 */
public record FiledRecord(
    String identifier, String datestamp, boolean deleted, String raw, Optional<String> problem) {}
