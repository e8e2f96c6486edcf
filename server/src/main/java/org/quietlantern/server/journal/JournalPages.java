package org.quietlantern.server.journal;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.quietlantern.core.holdings.Holdings;
import org.quietlantern.core.holdings.Journal;
import org.quietlantern.core.holdings.Journals;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Breakdown;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;

/**
 * Looking journals up: by words of their titles, discipline, letter, and whether one may read them.
 */
@Service
class JournalPages {
  private static final int MOST = 200;
  private final Matching matching;

  /**
   * What is looked for; empty stands for any.
   *
   * @param words beginnings of words of a title, present or former, or an ISSN
   * @param letter that the title stands under, {@code #} for digits and signs
   * @param access {@code held}: some years are the group's to read; {@code open}: or anybody's
   */
  record Wanted(String words, String discipline, String letter, String access) {}

  /**
   * Journals in the order of their titles.
   *
   * @param found how many there are, of which {@code journals} may be the first
   * @param disciplines with how many of the journals are of each, whatever else is looked for
   */
  record JournalsShown(
      int found,
      List<JournalLine> journals,
      List<DisciplineShown> disciplines,
      List<String> letters) {}

  record DisciplineShown(String name, int journals) {}

  /**
   * A journal in a list.
   *
   * @param by the former title that it was met by, if it was
   * @param access {@code open}, {@code held} or empty
   * @param count publications in it that are here
   */
  record JournalLine(
      String issn,
      String title,
      @Nullable String by,
      String discipline,
      String access,
      int count) {}

  JournalPages(Matching matching) {
    this.matching = matching;
  }

  JournalsShown lookUp(Member who, Wanted wanted) {
    return matching.look(
        who,
        look -> {
          Journals journals = look.circumstances().journals();
          List<Journals.Met> met =
              journals
                  .lookUp(wanted.words())
                  .filter(each -> fits(wanted.discipline(), each.journal().discipline()))
                  .filter(each -> fits(wanted.letter(), each.journal().letter()))
                  .filter(access(look, wanted.access()))
                  .toList();
          ToIntFunction<Journal> counts = counts(look);
          return new JournalsShown(
              met.size(),
              met.stream().limit(MOST).map(each -> line(look, each, counts)).toList(),
              disciplines(journals),
              journals.all().stream().map(Journal::letter).distinct().sorted().toList());
        });
  }

  private static boolean fits(String wanted, String is) {
    return wanted.isEmpty() || wanted.equals(is);
  }

  private static Predicate<Journals.Met> access(Matching.Look look, String wanted) {
    return each -> {
      String is = access(look, each.journal());
      return wanted.isEmpty() || is.equals(wanted) || (wanted.equals("held") && is.equals("open"));
    };
  }

  private static List<DisciplineShown> disciplines(Journals journals) {
    Map<String, Long> counted =
        journals.all().stream()
            .map(Journal::discipline)
            .filter(name -> !name.isEmpty())
            .collect(
                Collectors.groupingBy(Function.identity(), TreeMap::new, Collectors.counting()));
    return counted.entrySet().stream()
        .map(entry -> new DisciplineShown(entry.getKey(), entry.getValue().intValue()))
        .toList();
  }

  /** How many publications are in a journal, under all its titles: most are counted at once. */
  private static ToIntFunction<Journal> counts(Matching.Look look) {
    Breakdown titles =
        Breakdown.of(
            look.snapshot(),
            look.compile(Matching.EVERYTHING),
            new Breakdown.Asked(Property.JOURNAL, "", Breakdown.Asked.MOST, false));
    Map<String, Integer> counted =
        titles.bars().stream()
            .collect(Collectors.toMap(Breakdown.Bar::value, Breakdown.Bar::count));
    boolean all = titles.values() == counted.size();
    return journal ->
        all || counted.keySet().containsAll(journal.titles())
            ? journal.titles().stream().mapToInt(t -> counted.getOrDefault(t, 0)).sum()
            : look.count(new Strategy(List.of(JournalLines.in(journal))));
  }

  private static JournalLine line(
      Matching.Look look, Journals.Met met, ToIntFunction<Journal> counts) {
    Journal journal = met.journal();
    return new JournalLine(
        journal.issn(),
        journal.title(),
        met.by().equals(journal.title()) ? null : met.by(),
        journal.discipline(),
        access(look, journal),
        counts.applyAsInt(journal));
  }

  /** The best that holds of any of its years. */
  private static String access(Matching.Look look, Journal journal) {
    List<Holdings.Title> held = look.circumstances().holdings().of(journal.issn());
    return held.stream().anyMatch(title -> title.coverage().free())
        ? "open"
        : held.isEmpty() ? "" : "held";
  }
}
