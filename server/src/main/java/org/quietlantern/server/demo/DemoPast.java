package org.quietlantern.server.demo;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.regex.Pattern;
import org.quietlantern.core.holdings.Access;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.arrival.ArrivalShown;
import org.quietlantern.server.arrival.Arrivals;
import org.quietlantern.server.arrival.RoundLine;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.today.SinceVisit;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * The past of the made-up groups, a day at a time: what sources publish arrives, and members look
 * at it in their own ways. The last days are left for the reader to review.
 */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoPast {
  /** Rounds that members still look at. */
  private static final int RECENT = 6;

  private static final int LEFT_TO_DO = 6;

  /** What the members keep more often than the rest. */
  private static final Pattern NEAR =
      Pattern.compile("dimm|part-night|curfew|verge", Pattern.CASE_INSENSITIVE);

  /** On which days a member looks, and at how much of what is there (in a hundred). */
  private record Habit(Set<DayOfWeek> days, int thoroughness) {}

  private static final Map<String, Habit> HABITS =
      Map.of(
          "Ilse Brandvold", new Habit(Set.of(DayOfWeek.TUESDAY, DayOfWeek.FRIDAY), 90),
          "Teodor Vance",
              new Habit(Set.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.THURSDAY), 70),
          "Maren Oduya", new Habit(Set.of(DayOfWeek.SATURDAY, DayOfWeek.WEDNESDAY), 80),
          "Sefa Lautala", new Habit(Set.of(DayOfWeek.THURSDAY), 50),
          "Una Selwyn", new Habit(Set.of(DayOfWeek.SUNDAY), 95),
          "Piet Morrow", new Habit(Set.of(DayOfWeek.MONDAY), 60));

  private final Calendar calendar;
  private final DemoDays days;
  private final Groups groups;
  private final Arrivals arrivals;
  private final DemoHands hands;
  private final DemoReading reading;
  private final DemoTalk talk;
  private final DemoPeople people;
  private final DemoAsking asking;
  private final DemoCiting citing;
  private final DemoAnnotating annotating;
  private final SinceVisit visits;

  DemoPast(
      Calendar calendar,
      DemoDays days,
      Groups groups,
      Arrivals arrivals,
      DemoHands hands,
      DemoReading reading,
      DemoTalk talk,
      DemoPeople people,
      DemoAsking asking,
      DemoCiting citing,
      DemoAnnotating annotating,
      SinceVisit visits) {
    this.visits = visits;
    this.talk = talk;
    this.people = people;
    this.asking = asking;
    this.citing = citing;
    this.annotating = annotating;
    this.reading = reading;
    this.calendar = calendar;
    this.days = days;
    this.groups = groups;
    this.arrivals = arrivals;
    this.hands = hands;
  }

  void liveOneDay() {
    days.pass(1);
    Instant now = calendar.now();
    long left = Duration.between(now, DemoStart.PRESENT).toDays();
    reading.live(left);
    people.live(left);
    talk.live(left);
    asking.live(left);
    citing.live(left);
    annotating.live(left);
    boolean isReviewed = now.isBefore(DemoStart.PRESENT.minus(Duration.ofDays(LEFT_TO_DO)));
    LocalDate today = now.atZone(ZoneOffset.UTC).toLocalDate();
    for (Member member : groups.everybody()) {
      Habit habit = HABITS.get(member.name());
      if (habit != null && isReviewed && habit.days().contains(today.getDayOfWeek())) {
        visits.visit(member);
        review(member, habit, today);
      }
    }
  }

  private void review(Member member, Habit habit, LocalDate today) {
    List<RoundLine> rounds = arrivals.rounds(member, null).rounds();
    for (RoundLine round : rounds.subList(0, Math.min(RECENT, rounds.size()))) {
      if (round.reviewed().getOrDefault(member.pid(), 0) == round.arrivals()) {
        continue;
      }
      for (ArrivalShown arrival : arrivals.round(member, round.id(), "here", null).arrivals()) {
        Random random = random(today, member, arrival);
        if (isUnlit(arrival, member) && random.nextInt(100) < habit.thoroughness()) {
          say(member, round.id(), arrival, random);
        }
      }
    }
  }

  /** What a member thinks of a work on a day, the same however often the day is lived. */
  private static Random random(LocalDate today, Member member, ArrivalShown arrival) {
    return new Random(
        Objects.hash(today.toEpochDay(), member.name(), arrival.publication().title()) * 7_919L);
  }

  private static boolean isUnlit(ArrivalShown arrival, Member member) {
    return arrival.lamps().stream()
        .anyMatch(lamp -> lamp.member().equals(member.pid()) && lamp.mark() == null);
  }

  /** What cannot be read is waited for. */
  private static String hold(ArrivalShown arrival) {
    boolean readable = Access.isReadable(arrival.publication().access());
    return (readable ? Mark.HOLD : Mark.HOLD_FOR_TEXT).word();
  }

  private void say(Member member, String round, ArrivalShown arrival, Random random) {
    int chance = random.nextInt(100);
    boolean near = NEAR.matcher(arrival.publication().title()).find();
    String mark =
        chance < (near ? 40 : 5)
            ? "keep"
            : chance < 64 ? "pass" : chance < 70 ? "raise" : chance < 77 ? hold(arrival) : "seen";
    hands.mark(member, round, arrival.id(), mark, DemoReasons.of(mark, random));
  }
}
