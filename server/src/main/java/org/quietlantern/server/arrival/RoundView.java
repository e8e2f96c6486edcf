package org.quietlantern.server.arrival;

import java.util.List;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.platform.Nullable;

/**
 * A round with its arrivals.
 *
 * @param order {@code here}, as they came, the newest first; {@code contents}, as they stand in the
 *     issues of journals; {@code kept}, what the group tends to keep first
 * @param learned from what the order {@code kept} was learned; none in another order
 */
public record RoundView(
    RoundLine round,
    Folders.FolderName folder,
    String order,
    @Nullable Learned learned,
    List<ArrivalShown> arrivals) {

  /**
   * How many works the group had kept and passed when the day began.
   *
   * @param fewest with fewer of either nothing is learned, and they stand as they came
   */
  public record Learned(int kept, int passed, int fewest) {}
}
