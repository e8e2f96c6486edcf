package org.quietlantern.server.meeting;

import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.quietlantern.server.arrival.ArrivalList;
import org.quietlantern.server.arrival.ArrivalLists;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.meeting.MeetingShown.OutcomeShown;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.review.Decisions;
import org.quietlantern.server.review.Decisions.Decision;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Meetings as they are read. */
@Service
@Transactional(readOnly = true)
public class MeetingPages {
  private static final int A_PAGE = 30;

  private final MeetingMapper mapper;
  private final Meetings meetings;
  private final Agenda agenda;
  private final ArrivalLists lists;
  private final Decisions decisions;
  private final Folders folders;
  private final Groups groups;

  /**
   * @param ahead planned and under way, the next first
   * @param over those of before, the last first
   * @param standing how many works stand open for the next one
   * @param next the last one of this page, where others follow
   */
  public record MeetingsPage(
      List<MeetingShown.MeetingLine> ahead,
      List<MeetingShown.MeetingLine> over,
      int standing,
      @Nullable String next) {}

  MeetingPages(
      MeetingMapper mapper,
      Meetings meetings,
      Agenda agenda,
      ArrivalLists lists,
      Decisions decisions,
      Folders folders,
      Groups groups) {
    this.mapper = mapper;
    this.meetings = meetings;
    this.agenda = agenda;
    this.lists = lists;
    this.decisions = decisions;
    this.folders = folders;
    this.groups = groups;
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

  /** One with its agenda. */
  public MeetingShown get(Member who, String meeting) {
    MeetingMapper.Row row = meetings.find(who, meeting);
    List<Agenda.Work> works = agenda.of(who, row);
    Map<Integer, Decision> decided = decisions.ofMeeting(row.id());
    Map<Integer, String> names = groups.names(who.group());
    List<Integer> present = mapper.present(row.id());
    int since = row.isUnderWay() ? agenda.since(who, works).size() : 0;
    return new MeetingShown(
        line(who, row, mapper.counts(new Integer[] {row.id()}).get(0), names, works.size()),
        groups.members(who.group()).stream()
            .filter(one -> present.contains(one.id()))
            .map(Member::pid)
            .toList(),
        shown(who, works, decided, names),
        row.begun() == null ? agenda.more(who) : 0,
        since);
  }

  private List<MeetingShown.AgendaWork> shown(
      Member who,
      List<Agenda.Work> works,
      Map<Integer, Decision> decided,
      Map<Integer, String> names) {
    List<ArrivalList.ArrivalListed> listed =
        lists.listed(who, works.stream().map(Agenda.Work::point).toList());
    Map<Integer, List<Folders.FolderName>> holding =
        folders.holding(who, works.stream().map(work -> work.point().work()).toList());
    return IntStream.range(0, works.size())
        .mapToObj(
            n ->
                new MeetingShown.AgendaWork(
                    listed.get(n),
                    works.get(n).why().word(),
                    holding.getOrDefault(works.get(n).point().work(), List.of()),
                    outcome(decided.get(works.get(n).point().occasion()), names)))
        .toList();
  }

  private static @Nullable OutcomeShown outcome(
      @Nullable Decision decision, Map<Integer, String> names) {
    return decision == null
        ? null
        : new OutcomeShown(
            decision.what(),
            decision.words(),
            names.getOrDefault(decision.membership(), "a former member"),
            decision.at());
  }
}
