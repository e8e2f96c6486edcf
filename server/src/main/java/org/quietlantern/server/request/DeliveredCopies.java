package org.quietlantern.server.request;

import java.io.IOException;

/** Takes copies that libraries deliver among the texts of groups. */
public interface DeliveredCopies {
  /**
   * A copy that waits to be fetched.
   *
   * @param membership who wanted it first
   * @param publication row number
   * @param link where it is
   * @param licence what its use is bound to
   */
  record Delivered(int group, int membership, int publication, String link, String licence) {}

  /**
   * Fetches it and keeps it. Not to be called in a transaction.
   *
   * @return row number of the text
   * @throws IOException if it is not there, or what is there is no copy of the work; in words
   */
  int keep(Delivered copy) throws IOException;
}
