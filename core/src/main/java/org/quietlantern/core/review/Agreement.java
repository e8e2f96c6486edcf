package org.quietlantern.core.review;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import org.apache.commons.math3.distribution.NormalDistribution;
import org.apache.commons.math3.distribution.TDistribution;

/**
 * How far readers who judged apart came to the same, and how much of it is more than chance (rule
 * V6). Intervals are of 95 %.
 */
public final class Agreement {
  /** Fewer works than these say nothing that holds. */
  public static final int FEWEST = 10;

  private static final double LEVEL = 0.975;
  private static final double TINY = 1e-12;
  private static final double NORMAL = new NormalDistribution().inverseCumulativeProbability(LEVEL);

  /**
   * The verdicts on a work, by reader; at least one.
   *
   * @param by each of which is any word
   */
  public record Judged(Map<Integer, String> by) {
    public Judged {
      by = Map.copyOf(by);
      if (by.isEmpty()) {
        throw new IllegalArgumentException("judged by nobody");
      }
    }

    /** Whether all said the same. */
    public boolean isAgreed() {
      return Set.copyOf(by.values()).size() == 1;
    }

    private double share(String verdict) {
      return (double) many(verdict) / by.size();
    }

    private long many(String verdict) {
      return by.values().stream().filter(verdict::equals).count();
    }

    private boolean isShared() {
      return by.size() > 1;
    }

    /** How many of its pairs of readers agree, of all of them. */
    private double agreeing() {
      double pairs = by.size() * (by.size() - 1.0);
      return Set.copyOf(by.values()).stream()
              .mapToDouble(verdict -> many(verdict) * (many(verdict) - 1.0))
              .sum()
          / pairs;
    }
  }

  /** Why there is no figure, or none that says much. */
  public enum Doubt {
    NONE,
    /** Fewer than {@link #FEWEST} works. */
    FEW,
    /** All verdicts are the same: nothing is left that chance leaves open. */
    ONE_VERDICT,
    /** No work was judged by two. */
    NOTHING_SHARED;

    public String word() {
      return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
  }

  /**
   * A figure; without a value (NaN) where it is not defined.
   *
   * @param value 1: they always agree; of those beyond chance 0: as often as chance, and less below
   * @param works that it is of
   * @param low of the interval
   * @param high of the interval, at most 1
   */
  public record Figure(double value, int works, double low, double high, Doubt doubt) {
    static Figure none(int works, Doubt doubt) {
      return new Figure(Double.NaN, works, Double.NaN, Double.NaN, doubt);
    }

    static Figure of(double value, int works, double error, double quantile) {
      return new Figure(
          value,
          works,
          Math.max(-1, value - quantile * error),
          Math.min(1, value + quantile * error),
          works < FEWEST ? Doubt.FEW : Doubt.NONE);
    }
  }

  private Agreement() {}

  /**
   * The share of works on which two readers said the same, of those that both judged; the interval
   * is Wilson's (E. B. Wilson, JASA 22, 1927).
   */
  public static Figure percent(Collection<Judged> judged, int one, int other) {
    List<Judged> both = both(judged, one, other);
    int n = both.size();
    if (n == 0) {
      return Figure.none(0, Doubt.NOTHING_SHARED);
    }
    double share = both.stream().filter(work -> agree(work, one, other)).count() / (double) n;
    double square = NORMAL * NORMAL;
    double middle = (share + square / (2 * n)) / (1 + square / n);
    double half =
        NORMAL * Math.sqrt(share * (1 - share) / n + square / (4.0 * n * n)) / (1 + square / n);
    return new Figure(share, n, middle - half, middle + half, n < FEWEST ? Doubt.FEW : Doubt.NONE);
  }

  /**
   * Cohen's kappa of two readers over the works that both judged (J. Cohen, Educational and
   * Psychological Measurement 20, 1960), with the error for large samples of J. L. Fleiss, J. Cohen
   * and B. S. Everitt (Psychological Bulletin 72, 1969).
   */
  public static Figure cohen(Collection<Judged> judged, int one, int other) {
    List<Judged> both = both(judged, one, other);
    int n = both.size();
    if (n == 0) {
      return Figure.none(0, Doubt.NOTHING_SHARED);
    }
    Map<List<String>, Double> cells = new HashMap<>();
    Map<String, Double> ones = new HashMap<>();
    Map<String, Double> others = new HashMap<>();
    for (Judged work : both) {
      String first = work.by().get(one);
      String second = work.by().get(other);
      cells.merge(List.of(first, second), 1.0 / n, Double::sum);
      ones.merge(first, 1.0 / n, Double::sum);
      others.merge(second, 1.0 / n, Double::sum);
    }
    double same = both.stream().filter(work -> agree(work, one, other)).count() / (double) n;
    double chance =
        ones.entrySet().stream()
            .mapToDouble(of -> of.getValue() * others.getOrDefault(of.getKey(), 0.0))
            .sum();
    if (1 - chance < TINY) {
      return Figure.none(n, Doubt.ONE_VERDICT);
    }
    double kappa = (same - chance) / (1 - chance);
    double sum = 0;
    for (Map.Entry<List<String>, Double> cell : cells.entrySet()) {
      String first = cell.getKey().get(0);
      String second = cell.getKey().get(1);
      double edges = others.getOrDefault(first, 0.0) + ones.getOrDefault(second, 0.0);
      double part =
          first.equals(second)
              ? 1 - (ones.get(first) + others.get(first)) * (1 - kappa)
              : edges * (1 - kappa);
      sum += cell.getValue() * part * part;
    }
    double less = kappa - chance * (1 - kappa);
    double variance = (sum - less * less) / (n * (1 - chance) * (1 - chance));
    return Figure.of(kappa, n, Math.sqrt(Math.max(0, variance)), NORMAL);
  }

  /**
   * Fleiss' kappa of any readers (J. L. Fleiss, Psychological Bulletin 76, 1971), for works that
   * not all have judged, and with an interval, as K. L. Gwet has it (Handbook of Inter-Rater
   * Reliability, chapter 2 and 5): by linearization, with Student's t.
   */
  public static Figure fleiss(Collection<Judged> judged) {
    return beyondChance(judged, verdicts -> 1, share -> share);
  }

  /**
   * Gwet's AC1 of any readers, which holds where nearly all verdicts are the same (K. L. Gwet,
   * British Journal of Mathematical and Statistical Psychology 61, 2008).
   */
  public static Figure ac1(Collection<Judged> judged) {
    return beyondChance(judged, verdicts -> 1.0 / (verdicts - 1), share -> 1 - share);
  }

  /**
   * @param scale by the number of verdicts
   * @param weight of a share of verdicts in what chance does
   */
  private static Figure beyondChance(
      Collection<Judged> judged, DoubleUnaryOperator scale, DoubleUnaryOperator weight) {
    int n = judged.size();
    int shared = (int) judged.stream().filter(Judged::isShared).count();
    if (shared == 0) {
      return Figure.none(0, Doubt.NOTHING_SHARED);
    }
    Map<String, Double> shares = shares(judged);
    if (shares.size() < 2) {
      return Figure.none(shared, Doubt.ONE_VERDICT);
    }
    double scaled = scale.applyAsDouble(shares.size());
    double byChance = scaled * weighed(shares, shares::get, weight);
    double same =
        judged.stream().filter(Judged::isShared).mapToDouble(Judged::agreeing).sum() / shared;
    double value = (same - byChance) / (1 - byChance);
    double sum = 0;
    for (Judged work : judged) {
      double its = work.isShared() ? (work.agreeing() - byChance) / (1 - byChance) * n / shared : 0;
      double itsChance = scaled * weighed(shares, work::share, weight);
      double off = its - 2 * (1 - value) * (itsChance - byChance) / (1 - byChance) - value;
      sum += off * off;
    }
    double error = n < 2 ? Double.NaN : Math.sqrt(sum / (n * (n - 1.0)));
    double quantile =
        n < 2 ? Double.NaN : new TDistribution(n - 1.0).inverseCumulativeProbability(LEVEL);
    return Figure.of(value, shared, error, quantile);
  }

  private static double weighed(
      Map<String, Double> shares, ToDoubleFunction<String> of, DoubleUnaryOperator weight) {
    return shares.entrySet().stream()
        .mapToDouble(all -> of.applyAsDouble(all.getKey()) * weight.applyAsDouble(all.getValue()))
        .sum();
  }

  /** Each work counts the same, however many judged it. */
  private static Map<String, Double> shares(Collection<Judged> judged) {
    Set<String> verdicts = new TreeSet<>();
    judged.forEach(work -> verdicts.addAll(work.by().values()));
    Map<String, Double> shares = new HashMap<>();
    verdicts.forEach(
        verdict ->
            shares.put(
                verdict,
                judged.stream().mapToDouble(work -> work.share(verdict)).sum() / judged.size()));
    return shares;
  }

  private static List<Judged> both(Collection<Judged> judged, int one, int other) {
    return judged.stream()
        .filter(work -> work.by().containsKey(one) && work.by().containsKey(other))
        .toList();
  }

  private static boolean agree(Judged work, int one, int other) {
    return work.by().get(one).equals(work.by().get(other));
  }
}
