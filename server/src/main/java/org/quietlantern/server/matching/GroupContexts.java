package org.quietlantern.server.matching;

import java.time.ZoneId;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.quietlantern.core.search.InsideTexts;
import org.quietlantern.core.search.SearchContext;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.holdings.GroupHoldings;
import org.quietlantern.server.holdings.KnownJournals;
import org.quietlantern.server.holdings.Lenders;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Editions;
import org.quietlantern.server.vocabulary.Vocabularies;
import org.springframework.stereotype.Service;

/** What counts depend on besides the catalogue, for a group today. */
@Service
public class GroupContexts {
  private final GroupHoldings holdings;
  private final Lenders lenders;
  private final KnownJournals journals;
  private final Vocabularies vocabularies;
  private final Editions editions;
  private final TextsInside texts;
  private final Calendar calendar;
  private final Map<Integer, Kept> kept = new ConcurrentHashMap<>();

  /** What was worked out for a group in some editions. */
  private record Kept(
      ZoneId zone, Map<Editions.Kind, Integer> editions, SearchContext circumstances) {}

  GroupContexts(
      GroupHoldings holdings,
      Lenders lenders,
      KnownJournals journals,
      Vocabularies vocabularies,
      Editions editions,
      TextsInside texts,
      Calendar calendar) {
    this.holdings = holdings;
    this.lenders = lenders;
    this.journals = journals;
    this.vocabularies = vocabularies;
    this.editions = editions;
    this.texts = texts;
    this.calendar = calendar;
  }

  /** Whoever sees single folders only learns nothing of what the group may read. */
  public SearchContext of(Member who) {
    SearchContext ofGroup = of(who.group(), who.zoneId(), who.texts());
    return who.onlyFolders() ? ofGroup.fromOutside() : ofGroup;
  }

  /** Of a group by its row number, in its zone. */
  public SearchContext of(int group, ZoneId zone) {
    return of(group, zone, texts.edition(group));
  }

  private SearchContext of(int group, ZoneId zone, int edition) {
    Map<Editions.Kind, Integer> now = editions.now();
    Kept last = kept.get(group);
    if (last == null || !last.zone().equals(zone) || !last.editions().equals(now)) {
      last = new Kept(zone, now, read(group, zone, now));
      kept.put(group, last);
    }
    return last.circumstances().on(calendar.today(zone)).with(texts.of(group, edition));
  }

  private SearchContext read(int group, ZoneId zone, Map<Editions.Kind, Integer> now) {
    return new SearchContext(
        calendar.today(zone),
        zone,
        holdings.of(group),
        lenders.rules(group),
        journals.all(),
        vocabularies.trees(),
        vocabularies.headings(),
        InsideTexts.NONE,
        group + "/" + zone + "/" + now.values());
  }
}
