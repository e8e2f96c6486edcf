package org.quietlantern.server.journal;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.quietlantern.core.holdings.Coverage;
import org.quietlantern.core.holdings.Holdings;
import org.quietlantern.core.holdings.Journal;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Breakdown;
import org.quietlantern.core.search.Order;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.holdings.Stretch;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.search.Hit;
import org.quietlantern.server.search.Hits;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** One journal: what is known of it, and what is here of it by year and issue. */
@Service
@Transactional(readOnly = true)
class OneJournal {
  private static final Ordering NEWEST = new Ordering(Order.PUBLISHED, false);
  private final Matching matching;
  private final Sources sources;
  private final Publications publications;
  private final Hits hits;

  /**
   * What is known of a journal.
   *
   * @param line narrows a search to it
   * @param count publications in it that are here
   * @param years with publications, the newest first
   */
  record JournalFacts(
      String issn,
      String title,
      String publisher,
      String discipline,
      @Nullable Integer since,
      @Nullable Integer peerReviewedFrom,
      List<FormerTitle> former,
      List<InSource> sources,
      List<Stretch> mayRead,
      StrategyBody.LineBody line,
      int count,
      List<YearOf> years) {}

  record FormerTitle(String title, @Nullable Integer until) {}

  /** What a source has of it; years of the first and the last, where they are known. */
  record InSource(
      String key, String name, int count, @Nullable Integer first, @Nullable Integer last) {}

  record YearOf(int year, int count) {}

  /** An issue with its contents in the order of their pages; empty where it is not known. */
  record IssueShown(String volume, String issue, List<Hit> contents) {}

  OneJournal(Matching matching, Sources sources, Publications publications, Hits hits) {
    this.matching = matching;
    this.sources = sources;
    this.publications = publications;
    this.hits = hits;
  }

  JournalFacts get(Member who, String issn) {
    return matching.look(
        who,
        look -> {
          Journal journal = journal(look, issn);
          Line line = JournalLines.in(journal);
          Strategy all = new Strategy(List.of(line));
          Breakdown byYear = byYear(look, all);
          return new JournalFacts(
              journal.issn(),
              journal.title(),
              journal.publisher(),
              journal.discipline(),
              journal.since().orElse(null),
              journal.peerReviewedFrom().orElse(null),
              journal.former().stream()
                  .map(former -> new FormerTitle(former.title(), former.until().orElse(null)))
                  .toList(),
              sources.all().stream().map(source -> inSource(look, line, source)).toList(),
              look.circumstances().holdings().of(issn).stream()
                  .map(Holdings.Title::coverage)
                  .sorted(Comparator.comparing(Coverage::from))
                  .map(Stretch::of)
                  .toList(),
              StrategyBody.of(all).lines().get(0),
              byYear.base(),
              years(byYear));
        });
  }

  private static Journal journal(Matching.Look look, String issn) {
    return look.circumstances().journals().find(issn).orElseThrow(Refusal::unknown);
  }

  private static InSource inSource(Matching.Look look, Line line, Sources.SourceView source) {
    Strategy strategy = new Strategy(List.of(line, JournalLines.source(source.key())));
    Breakdown byYear = byYear(look, strategy);
    List<YearOf> years = years(byYear);
    return new InSource(
        source.key(),
        source.name(),
        byYear.base(),
        years.isEmpty() ? null : years.get(years.size() - 1).year(),
        years.isEmpty() ? null : years.get(0).year());
  }

  private static Breakdown byYear(Matching.Look look, Strategy strategy) {
    Breakdown.Asked asked = new Breakdown.Asked(Property.DATE, "", Breakdown.Asked.MOST, false);
    return Breakdown.of(look.snapshot(), look.compile(strategy), asked);
  }

  private static List<YearOf> years(Breakdown byYear) {
    return byYear.bars().stream()
        .filter(bar -> bar.count() > 0)
        .map(bar -> new YearOf(Integer.parseInt(bar.value()), bar.count()))
        .sorted(Comparator.comparing(YearOf::year).reversed())
        .toList();
  }

  /** The issues of a year, the newest first. */
  List<IssueShown> contents(Member who, String issn, int year) {
    if (year < 1 || year > 9999) {
      throw Refusal.unknown();
    }
    List<String> ids =
        matching.look(
            who,
            look -> {
              Line line = JournalLines.in(journal(look, issn));
              Strategy strategy = new Strategy(List.of(line, JournalLines.year(year)));
              return look.snapshot().search(look.compile(strategy), NEWEST).publicIds();
            });
    Map<List<String>, List<StoredPublication>> issues = new LinkedHashMap<>();
    for (StoredPublication stored : publications.byPid(Viewer.of(who), ids)) {
      Host host = stored.publication().host();
      issues
          .computeIfAbsent(List.of(host.volume(), host.issue()), i -> new ArrayList<>())
          .add(stored);
    }
    Map<String, Hit> rows = new LinkedHashMap<>();
    hits.of(who, ids, Optional.empty()).forEach(hit -> rows.put(hit.publication().id(), hit));
    List<IssueShown> shown = new ArrayList<>();
    issues.forEach((issue, contents) -> shown.add(issue(issue, contents, rows)));
    shown.sort(
        Comparator.comparing((IssueShown i) -> number(i.volume()))
            .thenComparing(i -> number(i.issue()))
            .reversed());
    return Collections.unmodifiableList(shown);
  }

  private static IssueShown issue(
      List<String> issue, List<StoredPublication> contents, Map<String, Hit> rows) {
    List<Hit> inOrder =
        contents.stream()
            .sorted(
                Comparator.comparing(
                    (StoredPublication stored) -> number(stored.publication().host().firstPage())))
            .map(stored -> rows.get(stored.pid()))
            .toList();
    return new IssueShown(issue.get(0), issue.get(1), inOrder);
  }

  /** The digits of a volume, issue or page as a number; what has none comes last among the old. */
  private static int number(String text) {
    String digits = text.replaceAll("\\D", "");
    return digits.isEmpty()
        ? -1
        : Integer.parseInt(digits.substring(0, Math.min(9, digits.length())));
  }
}
