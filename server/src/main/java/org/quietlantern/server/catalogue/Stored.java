package org.quietlantern.server.catalogue;

import java.time.Instant;
import org.quietlantern.core.publication.Publication;

/** A publication of the catalogue. {@code id} is its row number and is never shown. */
public record Stored(
    int id, String pid, Instant came, boolean withdrawn, Publication publication) {}
