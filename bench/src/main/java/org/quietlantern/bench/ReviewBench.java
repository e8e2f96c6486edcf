package org.quietlantern.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.regex.Pattern;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.review.Tendency;
import org.quietlantern.core.review.Trait;
import org.quietlantern.core.review.Traits;
import org.quietlantern.core.search.IndexEntry;

/**
 * The order of what a group tends to keep: what it costs to learn it from so many decisions and to
 * put a list into it, and where works stand in it that the group keeps later, beside the newest
 * first. The group's taste is the one of the demo's members. Argument: how many decisions.
 */
public final class ReviewBench {
  private static final Pattern NEAR =
      Pattern.compile("dimm|part-night|curfew|verge", Pattern.CASE_INSENSITIVE);
  private static final double KEPT_NEAR = 0.45;
  private static final double KEPT_ELSE = 0.055;
  private static final int UNSEEN = 2_000;
  private static final int LIST = 100;
  private static final int FEW = 200;

  private ReviewBench() {}

  public static void main(String[] arguments) {
    int decisions = Integer.parseInt(arguments[0]);
    Random random = new Random(19);
    List<Publication> works = Records.of(decisions + UNSEEN).map(IndexEntry::publication).toList();
    List<Boolean> kept = works.stream().map(work -> isKept(work, random)).toList();
    List<Publication> unseen = works.subList(decisions, works.size());
    List<Boolean> keptOfUnseen = kept.subList(decisions, kept.size());
    System.out.printf(
        Locale.ENGLISH,
        "%n| learned from | s | a list of %d in order, ms | place of what is kept | newest first |"
            + " of it in the first fifth | newest first |%n|---|---|---|---|---|---|---|%n",
        LIST);
    for (int from = FEW; from < decisions; from *= 10) {
      measure(works.subList(0, from), kept.subList(0, from), unseen, keptOfUnseen);
    }
    measure(works.subList(0, decisions), kept.subList(0, decisions), unseen, keptOfUnseen);
  }

  private static boolean isKept(Publication work, Random random) {
    boolean near = NEAR.matcher(work.title()).find();
    return random.nextDouble() < (near ? KEPT_NEAR : KEPT_ELSE);
  }

  private static void measure(
      List<Publication> works,
      List<Boolean> kept,
      List<Publication> unseen,
      List<Boolean> keptOfUnseen) {
    long began = System.nanoTime();
    List<Tendency.Example> examples = new ArrayList<>();
    for (int n = 0; n < works.size(); n++) {
      examples.add(new Tendency.Example(Traits.of(works.get(n)), kept.get(n)));
    }
    Tendency tendency = Tendency.learn(examples).orElseThrow();
    double seconds = (System.nanoTime() - began) / 1e9;
    List<Integer> asTheyCame = new ArrayList<>();
    for (int n = 0; n < unseen.size(); n++) {
      asTheyCame.add(n);
    }
    List<Double> odds = unseen.stream().map(work -> tendency.of(Traits.of(work))).toList();
    List<Integer> inOrder =
        asTheyCame.stream()
            .sorted(Comparator.comparing((Integer n) -> odds.get(n)).reversed())
            .toList();
    System.out.printf(
        Locale.ENGLISH,
        "| %,d | %.2f | %s | %.2f | %.2f | %.0f %% | %.0f %% |%n",
        works.size(),
        seconds,
        Times.of(() -> order(tendency, unseen.subList(0, LIST))),
        place(inOrder, keptOfUnseen),
        place(asTheyCame, keptOfUnseen),
        100 * inFirstFifth(inOrder, keptOfUnseen),
        100 * inFirstFifth(asTheyCame, keptOfUnseen));
  }

  private static void order(Tendency tendency, List<Publication> list) {
    for (Publication work : list) {
      Set<Trait> traits = Traits.of(work);
      tendency.of(traits);
      tendency.why(traits, 3);
    }
  }

  /** Where those that are kept stand on the average: 0 first, 1 last. */
  private static double place(List<Integer> order, List<Boolean> kept) {
    double sum = 0;
    int many = 0;
    for (int at = 0; at < order.size(); at++) {
      if (kept.get(order.get(at))) {
        sum += at / (order.size() - 1.0);
        many++;
      }
    }
    return sum / many;
  }

  private static double inFirstFifth(List<Integer> order, List<Boolean> kept) {
    long all = kept.stream().filter(one -> one).count();
    return (double) order.subList(0, order.size() / 5).stream().filter(kept::get).count() / all;
  }
}
