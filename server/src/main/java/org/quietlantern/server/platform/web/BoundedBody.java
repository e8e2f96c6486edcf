package org.quietlantern.server.platform.web;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicBoolean;

/** A request whose body is read up to a bound of bytes and of time. */
final class BoundedBody extends HttpServletRequestWrapper {
  private final long most;
  private final Duration time;
  private final long end;
  private final Runnable whenRead;
  private final AtomicBoolean read = new AtomicBoolean();
  private ServletInputStream body;

  /** A body that has no end. */
  static final class TooLarge extends IOException {
    private static final long serialVersionUID = 1;

    TooLarge(long most) {
      super(sentence(most));
    }

    static String sentence(long most) {
      return "What was sent is longer than the %,d bytes that are taken here.".formatted(most);
    }
  }

  /** A body that does not come to its end in time. */
  static final class TooSlow extends IOException {
    private static final long serialVersionUID = 1;

    TooSlow(Duration time) {
      super("What was sent did not arrive within %d seconds.".formatted(time.toSeconds()));
    }
  }

  /** {@code whenRead}: called once, when nothing more will be read. */
  BoundedBody(HttpServletRequest request, long most, Duration time, Runnable whenRead) {
    super(request);
    this.most = most;
    this.time = time;
    this.end = System.nanoTime() + time.toNanos();
    this.whenRead = whenRead;
  }

  void done() {
    if (read.compareAndSet(false, true)) {
      whenRead.run();
    }
  }

  @Override
  public ServletInputStream getInputStream() throws IOException {
    if (body == null) {
      body = new Counted(super.getInputStream());
    }
    return body;
  }

  @Override
  public BufferedReader getReader() throws IOException {
    return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
  }

  private final class Counted extends ServletInputStream {
    private final ServletInputStream from;
    private long count;

    Counted(ServletInputStream from) {
      this.from = from;
    }

    private int counted(int bytes) throws IOException {
      if (bytes < 0) {
        done();
        return bytes;
      }
      count += bytes;
      if (count > most) {
        throw new TooLarge(most);
      }
      if (System.nanoTime() - end > 0) {
        throw new TooSlow(time);
      }
      return bytes;
    }

    @Override
    public int read() throws IOException {
      int one = from.read();
      counted(one < 0 ? -1 : 1);
      return one;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
      return counted(from.read(into, offset, length));
    }

    @Override
    public boolean isFinished() {
      return from.isFinished();
    }

    @Override
    public boolean isReady() {
      return from.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
      from.setReadListener(listener);
    }
  }
}
