package org.quietlantern.server.demo;

import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * Starts the demo: reads the literature, founds the groups, and lets them live through their past.
 * All of it while the application answers already. A demo that was killed on the way goes on where
 * it was.
 */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoStart implements ApplicationRunner {
  /** When the past of the demo ends and the reader's own days begin. */
  static final Instant PRESENT = Instant.parse("2026-11-24T07:10:00Z");

  private static final Logger LOG = LoggerFactory.getLogger(DemoStart.class);

  /** A source: how it is called in its address, its name, its format, its rank. */
  private record Supplier(String key, String name, String format, int rank) {}

  private static final List<Supplier> SUPPLIERS =
      List.of(
          new Supplier("night-index", "The Night Index", "mods", 1),
          new Supplier("fjordside", "Fjordside Repository", "oai_dc", 2),
          new Supplier("early-light", "Early Light Preprints", "mods", 3));

  private final LanternProperties properties;
  private final Calendar calendar;
  private final DemoDays days;
  private final DemoPast past;
  private final DemoGroups founding;
  private final Groups groups;
  private final Harvests harvests;
  private final DemoLibrary library;
  private final DemoDrive drive;
  private final IndexKeeper index;

  DemoStart(
      LanternProperties properties,
      Calendar calendar,
      DemoDays days,
      DemoPast past,
      DemoGroups founding,
      Groups groups,
      Harvests harvests,
      DemoLibrary library,
      DemoDrive drive,
      IndexKeeper index) {
    this.properties = properties;
    this.calendar = calendar;
    this.days = days;
    this.past = past;
    this.founding = founding;
    this.groups = groups;
    this.harvests = harvests;
    this.library = library;
    this.drive = drive;
    this.index = index;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    for (Supplier s : SUPPLIERS) {
      URI address = URI.create(properties.demo().outside() + "/" + s.key() + "/oai");
      harvests.addSource(s.key(), s.name(), address, s.format(), s.rank());
      // An index of the trade keeps its abstracts to those who are in; the others show theirs.
      harvests.showAbstracts(s.key(), s.rank() > 1);
    }
    if (groups.any()) {
      days.tellTheWorld();
    } else {
      LOG.info("demo: reading the made-up literature");
      days.set(PRESENT.minus(Duration.ofDays(properties.demo().pastDays())));
      library.takeIn();
      harvests.harvestAll();
      index.catchUp();
      founding.found();
      library.giveHoldings();
    }
    library.sayWhoLends();
    LOG.info("demo: can be searched");
    live();
    drive.set();
    LOG.info("demo: ready");
  }

  private void live() {
    days.beginPast(PRESENT);
    try {
      // Up to a minute short of the present counts as there: the clock runs on while days pass.
      while (calendar.now().isBefore(PRESENT.minus(Duration.ofHours(1)))) {
        past.liveOneDay();
        LOG.info("demo: the groups' past arrives: {}", calendar.now().toString().substring(0, 10));
      }
    } finally {
      days.endPast();
    }
  }
}
