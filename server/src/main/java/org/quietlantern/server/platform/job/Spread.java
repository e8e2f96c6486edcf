package org.quietlantern.server.platform.job;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * One thing after the other of many, by as many threads as there are processors. For jobs: whoever
 * visits shares the processors with them.
 */
public final class Spread {
  private Spread() {}

  /** What comes of each, in their order; the first failure is thrown after all were tried. */
  public static <T, R> List<R> map(List<T> all, Function<T, R> work) {
    if (all.size() < 2) {
      return all.stream().map(work).toList();
    }
    ExecutorService threads =
        Executors.newFixedThreadPool(
            Math.min(all.size(), Runtime.getRuntime().availableProcessors()),
            run -> new Thread(run, "spread"));
    try {
      List<Callable<R>> calls = new ArrayList<>();
      all.forEach(one -> calls.add(() -> work.apply(one)));
      List<R> done = new ArrayList<>();
      for (Future<R> one : threads.invokeAll(calls)) {
        done.add(one.get());
      }
      return done;
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("stopped on the way", stopped);
    } catch (ExecutionException failed) {
      if (failed.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      if (failed.getCause() instanceof Error fatal) {
        throw fatal;
      }
      throw new IllegalStateException(failed);
    } finally {
      threads.shutdownNow();
    }
  }

  /** Those of which something holds, in their order. */
  public static <T> List<T> filter(List<T> all, Predicate<T> holds) {
    List<Boolean> held = map(all, holds::test);
    List<T> kept = new ArrayList<>();
    for (int n = 0; n < all.size(); n++) {
      if (held.get(n)) {
        kept.add(all.get(n));
      }
    }
    return kept;
  }

  public static <T> void each(List<T> all, Consumer<T> work) {
    map(
        all,
        one -> {
          work.accept(one);
          return true;
        });
  }
}
