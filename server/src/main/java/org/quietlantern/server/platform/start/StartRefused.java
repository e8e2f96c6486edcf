package org.quietlantern.server.platform.start;

/** It cannot start, and whoever started it can do something about it. */
final class StartRefused extends RuntimeException {
  private static final long serialVersionUID = 1;
  private final String todo;

  StartRefused(String why, String todo) {
    super(why);
    this.todo = todo;
  }

  /** What to do, in a sentence. */
  String todo() {
    return todo;
  }
}
