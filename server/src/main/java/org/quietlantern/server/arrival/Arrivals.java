package org.quietlantern.server.arrival;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.ContentsOrder;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.watch.Occasion;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What waits to be reviewed, and what everybody said of it. */
@Service
@Transactional(readOnly = true)
public class Arrivals {
  /** Rounds on a page. */
  private static final int PAGE = 60;

  private static final String HERE = "here";
  private static final String CONTENTS = "contents";
  private static final String KEPT = "kept";
  private static final Comparator<Host> CONTENTS_ORDER = new ContentsOrder();

  private final RoundMapper mapper;
  private final RoundContents contents;
  private final Publications publications;
  private final ArrivalViews views;
  private final KeptOrder keptOrder;
  private final WhatIsLeft whatIsLeft;
  private final Reviews reviews;
  private final Duties duties;
  private final Json json;
  private final Calendar calendar;

  Arrivals(
      RoundMapper mapper,
      RoundContents contents,
      Publications publications,
      ArrivalViews views,
      KeptOrder keptOrder,
      WhatIsLeft whatIsLeft,
      Reviews reviews,
      Duties duties,
      Json json,
      Calendar calendar) {
    this.mapper = mapper;
    this.contents = contents;
    this.publications = publications;
    this.views = views;
    this.keptOrder = keptOrder;
    this.whatIsLeft = whatIsLeft;
    this.reviews = reviews;
    this.duties = duties;
    this.json = json;
    this.calendar = calendar;
  }

  /**
   * Rounds with something in them: those that gather first, then the latest closed.
   *
   * @param before the last round of the page before; none for the first page
   */
  public RoundsPage rounds(Member who, @Nullable String before) {
    int from = before == null ? 0 : row(who, before).id();
    List<RoundMapper.Row> rows = mapper.page(who.group(), from, PAGE);
    boolean owes = who.mayWrite();
    return new RoundsPage(
        lines(duties.reviewers(who.group()), rows),
        rows.isEmpty() ? 0 : mapper.after(who.group(), rows.get(rows.size() - 1).id()),
        owes ? mapper.owed(who.group(), who.id()) : 0,
        owes ? mapper.firstOwed(who.group(), who.id()) : null);
  }

  /**
   * What the member owes in the rounds of one alert.
   *
   * @param name of the alert
   * @param rounds in how many rounds
   * @param owed arrivals that wait for the member
   * @param nobody arrivals of those rounds that nobody has seen
   * @param round the first of them in the list of rounds
   */
  public record AlertOwed(
      String alert, String name, int rounds, int owed, int nobody, String round) {}

  /** By alert, where most waits first; together as much as {@link RoundsPage#owed}. */
  public List<AlertOwed> owedByAlert(Member who) {
    return who.mayWrite() ? mapper.owing(who.group(), who.id()) : List.of();
  }

  /** What came on a day, and of how much of it the member's lamp is lit. */
  public record DayCame(LocalDate day, int came, int lit) {}

  /** The days up to today in the group's zone, every one of them. */
  public List<DayCame> days(Member who, int days) {
    LocalDate today = calendar.today(who.zoneId());
    LocalDate first = today.minusDays(days - 1L);
    Instant since = first.atStartOfDay(who.zoneId()).toInstant();
    Map<LocalDate, DayCame> came =
        mapper
            .cameOn(
                who.group(),
                who.id(),
                who.zone(),
                since,
                Occasion.onlyTold().toArray(String[]::new))
            .stream()
            .collect(Collectors.toMap(DayCame::day, Function.identity()));
    return first
        .datesUntil(today.plusDays(1))
        .map(day -> came.getOrDefault(day, new DayCame(day, 0, 0)))
        .toList();
  }

  /** The last closed rounds of an alert (row number), newest first; empty ones too. */
  public List<RoundLine> closedRounds(Member who, int alert, int most) {
    return lines(duties.reviewers(who.group()), mapper.closed(who.group(), alert, most));
  }

  /**
   * A round with its arrivals.
   *
   * @param order of them; none: contents where the alert asks by journals only
   * @param left which alone: those that a member owes ({@link WhatIsLeft}); none: all
   */
  public RoundView round(Member who, String pid, @Nullable String order, @Nullable String left) {
    RoundMapper.Row round = row(who, pid);
    String asked = order == null && isOfJournals(round) ? CONTENTS : order;
    List<RoundMapper.FoundRow> all = contents.inOrder(List.of(round.id()));
    Map<Integer, List<CurrentMark>> said =
        reviews.onOccasions(who, all.stream().map(RoundMapper.FoundRow::occasion).toList());
    List<Groups.InGroup> members = duties.reviewers(who.group());
    List<RoundMapper.FoundRow> here =
        left == null
            ? all
            : all.stream().filter(whatIsLeft.in(who, members, left, round.wanted(), said)).toList();
    List<StoredPublication> stored =
        publications.byId(
            Viewer.of(who), here.stream().map(RoundMapper.FoundRow::publication).toList());
    boolean kept = KEPT.equals(asked);
    boolean inIssues = CONTENTS.equals(asked);
    KeptOrder.Ordered ordered =
        kept
            ? keptOrder.of(who, here, stored, Integer.MAX_VALUE)
            : KeptOrder.Ordered.plain(inIssues ? inOrder(here, stored) : here);
    return new RoundView(
        lines(members, List.of(round)).get(0),
        new Folders.FolderName(round.folderPid(), round.folderName()),
        kept ? KEPT : inIssues ? CONTENTS : HERE,
        ordered.learned(),
        ordered.because(views.of(who, members, ordered.found(), stored, said)));
  }

  private boolean isOfJournals(RoundMapper.Row round) {
    return json.read(mapper.strategy(round.id()), StrategyBody.class)
        .strategy()
        .asksOnly(Field.JOURNAL);
  }

  private static List<RoundMapper.FoundRow> inOrder(
      List<RoundMapper.FoundRow> found, List<StoredPublication> stored) {
    Map<Integer, Host> hosts =
        stored.stream()
            .collect(
                Collectors.toMap(StoredPublication::id, s -> s.publication().host(), (a, b) -> a));
    return found.stream()
        .sorted(
            Comparator.comparing(
                f -> hosts.getOrDefault(f.publication(), Host.NONE), CONTENTS_ORDER))
        .toList();
  }

  /**
   * Works of a round.
   *
   * @param name which round of which alert
   * @param works row numbers, the newest here first
   */
  public record RoundWorks(String name, List<Integer> works) {}

  public RoundWorks works(Member who, String pid) {
    RoundMapper.Row round = row(who, pid);
    return new RoundWorks(
        "%s, round %d".formatted(round.alertName(), round.n()),
        contents.inOrder(List.of(round.id())).stream()
            .map(RoundMapper.FoundRow::publication)
            .toList());
  }

  RoundMapper.Row row(Member who, String pid) {
    return Optional.ofNullable(mapper.find(who.group(), pid)).orElseThrow(Refusal::unknown);
  }

  /** Public id of the group that a round belongs to. */
  public Optional<String> groupOf(String pid) {
    return Optional.ofNullable(mapper.groupOf(pid));
  }

  List<RoundLine> lines(List<Groups.InGroup> members, List<RoundMapper.Row> rounds) {
    Map<Integer, Map<Integer, RoundMapper.Reviewed>> reviewed =
        mapper.reviewed(rounds.stream().map(RoundMapper.Row::id).toArray(Integer[]::new)).stream()
            .collect(
                Collectors.groupingBy(
                    RoundMapper.Reviewed::round,
                    Collectors.toMap(RoundMapper.Reviewed::membership, Function.identity())));
    return rounds.stream()
        .map(round -> line(round, members, reviewed.getOrDefault(round.id(), Map.of())))
        .toList();
  }

  private static RoundLine line(
      RoundMapper.Row round,
      List<Groups.InGroup> members,
      Map<Integer, RoundMapper.Reviewed> reviewed) {
    Map<String, Integer> byMember = new HashMap<>();
    Map<String, Integer> shares = new HashMap<>();
    for (Groups.InGroup member : members) {
      Optional<RoundMapper.Reviewed> its = Optional.ofNullable(reviewed.get(member.id()));
      byMember.put(member.pid(), its.map(RoundMapper.Reviewed::reviewed).orElse(0));
      shares.put(member.pid(), round.arrivals() - its.map(RoundMapper.Reviewed::spared).orElse(0));
    }
    return new RoundLine(
        round.pid(),
        round.alertPid(),
        round.alertName(),
        round.n(),
        round.opens(),
        round.closes(),
        round.closed(),
        round.arrivals(),
        round.asked(),
        round.covers(),
        byMember,
        shares,
        round.covered(),
        round.nobody(),
        round.waitingSince());
  }
}
