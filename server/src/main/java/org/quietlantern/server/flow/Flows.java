package org.quietlantern.server.flow;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.report.Flow;
import org.quietlantern.core.review.Fate;
import org.quietlantern.core.review.Lamp;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.alert.Alerts;
import org.quietlantern.server.catalogue.Sources;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.Zones;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Decisions;
import org.quietlantern.server.review.ReadableTexts;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What became of what alerts of a group found. What is sealed counts as what is told of it. */
@Service
@Transactional(readOnly = true)
public class Flows {
  private final FlowMapper mapper;
  private final Reviews reviews;
  private final Decisions decisions;
  private final ReadableTexts texts;
  private final Sources sources;
  private final Alerts alerts;
  private final Groups groups;
  private final Calendar calendar;

  /**
   * Of which arrivals.
   *
   * @param alert its public id; absent: of all alerts
   * @param from absent: a year before {@code to}
   * @param to absent: today
   */
  public record Asked(@Nullable String alert, @Nullable LocalDate from, @Nullable LocalDate to) {}

  /**
   * The works that alerts found in days of the group's zone, and what became of them.
   *
   * @param alert what the alert is called; absent: all
   * @param said what is told of each by its members, by row number
   * @param byAlert how many each found, by public id
   */
  public record Came(
      @Nullable String alert,
      LocalDate from,
      LocalDate to,
      List<Flow.Work> works,
      Map<Integer, List<CurrentMark>> said,
      Map<String, Integer> byAlert) {}

  /** What a member did with some works; {@code lookedAt}: all that they reviewed. */
  public record Reviewer(String name, int lookedAt, int kept, int passed) {}

  Flows(
      FlowMapper mapper,
      Reviews reviews,
      Decisions decisions,
      ReadableTexts texts,
      Sources sources,
      Alerts alerts,
      Groups groups,
      Calendar calendar) {
    this.mapper = mapper;
    this.reviews = reviews;
    this.decisions = decisions;
    this.texts = texts;
    this.sources = sources;
    this.alerts = alerts;
    this.groups = groups;
    this.calendar = calendar;
  }

  /** Refused where the days are not in their order. */
  public Came came(Member who, Asked asked) {
    ZoneId zone = who.zoneId();
    LocalDate to = Optional.ofNullable(asked.to()).orElseGet(() -> calendar.today(zone));
    LocalDate from = Optional.ofNullable(asked.from()).orElse(to.minusYears(1).plusDays(1));
    if (from.isAfter(to)) {
      throw Refusal.unusable("days", "The first day comes after the last one.");
    }
    String alert = asked.alert() == null ? null : name(who, asked.alert());
    List<FlowMapper.Found> found =
        mapper.found(
            who.group(),
            asked.alert(),
            from.atStartOfDay(zone).toInstant(),
            to.plusDays(1).atStartOfDay(zone).toInstant());
    Map<String, Integer> byAlert = new LinkedHashMap<>();
    Set<Integer> works = new LinkedHashSet<>();
    for (FlowMapper.Found one : found) {
      byAlert.merge(one.alert(), 1, Integer::sum);
      works.add(one.work());
    }
    Map<Integer, List<CurrentMark>> said = reviews.toldOf(who.group(), works);
    return new Came(alert, from, to, works(who, works, said), said, byAlert);
  }

  private String name(Member who, String alert) {
    return Optional.ofNullable(alerts.names(who, List.of(alert)).get(alert))
        .orElseThrow(Refusal::unknown);
  }

  private List<Flow.Work> works(
      Member who, Set<Integer> works, Map<Integer, List<CurrentMark>> said) {
    Map<Integer, Fate.Decided> decided = decisions.inForce(who.group());
    Map<Integer, List<String>> supplying = sources.supplying(works);
    Map<Integer, Fate> fates = new LinkedHashMap<>();
    works.forEach(
        work ->
            fates.put(
                work,
                Fate.of(
                    said.getOrDefault(work, List.of()).stream()
                        .map(one -> new Fate.Said(one.mark(), one.reason(), one.at()))
                        .toList(),
                    Optional.ofNullable(decided.get(work)))));
    Set<Integer> readable =
        texts.of(
            who.group(),
            works.stream().filter(work -> fates.get(work).end() == Fate.End.KEPT).toList());
    return works.stream()
        .map(
            work ->
                new Flow.Work(
                    work,
                    Set.copyOf(supplying.getOrDefault(work, List.of())),
                    fates.get(work),
                    readable.contains(work)))
        .toList();
  }

  /** The name of its report: with all days, so that it tells the same tomorrow. */
  public static String name(@Nullable String alert, Came came) {
    return "flow:%s:%s:%s".formatted(alert == null ? "all" : alert, came.from(), came.to());
  }

  /** What a flow is of. */
  public static String title(Came came) {
    return "What became of what %s brought from %s to %s"
        .formatted(
            came.alert() == null ? "all alerts" : "“" + came.alert() + "”",
            Zones.day(came.from()),
            Zones.day(came.to()));
  }

  public Flow flow(Came came) {
    return Flow.of(came.works(), sources.names());
  }

  /** Who looked at them: by name, in the order of the group. */
  public List<Reviewer> reviewers(Member who, Came came) {
    Map<Integer, List<CurrentMark>> by = new LinkedHashMap<>();
    came.said()
        .values()
        .forEach(
            marks ->
                marks.stream()
                    .filter(one -> one.mark().lamp() == Lamp.LIT)
                    .forEach(
                        one -> by.computeIfAbsent(one.member(), m -> new ArrayList<>()).add(one)));
    Map<Integer, String> names = groups.names(who.group());
    return by.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .map(
            one ->
                new Reviewer(
                    names.getOrDefault(one.getKey(), "a former member"),
                    one.getValue().size(),
                    count(one.getValue(), Mark.KEEP),
                    count(one.getValue(), Mark.PASS)))
        .toList();
  }

  private static int count(List<CurrentMark> marks, Mark mark) {
    return (int) marks.stream().filter(one -> one.mark() == mark).count();
  }
}
