package org.quietlantern.server.folder;

import java.time.Instant;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Nullable;

/**
 * A named strategy in a folder, with what it found when it was saved.
 *
 * @param documented whether each change asks for a reason and each run is kept
 * @param alert public id of the alert that watches it, if one does
 */
public record SavedSearch(
    String id,
    String name,
    Folders.FolderName folder,
    int revision,
    StrategyBody strategy,
    int count,
    String by,
    Instant at,
    boolean documented,
    @Nullable String alert) {}
