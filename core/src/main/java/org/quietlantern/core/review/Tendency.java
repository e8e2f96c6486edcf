package org.quietlantern.core.review;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a group tends to keep, learned from what it kept and passed: logistic regression over traits
 * that a work has or has not, held back by their squares (L2), fitted by one example after the
 * other with steps that shrink for each trait as it is met (J. Duchi, E. Hazan and Y. Singer,
 * Journal of Machine Learning Research 12, 2011). The same examples in the same order give the same
 * weights. It orders works, and hides none.
 */
public final class Tendency {
  /** Of either verdict; with fewer there is nothing to learn. */
  public static final int FEWEST = 10;

  /** A trait of fewer works is a trait of that work. */
  private static final int MET_BY = 2;

  /** A trait of more than this share of works tells nothing. */
  private static final double MET_BY_MOST = 0.5;

  private static final int ROUNDS = 8;
  private static final double STEP = 0.2;
  private static final double HOLD = 0.001;
  private static final double TINY = 1e-8;

  private final Map<Trait, Double> weights;
  private final double usual;

  /** A work that was decided on. */
  public record Example(Set<Trait> traits, boolean kept) {
    public Example {
      traits = Set.copyOf(traits);
    }
  }

  /** A trait of a work and what it adds to its place; above zero: the group tends to keep it. */
  public record Reason(Trait trait, double weight) {}

  private Tendency(Map<Trait, Double> weights, double usual) {
    this.weights = Map.copyOf(weights);
    this.usual = usual;
  }

  /**
   * Empty where fewer than {@link #FEWEST} were kept, or passed. Of an example no more is held than
   * the numbers of its traits, so that they may come from a database one after the other.
   *
   * @param examples the oldest first
   */
  public static Optional<Tendency> learn(Iterable<Example> examples) {
    Map<Trait, Integer> numbers = new HashMap<>();
    List<int[]> met = new ArrayList<>();
    List<Boolean> said = new ArrayList<>();
    int kept = 0;
    for (Example example : examples) {
      met.add(
          example.traits().stream()
              .mapToInt(trait -> numbers.computeIfAbsent(trait, t -> numbers.size()))
              .toArray());
      said.add(example.kept());
      kept += example.kept() ? 1 : 0;
    }
    if (kept < FEWEST || said.size() - kept < FEWEST) {
      return Optional.empty();
    }
    List<Trait> telling = telling(numbers, met);
    int[] renumbered = new int[numbers.size()];
    Arrays.fill(renumbered, -1);
    for (int number = 0; number < telling.size(); number++) {
      renumbered[numbers.get(telling.get(number))] = number;
    }
    met.replaceAll(
        its ->
            Arrays.stream(its)
                .map(one -> renumbered[one])
                .filter(one -> one >= 0)
                .sorted()
                .toArray());
    double usual = Math.log((double) kept / (said.size() - kept));
    double[] fitted = fit(met, said, telling.size(), usual);
    Map<Trait, Double> weights = new HashMap<>();
    for (int number = 0; number < fitted.length; number++) {
      weights.put(telling.get(number), fitted[number]);
    }
    return Optional.of(new Tendency(weights, usual));
  }

  /** Those traits that tell something, in an order that is the same everywhere. */
  private static List<Trait> telling(Map<Trait, Integer> numbers, List<int[]> met) {
    int[] works = new int[numbers.size()];
    for (int[] its : met) {
      for (int trait : its) {
        works[trait]++;
      }
    }
    return numbers.entrySet().stream()
        .filter(of -> works[of.getValue()] >= MET_BY)
        .filter(of -> works[of.getValue()] <= met.size() * MET_BY_MOST)
        .map(Map.Entry::getKey)
        .sorted(Comparator.comparing(Trait::kind).thenComparing(Trait::what))
        .toList();
  }

  private static double[] fit(List<int[]> met, List<Boolean> said, int traits, double usual) {
    double[] weights = new double[traits];
    double[] squares = new double[traits];
    for (int round = 0; round < ROUNDS; round++) {
      for (int n = 0; n < met.size(); n++) {
        int[] its = met.get(n);
        double sum = usual;
        for (int trait : its) {
          sum += weights[trait];
        }
        double off = 1 / (1 + Math.exp(-sum)) - (said.get(n) ? 1 : 0);
        for (int trait : its) {
          double slope = off + HOLD * weights[trait];
          squares[trait] += slope * slope;
          weights[trait] -= STEP * slope / Math.sqrt(squares[trait] + TINY);
        }
      }
    }
    return weights;
  }

  /** How many traits it knows. */
  public int size() {
    return weights.size();
  }

  /** How likely the group is to keep a work, as log odds: the more the further up. */
  public double of(Set<Trait> traits) {
    return usual + traits.stream().mapToDouble(trait -> weights.getOrDefault(trait, 0.0)).sum();
  }

  /** What moves a work up, the most first; each with what it adds. */
  public List<Reason> why(Set<Trait> traits, int most) {
    return traits.stream()
        .filter(trait -> weights.getOrDefault(trait, 0.0) > 0)
        .map(trait -> new Reason(trait, weights.get(trait)))
        .sorted(
            Comparator.comparingDouble(Reason::weight)
                .reversed()
                .thenComparing(one -> one.trait().kind())
                .thenComparing(one -> one.trait().what()))
        .limit(most)
        .toList();
  }
}
