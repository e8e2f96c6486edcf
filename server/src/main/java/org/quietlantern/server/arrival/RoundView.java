package org.quietlantern.server.arrival;

import java.util.List;
import org.quietlantern.server.folder.Folders;

/**
 * A round with its arrivals.
 *
 * @param order {@code here}, as they came, the newest first, or {@code contents}, as they stand in
 *     the issues of journals
 */
public record RoundView(
    RoundLine round, Folders.FolderName folder, String order, List<ArrivalShown> arrivals) {}
