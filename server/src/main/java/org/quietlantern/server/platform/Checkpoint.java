package org.quietlantern.server.platform;

import org.springframework.stereotype.Component;

/**
 * Places on the way from a source to a lamp at which a process may die. Does nothing; tests put one
 * in its stead that does die, to see that starting again makes up for it.
 */
@Component
public class Checkpoint {
  /** {@code place} is unique in the code. */
  public void pass(String place) {
    // Nothing happens here outside of tests.
  }
}
