package org.quietlantern.server.alert;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.WithoutWord;
import org.quietlantern.core.watch.Yield;
import org.quietlantern.server.arrival.Verdicts;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Service;

/** What came of what an alert brought, and which words of its search brought hardly anything. */
@Service
class AlertYields {
  /** Words that are tried; each is a search over what came. */
  private static final int TRIED = 10;

  private final Alerts alerts;
  private final SavedSearches searches;
  private final Verdicts verdicts;
  private final Matching matching;

  /** What a word brought. {@code line}: its id in the search. */
  record WordYield(String line, String typed, int brought, int kept) {}

  /**
   * A word that the search could do without.
   *
   * @param says the line without it
   * @param lost works that would not have come, of all that came; {@code lostKept}: kept ones of
   *     those
   */
  record Spared(String line, String typed, String says, int lost, int lostKept) {}

  /**
   * What came of what an alert brought.
   *
   * @param passed by somebody and kept by nobody
   * @param unseen nobody has said anything of them
   * @param words the most bringing first
   * @param spared poor words of the search as it is now that have works of their own, at most ten
   */
  record YieldShown(
      String search,
      int arrivals,
      int kept,
      int passed,
      int unseen,
      List<WordYield> words,
      List<Spared> spared) {}

  AlertYields(Alerts alerts, SavedSearches searches, Verdicts verdicts, Matching matching) {
    this.alerts = alerts;
    this.searches = searches;
    this.verdicts = verdicts;
    this.matching = matching;
  }

  YieldShown of(Member who, String pid) {
    AlertMapper.Line alert = alerts.get(who, pid);
    List<Yield.Came> came = verdicts.of(alert.id());
    Yield yield = Yield.of(came);
    List<WordYield> words =
        yield.words().stream()
            .map(of -> new WordYield(of.word().line(), of.word().typed(), of.brought(), of.kept()))
            .toList();
    boolean watched = !alert.state().equals("ended");
    return new YieldShown(
        alert.search(),
        yield.arrivals(),
        yield.kept(),
        yield.passed(),
        yield.unseen(),
        words,
        watched
            ? spared(who, searches.watched(who, alert.search()).strategy(), yield, came)
            : List.of());
  }

  private List<Spared> spared(Member who, Strategy strategy, Yield yield, List<Yield.Came> came) {
    Map<Yield.Word, WithoutWord> poor = new LinkedHashMap<>();
    yield.words().stream()
        .filter(Yield.OfWord::isPoor)
        .map(Yield.OfWord::word)
        .forEach(
            word ->
                WithoutWord.of(strategy, word.line(), word.typed())
                    .filter(without -> poor.size() < TRIED)
                    .ifPresent(without -> poor.put(word, without)));
    if (poor.isEmpty()) {
      return List.of();
    }
    RoaringBitmap all = new RoaringBitmap();
    Set<Integer> kept = new HashSet<>();
    for (Yield.Came one : came) {
      all.add(one.publication());
      if (one.kept()) {
        kept.add(one.publication());
      }
    }
    return matching.look(
        who,
        look -> {
          RoaringBitmap still = look.snapshot().among(look.compile(strategy), all);
          List<Spared> spared = new ArrayList<>();
          poor.forEach(
              (word, without) -> spared(look, word, without, still, kept).ifPresent(spared::add));
          return spared;
        });
  }

  private static Optional<Spared> spared(
      Matching.Look look,
      Yield.Word word,
      WithoutWord without,
      RoaringBitmap still,
      Set<Integer> kept) {
    RoaringBitmap lost = still.clone();
    lost.andNot(look.snapshot().among(look.compile(without.strategy()), still));
    int lostKept = (int) lost.stream().filter(kept::contains).count();
    return new Yield.OfWord(word, lost.getCardinality(), lostKept).isPoor()
        ? Optional.of(
            new Spared(word.line(), word.typed(), without.says(), lost.getCardinality(), lostKept))
        : Optional.empty();
  }
}
