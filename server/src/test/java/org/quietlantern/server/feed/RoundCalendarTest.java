package org.quietlantern.server.feed;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.Temporal;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;

/** Rounds as a calendar, read by ical4j. */
class RoundCalendarTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Cal Ender", "Cleo Ender");
  private final Client cal = group.client(0);
  private final Client reader = new Client(APP.address());

  private static String subscribe(Client who) {
    return URI.create(who.post("/feeds", Map.of("of", "rounds")).ok().get("address").asString())
        .getPath();
  }

  /** What it says, by day; names that come twice are an error of the calendar. */
  private Map<LocalDate, String> days(String address) {
    Client.Response answer = reader.get(address);
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.body().lines())
        .allMatch(line -> line.getBytes(StandardCharsets.UTF_8).length <= 75);
    try {
      net.fortuna.ical4j.model.Calendar read =
          new CalendarBuilder().build(new StringReader(answer.body()));
      assertThat(read.validate().hasErrors()).isFalse();
      List<VEvent> events = read.getComponents(Component.VEVENT);
      assertThat(events.stream().map(one -> one.getUid().orElseThrow().getValue()))
          .doesNotHaveDuplicates();
      Map<LocalDate, String> days = new TreeMap<>();
      for (VEvent event : events) {
        Temporal day = event.getDateTimeStart().orElseThrow().getDate();
        days.put(LocalDate.from(day), event.getSummary().orElseThrow().getValue());
      }
      return days;
    } catch (IOException | ParserException bad) {
      throw new AssertionError(answer.body(), bad);
    }
  }

  private static LocalDate today() {
    return APP.bean(Calendar.class).today(ZoneId.of("Europe/Oslo"));
  }

  @DisplayName("Rounds that closed say what waits for the member, those to come when they close")
  @Test
  void rounds() {
    String alert =
        group.alert(group.folder("F"), "Snails; and, “slugs”", "title: snails", "weekly:MONDAY");
    String address = subscribe(cal);
    Map<LocalDate, String> first = days(address);
    assertThat(first).as("weekly, for ninety days").hasSizeBetween(12, 13);
    LocalDate next = first.keySet().iterator().next();
    assertThat(next.getDayOfWeek().getValue()).isEqualTo(1);
    assertThat(first.get(next)).isEqualTo("“Snails; and, “slugs””, round 1 closes");

    assertThat(reader.get(address).body()).contains("REFRESH-INTERVAL;VALUE=DURATION:PT6H");
    String tag = reader.get(address).header("ETag");
    assertThat(reader.get(address, "If-None-Match", tag).status())
        .as("the same is told as the same")
        .isEqualTo(304);

    Supply.made(APP, "cal", 5).take(Supply.mods("c1", "Snails by night", "Pond", ""));
    APP.bean(Watching.class).run();
    assertThat(days(address).get(next)).endsWith("round 1 closes, 1 so far");
    APP.pass((int) (next.toEpochDay() - today().toEpochDay()) + 1);
    assertThat(days(address).get(next)).endsWith("round 1: 1 came, 1 wait for you");
    String round = cal.get("/rounds").ok().at("/rounds/0/id").asString();
    String work = cal.get("/rounds/" + round).ok().at("/arrivals/0/publication/id").asString();
    cal.post(
            "/marks",
            Map.of("publications", List.of(work), "mark", "seen", "reason", "", "round", round))
        .ok();
    assertThat(days(address).get(next)).endsWith("round 1: 1 came");
    cal.post("/alerts/" + alert + "/pause", Map.of()).ok();
    assertThat(days(address)).as("nothing closes while it is paused").hasSize(1);
  }

  @DisplayName(
      "One of an alert whose letters are not wanted is not in it; daily ones do not fill it")
  @Test
  void whose() {
    String alert = group.alert(group.folder("G"), "Newts", "title: newts", "daily");
    String address = subscribe(cal);
    assertThat(days(address)).as("the next closing only").hasSize(1);
    cal.write("PUT", "/alerts/" + alert + "/mail", Map.of("receive", false), UUID.randomUUID())
        .ok();
    assertThat(days(address)).isEmpty();
  }

  @DisplayName(
      "A calendar is no feed, a feed no calendar; guessed and revoked addresses are told apart")
  @Test
  void addresses() {
    String address = subscribe(cal);
    assertThat(reader.get(address.replace(".ics", ".atom")).status()).isEqualTo(404);
    assertThat(reader.get(address.replaceFirst("/[^/]+\\.ics", "/aaaaaaaaaa.ics")).status())
        .isEqualTo(404);
    String feed =
        URI.create(cal.post("/feeds", Map.of("of", "unreviewed")).ok().get("address").asString())
            .getPath();
    assertThat(reader.get(feed.replace(".atom", ".ics")).status()).isEqualTo(404);
    assertThat(cal.get("/feeds/opml").body()).contains(feed);
    assertThat(cal.get("/feeds/opml").body()).doesNotContain(".ics");
    String id = address.split("/")[2];
    assertThat(cal.post("/feeds/" + id + "/revoke", Map.of()).status()).isEqualTo(204);
    assertThat(reader.get(address).status()).isEqualTo(410);
  }
}
