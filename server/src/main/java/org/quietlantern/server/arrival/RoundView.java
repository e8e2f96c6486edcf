package org.quietlantern.server.arrival;

import java.util.List;
import org.quietlantern.server.folder.Folders;

/** A round with its arrivals, in the order in which they came. */
public record RoundView(RoundLine round, Folders.FolderName folder, List<ArrivalShown> arrivals) {}
