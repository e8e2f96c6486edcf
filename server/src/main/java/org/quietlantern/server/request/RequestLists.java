package org.quietlantern.server.request;

import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.text.OpenUrl;
import org.quietlantern.core.text.OpenUrlReader;
import org.quietlantern.core.text.RequestState;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.CsvTable;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How the copy requests of a group stand. */
@Service
@Transactional(readOnly = true)
public class RequestLists {
  private static final int A_PAGE = 50;
  private static final int ALL = Integer.MAX_VALUE;
  private final RequestMapper mapper;
  private final Publications publications;
  private final Summaries summaries;
  private final Groups groups;
  private final LenderOffers offers;
  private final Calendar calendar;

  /** A member who wants the copy, and since when. */
  public record Wanted(String member, String name, Instant at) {}

  /**
   * A copy request.
   *
   * @param publication absent where the group sees the work no longer, or never did
   * @param described the citation of one that is not in the catalogue; else absent
   * @param wanted who asked, the first one first
   * @param author whether it was asked of the author, by a letter
   * @param lender the library that is asked; empty where nobody said who it is
   * @param byHand whether members say how it stands
   * @param days of the calendar that it has waited, or that it took
   * @param trouble why the library could not be reached, or the copy not be fetched
   * @param isKept whether the copy was taken among the group's texts
   * @param use what it may be used for, in the library's words
   */
  public record RequestShown(
      String id,
      @Nullable Summary publication,
      @Nullable String described,
      String state,
      List<Wanted> wanted,
      boolean mine,
      boolean author,
      String lender,
      boolean byHand,
      String note,
      Instant asked,
      @Nullable Instant ended,
      long days,
      @Nullable String question,
      @Nullable String reason,
      @Nullable String link,
      @Nullable Instant until,
      @Nullable String trouble,
      boolean isKept,
      String use) {}

  /** How many requests stand so. */
  public record StateCount(String state, int n) {}

  /**
   * A page of them, the newest first.
   *
   * @param counts of all states, without the choice of one
   * @param next from where to go on; absent behind the last
   * @param usual how long deliveries took so far, of each library that delivered
   */
  public record RequestsPage(
      List<RequestShown> requests,
      List<StateCount> counts,
      @Nullable String next,
      List<UsualWait> usual) {}

  /** How long a library's deliveries took so far, in words. */
  public record UsualWait(String lender, String usual) {}

  RequestLists(
      RequestMapper mapper,
      Publications publications,
      Summaries summaries,
      Groups groups,
      LenderOffers offers,
      Calendar calendar) {
    this.mapper = mapper;
    this.publications = publications;
    this.summaries = summaries;
    this.groups = groups;
    this.offers = offers;
    this.calendar = calendar;
  }

  /** {@code state} empty: all; {@code before}: the id of a request, to go on behind it. */
  RequestsPage page(Member who, String state, boolean mine, @Nullable String before) {
    String[] states = state.isEmpty() ? new String[0] : new String[] {known(state)};
    int last = before == null ? 0 : row(who, before).id();
    int whose = mine ? who.id() : 0;
    List<RequestMapper.Row> rows = mapper.page(who.group(), states, whose, last, A_PAGE + 1);
    boolean more = rows.size() > A_PAGE;
    List<RequestMapper.Row> some = more ? rows.subList(0, A_PAGE) : rows;
    List<StateCount> counts =
        mapper.counts(who.group(), whose).stream()
            .map(count -> new StateCount(count.state(), count.n()))
            .toList();
    return new RequestsPage(
        shown(who, some),
        counts,
        more ? some.get(A_PAGE - 1).pid() : null,
        offers.waits(who).entrySet().stream()
            .map(one -> new UsualWait(one.getKey(), one.getValue().spoken()))
            .toList());
  }

  private static String known(String state) {
    return RequestState.named(state)
        .map(RequestState::word)
        .orElseThrow(() -> Refusal.unusable("state", "There is no such state."));
  }

  private RequestMapper.Row row(Member who, String pid) {
    return Optional.ofNullable(mapper.find(who.group(), pid)).orElseThrow(Refusal::unknown);
  }

  /** Of one publication, the newest first. */
  public List<RequestShown> of(Member who, String pid) {
    StoredPublication stored = publications.get(Viewer.of(who), pid);
    return shown(who, mapper.of(who.group(), publications.withParts(stored)));
  }

  /** Of a work that is not in the catalogue, the newest first. */
  public List<RequestShown> described(Member who, Publication work) {
    return shown(who, mapper.ofDescribed(who.group(), OpenUrl.of(work, "")));
  }

  /**
   * A copy that came for a member.
   *
   * @param publication row number; absent for a work that is not in the catalogue
   * @param described the citation of such a work
   */
  public record DeliveredCopy(
      String request,
      @Nullable Integer publication,
      @Nullable String described,
      Instant at,
      long days) {}

  /** Copies that came for the member since a moment, the latest first. */
  public List<DeliveredCopy> delivered(Member who, Instant since, int most) {
    return mapper.delivered(who.id(), since, most).stream()
        .map(
            row ->
                new DeliveredCopy(
                    row.pid(),
                    row.publication(),
                    row.described() == null ? null : citation(row.described()),
                    row.ended(),
                    days(row, who.zoneId())))
        .toList();
  }

  private List<RequestShown> shown(Member who, List<RequestMapper.Row> rows) {
    if (rows.isEmpty()) {
      return List.of();
    }
    Map<Integer, StoredPublication> stored = new LinkedHashMap<>();
    publications
        .byId(
            Viewer.of(who),
            rows.stream()
                .map(RequestMapper.Row::publication)
                .filter(Objects::nonNull)
                .distinct()
                .toList())
        .forEach(publication -> stored.put(publication.asked(), publication));
    Map<Integer, Summary> summary = summaries.of(who, stored.values());
    Map<Integer, List<RequestMapper.Wanting>> wanting =
        mapper.wanting(rows.stream().map(RequestMapper.Row::id).toArray(Integer[]::new)).stream()
            .collect(Collectors.groupingBy(RequestMapper.Wanting::request));
    Map<Integer, Member> members =
        groups.members(who.group()).stream().collect(Collectors.toMap(Member::id, m -> m));
    List<RequestShown> shown = new ArrayList<>();
    for (RequestMapper.Row row : rows) {
      StoredPublication its = row.publication() == null ? null : stored.get(row.publication());
      List<RequestMapper.Wanting> wants = wanting.getOrDefault(row.id(), List.of());
      shown.add(shown(who, row, its == null ? null : summary.get(its.id()), wants, members));
    }
    return shown;
  }

  private RequestShown shown(
      Member who,
      RequestMapper.Row row,
      @Nullable Summary publication,
      List<RequestMapper.Wanting> wants,
      Map<Integer, Member> members) {
    boolean there = row.state().equals(RequestState.DELIVERED.word());
    return new RequestShown(
        row.pid(),
        publication,
        row.described() == null ? null : citation(row.described()),
        row.state(),
        wants.stream().map(one -> wanted(one, members.get(one.membership()))).toList(),
        wants.stream().anyMatch(one -> one.membership() == who.id()),
        row.author(),
        row.lender(),
        !row.reached(),
        row.note(),
        row.asked(),
        row.ended(),
        days(row, who.zoneId()),
        row.question(),
        row.reason(),
        there ? row.link() : null,
        row.until(),
        row.trouble(),
        row.text() != null,
        row.use());
  }

  private static String citation(String described) {
    return OpenUrlReader.read(described)
        .map(read -> PlainCitation.of(read.publication()))
        .orElse("");
  }

  private static Wanted wanted(RequestMapper.Wanting one, @Nullable Member member) {
    return member == null
        ? new Wanted("", "a former member", one.at())
        : new Wanted(member.pid(), member.name(), one.at());
  }

  private long days(RequestMapper.Row row, ZoneId zone) {
    Instant end = Optional.ofNullable(row.ended()).orElseGet(calendar::now);
    return ChronoUnit.DAYS.between(
        row.asked().atZone(zone).toLocalDate(), end.atZone(zone).toLocalDate());
  }

  /** All of them as CSV (RFC 4180), the newest first. */
  String csv(Member who) {
    return CsvTable.of(
        List.of(
            "asked",
            "state",
            "days",
            "title",
            "authors",
            "year",
            "where",
            "asked of",
            "wanted by",
            "reason"),
        shown(who, mapper.page(who.group(), new String[0], 0, 0, ALL)).stream()
            .map(one -> row(who, one))
            .toList());
  }

  private static List<?> row(Member who, RequestShown one) {
    Summary work = one.publication();
    return Arrays.asList(
        one.asked().atZone(who.zoneId()).toLocalDate(),
        one.state(),
        one.days(),
        work == null ? one.described() : work.title(),
        work == null ? "" : String.join("; ", work.authors()),
        work == null ? "" : work.year(),
        work == null ? "" : work.where(),
        one.author() ? "the author" : one.lender(),
        one.wanted().stream().map(Wanted::name).collect(Collectors.joining("; ")),
        one.reason());
  }
}
