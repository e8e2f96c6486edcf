package org.quietlantern.server.demo;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Order;
import org.quietlantern.server.account.Accounts;
import org.quietlantern.server.alert.Alerts;
import org.quietlantern.server.arrival.Arrivals;
import org.quietlantern.server.arrival.Marking;
import org.quietlantern.server.arrival.RoundLine;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.Keeping;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.LanternProperties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * Gives a new demo its made-up groups and a week of their past, by the same commands that members
 * give. A demo that has groups already is only told what day it is.
 */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoGroup implements ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(DemoGroup.class);
  private static final Instant BEGINS = Instant.parse("2026-11-17T07:10:00Z");
  private static final String ZONE = "Europe/Oslo";
  private static final int DAYS = 7;
  private final LanternProperties properties;
  private final DemoDays days;
  private final Harvests harvests;
  private final IndexKeeper index;
  private final Accounts accounts;
  private final Groups groups;
  private final Folders folders;
  private final Keeping keeping;
  private final SavedSearches searches;
  private final Matching matching;
  private final Alerts alerts;
  private final Arrivals arrivals;
  private final Marking marking;

  DemoGroup(
      LanternProperties properties,
      DemoDays days,
      Harvests harvests,
      IndexKeeper index,
      Accounts accounts,
      Groups groups,
      Folders folders,
      Keeping keeping,
      SavedSearches searches,
      Matching matching,
      Alerts alerts,
      Arrivals arrivals,
      Marking marking) {
    this.properties = properties;
    this.days = days;
    this.harvests = harvests;
    this.index = index;
    this.accounts = accounts;
    this.groups = groups;
    this.folders = folders;
    this.keeping = keeping;
    this.searches = searches;
    this.matching = matching;
    this.alerts = alerts;
    this.arrivals = arrivals;
    this.marking = marking;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    harvests.addSource("night-index", "The Night Index", properties.demo().source(), "mods", 1);
    if (groups.any()) {
      days.tellTheWorld();
    } else {
      found();
    }
    LOG.info("demo: ready");
  }

  private void found() {
    LOG.info("demo: reading the made-up literature");
    days.set(BEGINS);
    harvests.harvestAll();
    index.catchUp();
    LOG.info("demo: founding the groups");
    int hollow = groups.add("Tern Hollow night ecology", ZONE);
    List<Member> people =
        join(hollow, "Ilse Brandvold", "Teodor Vance", "Maren Oduya", "Sefa Lautala", "Jon Arkell");
    join(groups.add("Harrow Fen bat recorders", ZONE), "Una Selwyn", "Piet Morrow");
    LOG.info("demo: a week passes");
    week(people);
  }

  /** The first one coordinates; of five, the last is a guest. */
  private List<Member> join(int group, String... names) {
    for (int i = 0; i < names.length; i++) {
      String given = names[i].substring(0, names[i].indexOf(' ')).toLowerCase(Locale.ROOT);
      int account = accounts.add(given + "@ternhollow.example", properties.demo().password(), ZONE);
      String role = i == 0 ? "coordinator" : i == 4 ? "guest" : "member";
      groups.join(group, account, role, names[i]);
    }
    return groups.members(group);
  }

  private void week(List<Member> people) {
    Member ilse = people.get(0);
    Member teodor = people.get(1);
    Member maren = people.get(2);
    String verges = folders.add(ilse, UUID.randomUUID(), "Verge lighting").id();
    String bats = folders.add(teodor, UUID.randomUUID(), "Bats at lit crossings").id();
    keepFirst(ilse, verges, "dimming moths", "the before-after design we wanted");
    keepFirst(teodor, verges, "curfew* verges", "for the methods section");
    keepFirst(maren, bats, "bats commuting", "compare with our own recorders");
    watch(
        ilse,
        verges,
        "Gentler lighting",
        "dimming or \"part-night lighting\" or curfew* or shield* or amber or \"motion-triggered\"");
    watch(teodor, bats, "Bats near lamps", "bat* or pipistrelle*");
    days.pass(DAYS);
    look(teodor, maren);
  }

  private void keepFirst(Member who, String folder, String line, String why) {
    List<String> found = matching.search(who, Strategy.of(line), Order.RELEVANCE, 0).ids();
    keeping.keep(who, UUID.randomUUID(), folder, found.get(0), why, null);
  }

  private void watch(Member who, String folder, String name, String line) {
    String search = searches.save(who, UUID.randomUUID(), folder, name, Strategy.of(line)).id();
    alerts.set(who, UUID.randomUUID(), search, "weekly:TUESDAY");
  }

  private void look(Member first, Member second) {
    for (RoundLine round : arrivals.rounds(first)) {
      List<String> publications =
          arrivals.round(first, round.id()).arrivals().stream()
              .map(a -> a.publication().id())
              .toList();
      mark(first, round, publications, 0, "keep", "output, not spectrum: for the review section");
      mark(first, round, publications, 1, "pass", "");
      mark(second, round, publications, 1, "raise", "same sites as ours?");
      mark(second, round, publications, 2, "hold", "for the text");
    }
  }

  private void mark(
      Member who,
      RoundLine round,
      List<String> publications,
      int which,
      String mark,
      String reason) {
    if (which < publications.size()) {
      marking.mark(who, UUID.randomUUID(), publications.get(which), mark, reason, round.id());
    }
  }
}
