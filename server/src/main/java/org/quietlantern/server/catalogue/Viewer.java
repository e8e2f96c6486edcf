package org.quietlantern.server.catalogue;

import org.quietlantern.server.group.Member;

/**
 * For whom the catalogue is read: a group, which sees what it alone has beside what is everybody's,
 * or nobody, who sees the latter.
 *
 * @param group its row number; 0 for nobody
 */
public record Viewer(int group) {
  /** Whoever has only an address. */
  public static final Viewer NOBODY = new Viewer(0);

  public static Viewer of(Member who) {
    return new Viewer(who.group());
  }
}
