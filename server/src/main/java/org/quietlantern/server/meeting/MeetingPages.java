package org.quietlantern.server.meeting;

import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.quietlantern.core.review.Outcome;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.arrival.ArrivalList;
import org.quietlantern.server.arrival.ArrivalLists;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.meeting.MeetingShown.OutcomeShown;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Meetings as they are read. */
@Service
@Transactional(readOnly = true)
public class MeetingPages {
  private static final int A_PAGE = 30;
  private static final String OPEN = Outcome.OPEN.word();

  private final MeetingMapper mapper;
  private final Meetings meetings;
  private final Agenda agenda;
  private final ArrivalLists lists;
  private final Groups groups;
  private final Calendar calendar;

  /**
   * @param today in the group's zone
   * @param ahead planned and under way, the next first
   * @param over those of before, the last first
   * @param standing how many works stand open for the next one
   * @param next the last one of this page, where others follow
   */
  public record MeetingsPage(
      LocalDate today,
      List<MeetingShown.MeetingLine> ahead,
      List<MeetingShown.MeetingLine> over,
      int standing,
      @Nullable String next) {}

  MeetingPages(
      MeetingMapper mapper,
      Meetings meetings,
      Agenda agenda,
      ArrivalLists lists,
      Groups groups,
      Calendar calendar) {
    this.mapper = mapper;
    this.meetings = meetings;
    this.agenda = agenda;
    this.lists = lists;
    this.groups = groups;
    this.calendar = calendar;
  }

  /** {@code before}: the last one of the page before. */
  public MeetingsPage page(Member who, @Nullable String before) {
    int from = before == null ? 0 : meetings.find(who, before).id();
    List<MeetingMapper.Row> ahead = mapper.ahead(who.group());
    Page<MeetingMapper.Row> over = Page.of(mapper.over(who.group(), from, A_PAGE + 1), A_PAGE);
    List<MeetingMapper.Row> all = new ArrayList<>(ahead);
    all.addAll(over.rows());
    Map<Integer, MeetingMapper.Count> counts =
        mapper.counts(all.stream().map(MeetingMapper.Row::id).toArray(Integer[]::new)).stream()
            .collect(Collectors.toMap(MeetingMapper.Count::meeting, one -> one));
    Map<Integer, String> names = groups.names(who.group());
    int standing = agenda.standing(who).size() + agenda.more(who);
    return new MeetingsPage(
        LocalDate.ofInstant(calendar.now(), who.zoneId()),
        ahead.stream().map(row -> line(who, row, counts.get(row.id()), names, standing)).toList(),
        over.rows().stream().map(row -> line(who, row, counts.get(row.id()), names, 0)).toList(),
        standing,
        over.more() ? over.last().pid() : null);
  }

  private static MeetingShown.MeetingLine line(
      Member who,
      MeetingMapper.Row row,
      MeetingMapper.Count count,
      Map<Integer, String> names,
      int standing) {
    ZonedDateTime at = row.at().atZone(who.zoneId());
    return new MeetingShown.MeetingLine(
        row.pid(),
        at.toLocalDate(),
        at.toLocalTime(),
        row.place(),
        names.getOrDefault(row.calledBy(), "a former member"),
        row.state(),
        row.sent(),
        row.begun(),
        row.ended(),
        row.begun() == null ? standing : count.works(),
        count.decided(),
        row.version());
  }

  /** One of them. */
  public MeetingShown get(Member who, String meeting) {
    MeetingMapper.Row row = meetings.find(who, meeting);
    List<Agenda.Work> works = agenda.of(who, row);
    List<Integer> present = mapper.present(row.id());
    Map<Integer, String> names = groups.names(who.group());
    List<OutcomeShown> outcomes =
        mapper.outcomes(row.id()).stream().map(one -> outcome(one, names)).toList();
    int decided = (int) outcomes.stream().filter(one -> !one.what().equals(OPEN)).count();
    return new MeetingShown(
        line(
            who,
            row,
            new MeetingMapper.Count(row.id(), works.size(), decided),
            names,
            works.size()),
        groups.members(who.group()).stream()
            .filter(one -> present.contains(one.id()))
            .map(Member::pid)
            .toList(),
        outcomes,
        row.begun() == null ? agenda.more(who) : 0,
        row.isUnderWay() ? agenda.since(who, works).size() : 0);
  }

  private static OutcomeShown outcome(MeetingMapper.OutcomeRow row, Map<Integer, String> names) {
    return new OutcomeShown(
        new Coming.Of(row.publication(), Coming.stored(row.kind(), row.key())).name(),
        row.what(),
        row.words(),
        names.getOrDefault(row.membership(), "a former member"),
        row.at());
  }

  /** The works of its agenda, in their order. */
  public List<MeetingShown.AgendaWork> works(Member who, String meeting) {
    List<Agenda.Work> works = agenda.of(who, meetings.find(who, meeting));
    List<ArrivalList.ArrivalListed> listed =
        lists.listed(who, works.stream().map(Agenda.Work::point).toList());
    return IntStream.range(0, works.size())
        .mapToObj(n -> new MeetingShown.AgendaWork(listed.get(n), works.get(n).why().word()))
        .toList();
  }
}
