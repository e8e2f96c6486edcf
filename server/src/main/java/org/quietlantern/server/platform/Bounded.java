package org.quietlantern.server.platform;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** Ends with an error where more comes than is wanted. */
final class Bounded extends FilterInputStream {
  private long left;

  Bounded(InputStream in, long most) {
    super(in);
    this.left = most;
  }

  @Override
  public int read() throws IOException {
    int next = super.read();
    count(next < 0 ? 0 : 1);
    return next;
  }

  @Override
  public int read(byte[] bytes, int offset, int length) throws IOException {
    int read = super.read(bytes, offset, length);
    count(Math.max(read, 0));
    return read;
  }

  private void count(int read) throws IOException {
    left -= read;
    if (left < 0) {
      throw new IOException("the answer is too large");
    }
  }
}
