package org.quietlantern.server.arrival;

import java.util.List;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.platform.Nullable;

/**
 * A page of a list of arrivals.
 *
 * @param count how many are in the whole list
 * @param learned from what their order was learned; none in the usual one
 * @param next what the next page is asked for with; none on the last
 */
public record ArrivalList(
    String list,
    int count,
    List<ArrivalListed> arrivals,
    @Nullable RoundView.Learned learned,
    @Nullable String next) {

  /** {@code round}: where it stands; none of what was marked elsewhere and never came. */
  public record ArrivalListed(ArrivalShown arrival, @Nullable InRound round) {}

  /** {@code folder}: where a keep goes; {@code apart}: how many decide apart; 0: nobody does. */
  public record InRound(String id, String alertName, int n, Folders.FolderName folder, int apart) {}

  /**
   * How much is in each list for the reader.
   *
   * @param readable held for their text, which can be read now; {@code waiting}: which cannot yet
   * @param changed what waits for the reader of what was decided on and comes again
   * @param rested what came while the reader was away, or was let rest
   * @param mine how many of those whose text can be read now the reader held for it
   */
  public record ListCounts(
      int owed,
      int nobody,
      int raised,
      int readable,
      int mine,
      int waiting,
      int unsure,
      int disputed,
      int rested,
      int changed) {}
}
