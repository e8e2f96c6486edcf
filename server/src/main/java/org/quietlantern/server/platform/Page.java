package org.quietlantern.server.platform;

import java.util.List;

/** The rows of a page, and whether others follow. */
public record Page<T>(List<T> rows, boolean more) {
  /** Of what was found when one row more than a page holds was asked for. */
  public static <T> Page<T> of(List<T> found, int most) {
    return new Page<>(found.subList(0, Math.min(most, found.size())), found.size() > most);
  }

  /** After which the next page begins; for a page that others follow. */
  public T last() {
    return rows.get(rows.size() - 1);
  }
}
