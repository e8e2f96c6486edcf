package org.quietlantern.server.report;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.query.Sentence;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.report.SourceOf;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Shelves;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Zones;
import org.springframework.stereotype.Component;

/**
 * What every report says of itself: when and by whom it was made, over which sources, and where.
 */
@Component
class Imprint {
  private final Groups groups;
  private final Shelves shelves;
  private final Sources sources;
  private final Calendar calendar;
  private final LanternProperties properties;

  Imprint(
      Groups groups,
      Shelves shelves,
      Sources sources,
      Calendar calendar,
      LanternProperties properties) {
    this.groups = groups;
    this.shelves = shelves;
    this.sources = sources;
    this.calendar = calendar;
    this.properties = properties;
  }

  /** A sentence: <i>Made on ... by ..., ... .</i> */
  String made(Member who) {
    return "Made on %s by %s, %s."
        .formatted(day(calendar.now(), who.zoneId()), who.name(), groups.name(who.group()));
  }

  static String day(Instant at, ZoneId zone) {
    return Zones.day(at, zone);
  }

  String address(Member who, String name) {
    return properties.baseUrl()
        + "/g/"
        + who.groupPid()
        + "/report?of="
        + URLEncoder.encode(name, StandardCharsets.UTF_8);
  }

  /** What a held strategy is called. */
  String title(Member who, String name) {
    return shelves.title(who.group(), name);
  }

  /** A strategy in plain words. */
  String sentence(Member who, Strategy strategy) {
    return Sentence.of(strategy, held -> title(who, held));
  }

  /** {@code found}: by key of the source, as text; what is not there is empty. */
  List<SourceOf> sources(Member who, Map<String, String> found) {
    return sources.all().stream()
        .map(
            source ->
                new SourceOf(
                    source.name(),
                    source.records(),
                    source.firstYear() == null
                        ? "unknown"
                        : source.firstYear() + " to " + source.lastYear(),
                    source.harvested() == null ? "never" : day(source.harvested(), who.zoneId()),
                    found.getOrDefault(source.key(), "")))
        .toList();
  }
}
