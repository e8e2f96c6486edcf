package org.quietlantern.server.arrival;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.quietlantern.server.arrival.BoardView.BoardNote;
import org.quietlantern.server.arrival.BoardView.BoardRow;
import org.quietlantern.server.group.Absences;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.CsvTable;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The board of a group. It adds up the counts of rounds and counts nothing itself, so it says what
 * Arrivals, Today and the lists say.
 */
@Service
@Transactional(readOnly = true)
public class Boards {
  /** Days on a board that is not asked for others. */
  private static final int MONTH = 31;

  private static final int MOST_DAYS = 366;
  private static final String ROUND = "round";
  private static final String WEEK = "week";
  private static final String ALERT = "alert";

  private final RoundMapper mapper;
  private final Arrivals arrivals;
  private final Duties duties;
  private final Groups groups;
  private final Absences absences;
  private final Calendar calendar;

  /** What is asked of a board; absent: rounds, the last month, all alerts. */
  public record BoardAsked(
      @Nullable String by,
      @Nullable LocalDate from,
      @Nullable LocalDate to,
      @Nullable String alert) {}

  Boards(
      RoundMapper mapper,
      Arrivals arrivals,
      Duties duties,
      Groups groups,
      Absences absences,
      Calendar calendar) {
    this.mapper = mapper;
    this.arrivals = arrivals;
    this.duties = duties;
    this.groups = groups;
    this.absences = absences;
    this.calendar = calendar;
  }

  public BoardView board(Member who, BoardAsked asked) {
    ZoneId zone = who.zoneId();
    LocalDate today = calendar.today(zone);
    LocalDate to = Optional.ofNullable(asked.to()).orElse(today);
    LocalDate from = Optional.ofNullable(asked.from()).orElse(to.minusDays(MONTH - 1L));
    if (from.isAfter(to) || from.until(to, ChronoUnit.DAYS) >= MOST_DAYS) {
      throw Refusal.unusable(
          "days", "A board shows the days from one to a later one, a year at most.");
    }
    String by = Optional.ofNullable(asked.by()).orElse(ROUND);
    List<Groups.InGroup> reviewers = duties.reviewers(who.group());
    List<RoundLine> rounds =
        arrivals.lines(
            reviewers,
            mapper.between(
                who.group(),
                asked.alert(),
                from.atStartOfDay(zone).toInstant(),
                to.plusDays(1).atStartOfDay(zone).toInstant(),
                !today.isBefore(from) && !today.isAfter(to)));
    Instant first = mapper.firstClosed(who.group());
    return new BoardView(
        by,
        from,
        to,
        today,
        day(first, zone).orElse(null),
        asked.alert() == null || rounds.isEmpty() ? null : rounds.get(0).alertName(),
        rows(by, rounds, today, zone),
        notes(who, reviewers, from, to));
  }

  private static List<BoardRow> rows(
      String by, List<RoundLine> rounds, LocalDate today, ZoneId zone) {
    return switch (by) {
      case ROUND -> rounds.stream().map(round -> ofRound(round, zone)).toList();
      case ALERT ->
          together(rounds, RoundLine::alert).stream().map(its -> ofAlert(its, zone)).toList();
      case WEEK ->
          together(rounds, round -> monday(round, today, zone)).stream()
              .map(its -> ofWeek(its, monday(its.get(0), today, zone)))
              .toList();
      default -> throw Refusal.unusable("by", "A board goes by round, by week or by alert.");
    };
  }

  /** In the order in which the first of each came. */
  private static <K> List<List<RoundLine>> together(
      List<RoundLine> rounds, Function<RoundLine, K> by) {
    Map<K, List<RoundLine>> together = new LinkedHashMap<>();
    rounds.forEach(
        round -> together.computeIfAbsent(by.apply(round), key -> new ArrayList<>()).add(round));
    return List.copyOf(together.values());
  }

  /** Of the week in which it closed; what gathers is of this week. */
  private static LocalDate monday(RoundLine round, LocalDate today, ZoneId zone) {
    LocalDate day = day(round.closed(), zone).orElse(today);
    return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
  }

  private static Optional<LocalDate> day(@Nullable Instant moment, ZoneId zone) {
    return Optional.ofNullable(moment).map(at -> at.atZone(zone).toLocalDate());
  }

  private static BoardRow ofRound(RoundLine round, ZoneId zone) {
    return row(
        List.of(round),
        round.id(),
        round.alert(),
        round.alertName(),
        day(round.opens(), zone).orElseThrow(),
        day(round.closed(), zone).orElse(null));
  }

  private static BoardRow ofAlert(List<RoundLine> rounds, ZoneId zone) {
    RoundLine last = rounds.get(rounds.size() - 1);
    return row(
        rounds,
        null,
        last.alert(),
        last.alertName(),
        day(rounds.get(0).opens(), zone).orElseThrow(),
        day(last.closed(), zone).orElse(null));
  }

  private static BoardRow ofWeek(List<RoundLine> rounds, LocalDate monday) {
    return row(rounds, null, null, "", monday, monday.plusDays(6));
  }

  private static BoardRow row(
      List<RoundLine> rounds,
      @Nullable String round,
      @Nullable String alert,
      String name,
      LocalDate from,
      @Nullable LocalDate to) {
    return new BoardRow(
        round,
        alert,
        name,
        from,
        to,
        rounds.size(),
        rounds.stream().mapToInt(RoundLine::arrivals).sum(),
        sums(rounds, RoundLine::reviewed),
        sums(rounds, RoundLine::shares),
        rounds.stream().mapToInt(RoundLine::covered).sum(),
        rounds.stream().mapToInt(RoundLine::nobody).sum(),
        rounds.stream()
            .map(RoundLine::waitingSince)
            .filter(Objects::nonNull)
            .min(Comparator.naturalOrder())
            .orElse(null));
  }

  private static Map<String, Integer> sums(
      List<RoundLine> rounds, Function<RoundLine, Map<String, Integer>> of) {
    Map<String, Integer> sums = new HashMap<>();
    rounds.forEach(round -> of.apply(round).forEach((who, n) -> sums.merge(who, n, Integer::sum)));
    return sums;
  }

  private List<BoardNote> notes(
      Member who, List<Groups.InGroup> reviewers, LocalDate from, LocalDate to) {
    ZoneId zone = who.zoneId();
    Map<Integer, String> names = new HashMap<>();
    reviewers.forEach(one -> names.put(one.id(), one.pid()));
    Stream<BoardNote> joined =
        reviewers.stream()
            .map(
                one ->
                    new BoardNote(
                        one.pid(), "joined", one.joined().atZone(zone).toLocalDate(), null));
    Stream<BoardNote> left =
        groups.leftSince(who.group(), from.atStartOfDay(zone).toInstant()).stream()
            .map(at -> new BoardNote(null, "left", at.atZone(zone).toLocalDate(), null));
    Stream<BoardNote> away =
        absences.of(who.group()).stream()
            .filter(one -> names.containsKey(one.membership()))
            .filter(one -> one.toDay() == null || !one.toDay().isBefore(from))
            .map(
                one ->
                    new BoardNote(names.get(one.membership()), "away", one.fromDay(), one.toDay()));
    return Stream.concat(
            Stream.concat(joined, left).filter(note -> !note.from().isBefore(from)), away)
        .filter(note -> !note.from().isAfter(to))
        .sorted(Comparator.comparing(BoardNote::from).thenComparing(BoardNote::what))
        .toList();
  }

  /** The same as a table (RFC 4180). */
  String csv(Member who, BoardAsked asked) {
    BoardView board = board(who, asked);
    List<Groups.InGroup> reviewers = duties.reviewers(who.group());
    List<String> heads = new ArrayList<>(List.of("alert", "from", "to", "rounds", "arrivals"));
    reviewers.forEach(
        one -> {
          heads.add(one.name() + ", reviewed");
          heads.add(one.name() + ", of");
        });
    heads.addAll(List.of("covered", "seen by nobody", "oldest waiting since"));
    return CsvTable.of(
        heads, board.rows().stream().map(row -> line(row, reviewers, who.zoneId())).toList());
  }

  private static List<?> line(BoardRow row, List<Groups.InGroup> reviewers, ZoneId zone) {
    List<Object> line = new ArrayList<>();
    line.add(row.name());
    line.add(row.from());
    line.add(row.to() == null ? "" : row.to());
    line.add(row.rounds());
    line.add(row.arrivals());
    reviewers.forEach(
        one -> {
          line.add(row.reviewed().getOrDefault(one.pid(), 0));
          line.add(row.shares().getOrDefault(one.pid(), 0));
        });
    line.add(row.covered());
    line.add(row.nobody());
    line.add(day(row.waitingSince(), zone).map(LocalDate::toString).orElse(""));
    return line;
  }
}
