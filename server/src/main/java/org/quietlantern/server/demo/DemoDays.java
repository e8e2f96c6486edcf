package org.quietlantern.server.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.digest.Digests;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.request.RequestJob;
import org.springframework.stereotype.Service;

/**
 * Lets days pass: everything that falls due is done, day by day, and the made-up world outside is
 * told what day it is. Only in the demo.
 */
@Service
public class DemoDays {
  /** UTC. Sources publish in the night; they are asked after that and before rounds close. */
  private static final LocalTime HARVEST = LocalTime.of(2, 30);

  private final DayMapper mapper;
  private final Calendar calendar;
  private final Harvests harvests;
  private final IndexKeeper index;
  private final Watching watching;
  private final RequestJob requests;
  private final Digests letters;
  private final Outbound outbound;
  private final LanternProperties properties;

  private volatile @Nullable Instant pastUntil;

  /** What the days brought. {@code problems} name sources that could not be read. */
  public record Passed(Instant now, int taken, int changed, List<String> problems) {}

  DemoDays(
      DayMapper mapper,
      Calendar calendar,
      Harvests harvests,
      IndexKeeper index,
      Watching watching,
      RequestJob requests,
      Digests letters,
      Outbound outbound,
      LanternProperties properties) {
    this.mapper = mapper;
    this.calendar = calendar;
    this.harvests = harvests;
    this.index = index;
    this.watching = watching;
    this.requests = requests;
    this.letters = letters;
    this.outbound = outbound;
    this.properties = properties;
  }

  public Instant today() {
    return calendar.now();
  }

  /** Until when the past of the demo will have arrived; empty when it has. */
  public Optional<Instant> pastUntil() {
    return Optional.ofNullable(pastUntil);
  }

  void beginPast(Instant until) {
    pastUntil = until;
  }

  void endPast() {
    pastUntil = null;
  }

  /** For a reader: refused while the past is still arriving. */
  public Passed passAsAsked(int days) {
    if (pastUntil != null) {
      throw Refusal.conflict(
          "past-arriving", "The groups' past is still arriving. Days can pass when it is there.");
    }
    return pass(days);
  }

  /** One lot of days at a time, so that two windows cannot pass the same day twice. */
  synchronized Passed pass(int days) {
    Passed sum = new Passed(calendar.now(), 0, 0, List.of());
    for (int day = 0; day < days; day++) {
      sum = plus(sum, passOne());
    }
    return sum;
  }

  /** The next day, or the rest of one that broke off: whatever was done of it is not done again. */
  private Passed passOne() {
    Instant begun = mapper.begun();
    Instant tomorrow = begun == null ? calendar.now().plus(Duration.ofDays(1)) : begun;
    mapper.begin(tomorrow);
    reach(tomorrow.atZone(ZoneOffset.UTC).toLocalDate().atTime(HARVEST).toInstant(ZoneOffset.UTC));
    List<Harvests.Outcome> outcomes = harvests.harvestAll();
    watching.run();
    reach(tomorrow);
    watching.run();
    requests.run();
    letters.run();
    index.catchUp();
    mapper.end();
    return new Passed(
        tomorrow,
        outcomes.stream().mapToInt(Harvests.Outcome::taken).sum(),
        outcomes.stream().mapToInt(Harvests.Outcome::changed).sum(),
        outcomes.stream()
            .filter(o -> !o.error().isEmpty())
            .map(o -> o.source() + ": " + o.error())
            .toList());
  }

  private static Passed plus(Passed sum, Passed day) {
    return new Passed(
        day.now(),
        sum.taken() + day.taken(),
        sum.changed() + day.changed(),
        java.util.stream.Stream.concat(sum.problems().stream(), day.problems().stream()).toList());
  }

  /** Time never goes back: a day that is taken up again may be further already. */
  private void reach(Instant hour) {
    if (calendar.now().isBefore(hour)) {
      calendar.set(hour);
    }
    tellTheWorld();
  }

  void set(Instant present) {
    calendar.set(present);
    tellTheWorld();
  }

  /** The stand-ins keep no time of their own. */
  void tellTheWorld() {
    try {
      outbound.post(
          URI.create(properties.demo().outside() + "/control/clock?now=" + calendar.now()));
    } catch (IOException failed) {
      throw new UncheckedIOException("the stand-ins do not answer", failed);
    }
  }
}
