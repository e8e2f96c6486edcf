package org.quietlantern.server.alert;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.quietlantern.server.catalogue.Publications;
import org.roaringbitmap.RoaringBitmap;

/**
 * What changed in the catalogue between two numbers.
 *
 * @param touched row numbers of all that changed
 * @param arrived those of them that came with these changes
 */
record ChangesSince(RoaringBitmap touched, Set<Integer> arrived) {
  private static final int AT_ONCE = 5000;

  /** Changes with numbers above {@code after} up to {@code upTo}. */
  static ChangesSince read(Publications publications, long after, long upTo) {
    RoaringBitmap touched = new RoaringBitmap();
    Set<Integer> arrived = new HashSet<>();
    List<Publications.Change> page = new ArrayList<>();
    long reached = after;
    do {
      page = publications.changes(reached, upTo, AT_ONCE);
      for (Publications.Change change : page) {
        touched.add(change.publication());
        if (change.isNew()) {
          arrived.add(change.publication());
        }
        reached = change.no();
      }
    } while (page.size() == AT_ONCE);
    return new ChangesSince(touched, arrived);
  }
}
