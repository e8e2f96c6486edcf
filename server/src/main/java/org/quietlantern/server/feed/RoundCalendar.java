package org.quietlantern.server.feed;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.StandardTime;
import biweekly.component.VEvent;
import biweekly.component.VTimezone;
import biweekly.property.RefreshInterval;
import biweekly.property.Transparency;
import biweekly.util.DateTimeComponents;
import biweekly.util.Duration;
import biweekly.util.ICalDate;
import biweekly.util.UtcOffset;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Date;
import java.util.List;
import org.quietlantern.core.watch.Rhythm;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.stereotype.Component;

/**
 * Rounds as days of a calendar (iCalendar, RFC 5545; its name by RFC 7986): those that closed
 * lately with what still waits in them for the member, and those that will close.
 */
@Component
class RoundCalendar implements FeedSource.Alone {
  private static final Period BACK = Period.ofDays(90);
  private static final Period AHEAD = Period.ofDays(90);
  private static final Duration ASKED_AGAIN = Duration.builder().hours(6).build();
  private final RoundCalendarMapper mapper;
  private final FoundFeedMapper found;
  private final Calendar calendar;
  private final LanternProperties properties;

  RoundCalendar(
      RoundCalendarMapper mapper,
      FoundFeedMapper found,
      Calendar calendar,
      LanternProperties properties) {
    this.mapper = mapper;
    this.found = found;
    this.calendar = calendar;
    this.properties = properties;
  }

  @Override
  public String kind() {
    return "rounds";
  }

  @Override
  public Named itself() {
    return new Named("Days on which rounds close", "alerts");
  }

  /** It is told by its days, not by works. */
  @Override
  public Thing read(Member who, String of, int before, int most) {
    return new Thing(itself().name(), null, List.of());
  }

  @Override
  public boolean isCalendar() {
    return true;
  }

  /** Of alerts that the member gets; whole days in the group's zone. */
  byte[] write(Member who) {
    ZoneId zone = who.zoneId();
    ZonedDateTime now = calendar.now().atZone(zone);
    Integer[] alerts =
        found.received(who.group(), who.id(), who.mayWrite()).toArray(Integer[]::new);
    ICalendar days = new ICalendar();
    days.setProductId("-//Quiet Lantern//Rounds//EN");
    days.addName("Rounds of alerts, Quiet Lantern");
    RefreshInterval again = new RefreshInterval(ASKED_AGAIN);
    // No type is taken for granted (RFC 7986, 5.7).
    again.setParameter("VALUE", "DURATION");
    days.setRefreshInterval(again);
    // A calendar has something in it, also where nothing closes (RFC 5545, 3.6).
    days.addComponent(utc());
    for (RoundCalendarMapper.ClosedRound round :
        mapper.closed(alerts, who.id(), who.mayWrite(), now.minus(BACK).toInstant())) {
      days.addEvent(closed(who, round, zone));
    }
    for (RoundCalendarMapper.Gathering round : mapper.gathering(alerts)) {
      Rhythm rhythm = Rhythm.of(round.rhythm());
      days.addEvent(gathering(who, round, zone));
      if (!(rhythm instanceof Rhythm.Daily)) {
        // One of every day would hide the others.
        rhythm
            .closings(round.closes(), now.plus(AHEAD).toInstant(), zone, round.hour())
            .forEach(later -> days.addEvent(later(who, round, later.atZone(zone).toLocalDate())));
      }
    }
    return Biweekly.write(days).version(ICalVersion.V2_0).go().getBytes(StandardCharsets.UTF_8);
  }

  private static VTimezone utc() {
    StandardTime always = new StandardTime();
    always.setDateStart(new DateTimeComponents(1970, 1, 1, 0, 0, 0, false));
    always.setTimezoneOffsetFrom(new UtcOffset(true, 0, 0));
    always.setTimezoneOffsetTo(new UtcOffset(true, 0, 0));
    VTimezone zone = new VTimezone("UTC");
    zone.addStandardTime(always);
    return zone;
  }

  private VEvent closed(Member who, RoundCalendarMapper.ClosedRound round, ZoneId zone) {
    VEvent day = day(who, round.pid(), round.closed().atZone(zone).toLocalDate(), round.closed());
    day.setSummary(
        "“%s”, round %d: %s came%s"
            .formatted(
                round.alertName(),
                round.n(),
                round.arrivals() == 0 ? "nothing new" : "%,d".formatted(round.arrivals()),
                round.owed() == 0 ? "" : ", %,d wait for you".formatted(round.owed())));
    return day;
  }

  private VEvent gathering(Member who, RoundCalendarMapper.Gathering round, ZoneId zone) {
    LocalDate on = round.closes().atZone(zone).toLocalDate();
    VEvent day = day(who, round.pid(), on, round.opens());
    day.setSummary(
        "“%s”, round %d closes%s"
            .formatted(
                round.alertName(),
                round.n(),
                round.arrivals() == 0 ? "" : ", %,d so far".formatted(round.arrivals())));
    return day;
  }

  private VEvent later(Member who, RoundCalendarMapper.Gathering round, LocalDate on) {
    VEvent day = day(who, round.pid() + "-" + on, on, round.opens());
    day.setSummary("“%s”: a round closes".formatted(round.alertName()));
    return day;
  }

  /** {@code made}: when it was last as it is (DTSTAMP). */
  private VEvent day(Member who, String name, LocalDate on, Instant made) {
    VEvent day = new VEvent();
    day.setUid(name + "@" + calendar.installation());
    day.setDateTimeStamp(Date.from(made));
    day.setDateStart(
        new ICalDate(
            new DateTimeComponents(on.getYear(), on.getMonthValue(), on.getDayOfMonth()), false));
    // Nobody is busy by it.
    day.setTransparency(Transparency.transparent());
    day.setUrl("%s/g/%s/r/%s".formatted(properties.baseUrl(), who.groupPid(), name.split("-")[0]));
    return day;
  }
}
