package org.quietlantern.server.matching;

import org.quietlantern.core.search.InsideTexts;

/** Knows what is inside the texts of groups, so that this place need not know how. */
public interface TextsInside {
  /** Up to which change to the texts of a group (row number) they are now. */
  int edition(int group);

  /**
   * Of a group, as of a change to its texts or, while that is still being taken in, an earlier one.
   */
  InsideTexts of(int group, int edition);
}
