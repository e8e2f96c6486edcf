package org.quietlantern.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Milliseconds of one thing done again and again. */
record Times(double median, double slow) {
  private static final int ROUNDS = 30;
  private static final int WARM = 5;

  /** What takes long is not repeated as often. */
  private static final long LONGEST = 25_000_000_000L;

  private static final int FEWEST = 9;

  /** {@code before} is done before each round and not counted. */
  static Times of(Runnable before, Runnable work) {
    List<Double> millis = new ArrayList<>();
    long began = System.nanoTime();
    boolean late = false;
    for (int i = 0; i < WARM + ROUNDS && !(late && millis.size() >= FEWEST); i++) {
      before.run();
      long start = System.nanoTime();
      work.run();
      if (i >= WARM) {
        millis.add((System.nanoTime() - start) / 1e6);
      }
      late = System.nanoTime() - began > LONGEST;
    }
    millis.sort(null);
    return new Times(millis.get(millis.size() / 2), millis.get(millis.size() * 95 / 100));
  }

  static Times of(Runnable work) {
    return of(() -> {}, work);
  }

  /** How many times longer another took, by median. */
  double timesLonger(Times other) {
    return other.median / median;
  }

  @Override
  public String toString() {
    return String.format(Locale.ENGLISH, "%.2f (%.2f)", median, slow);
  }
}
