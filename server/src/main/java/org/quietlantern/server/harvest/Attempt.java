package org.quietlantern.server.harvest;

import java.net.URI;
import java.util.Optional;

/** What one try at a source has come to so far. */
final class Attempt {
  private int pages;
  private int taken;
  private int changed;
  private int setAside;
  private Optional<URI> movedTo = Optional.empty();

  void page(int records, Taking.Taken page) {
    pages++;
    taken += records;
    changed += page.changed();
    setAside += page.setAside();
  }

  /** That the source leads to another address for good. */
  void moved(Optional<URI> to) {
    movedTo = to.or(() -> movedTo);
  }

  int pages() {
    return pages;
  }

  int taken() {
    return taken;
  }

  int changed() {
    return changed;
  }

  int setAside() {
    return setAside;
  }

  Optional<URI> movedTo() {
    return movedTo;
  }
}
