package org.quietlantern.server.trouble;

import java.util.List;
import org.quietlantern.server.platform.Nullable;

/** Says what does not go as it should; each feature does for its own things. */
public interface TroubleTeller {
  /**
   * Something that does not go as it should.
   *
   * @param key names it as long as it lasts, unique over all features
   * @param group row number of the group that it concerns; none: the installation
   * @param title of the thing
   * @param place where it is told in full, below a group's address
   * @param why as a sentence
   */
  record TroubleNow(String key, @Nullable Integer group, String title, String place, String why) {}

  /** All there is now. */
  List<TroubleNow> now();
}
