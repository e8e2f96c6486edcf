package org.quietlantern.core.exchange;

import java.io.Writer;

/** Keeps the beginning of what is written; the rest is let go, and it says so. */
public final class BoundedText extends Writer {
  private final StringBuilder text = new StringBuilder();
  private final int most;
  private boolean cut;

  public BoundedText(int most) {
    this.most = most;
  }

  @Override
  public void write(char[] letters, int offset, int length) {
    int room = most - text.length();
    text.append(letters, offset, Math.min(length, room));
    cut |= length > room;
  }

  public boolean isCut() {
    return cut;
  }

  @Override
  public String toString() {
    return text.toString();
  }

  @Override
  public void flush() {
    // It is all here.
  }

  @Override
  public void close() {
    // Nothing is held open.
  }
}
