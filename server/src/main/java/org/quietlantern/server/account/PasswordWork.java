package org.quietlantern.server.account;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Checks passwords, which takes time and memory on purpose: on few threads, with a queue that has
 * an end, and never while a connection to the database is held.
 */
@Component
class PasswordWork {
  private static final int SHORTEST = 10;
  static final int LONGEST = 200;
  private static final int AT_ONCE = 2;
  private static final int WAITING = 40;
  private final PasswordEncoder passwords;
  private final String nobodysHash;
  private final ThreadPoolExecutor threads =
      new ThreadPoolExecutor(
          AT_ONCE, AT_ONCE, 0, TimeUnit.SECONDS, new ArrayBlockingQueue<>(WAITING));

  PasswordWork(PasswordEncoder passwords) {
    this.passwords = passwords;
    this.nobodysHash = passwords.encode("nobody");
  }

  /**
   * Whether a password is the one of a hash; refused while too many others wait.
   *
   * @param hash null for an address that nobody has: the same work, so that time tells nothing
   */
  boolean matches(String password, String hash) {
    return done(() -> passwords.matches(password, hash == null ? nobodysHash : hash))
        && hash != null;
  }

  /** The hash to keep of a password that somebody chose; refused where it is too short or long. */
  String chosen(@Nullable String password) {
    if (password == null || password.length() < SHORTEST || password.length() > LONGEST) {
      throw Refusal.unusable("password", "A password has 10 characters at least, 200 at most.");
    }
    return hash(password);
  }

  /** The hash to keep of a password. */
  String hash(String password) {
    return done(() -> passwords.encode(password));
  }

  private <T> T done(Callable<T> work) {
    try {
      return threads.submit(work).get();
    } catch (RejectedExecutionException full) {
      throw Refusal.busy("Too many people sign in at this moment. Try again in a few seconds.");
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stop);
    } catch (ExecutionException failed) {
      throw new IllegalStateException(failed.getCause());
    }
  }

  @PreDestroy
  void end() {
    threads.shutdownNow();
  }
}
