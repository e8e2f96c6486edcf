package org.quietlantern.server.support;

import java.util.LinkedHashSet;
import java.util.Set;
import org.quietlantern.server.platform.Checkpoint;

/** Dies once at the place that it was told, as a process does: nothing catches it. */
public final class DyingCheckpoint extends Checkpoint {
  private final Set<String> passed = new LinkedHashSet<>();
  private String deadly = "";
  private int left;

  /** Not an exception, so that no code that is kind to failures notices it. */
  public static final class Death extends Error {
    private static final long serialVersionUID = 1;
  }

  public synchronized void dieAt(String place) {
    dieAt(place, 1);
  }

  /** {@code times}: it dies when it comes there for this time. */
  public synchronized void dieAt(String place, int times) {
    deadly = place;
    left = times;
  }

  /** Every place that was passed so far. */
  public synchronized Set<String> passed() {
    return Set.copyOf(passed);
  }

  @Override
  public synchronized void pass(String place) {
    passed.add(place);
    if (place.equals(deadly) && --left == 0) {
      deadly = "";
      throw new Death();
    }
  }
}
