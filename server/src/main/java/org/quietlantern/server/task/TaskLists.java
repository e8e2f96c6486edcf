package org.quietlantern.server.task;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tasks as they are read. */
@Service
@Transactional(readOnly = true)
public class TaskLists {
  private static final int A_PAGE = 50;
  private final TaskMapper mapper;
  private final Publications publications;
  private final Groups groups;
  private final Calendar calendar;

  /** Somebody who has a task. */
  public record TaskOwner(String id, String name) {}

  /**
   * Something to be looked up.
   *
   * @param publication that it is about, or that cites it; absent for one by hand
   * @param remark that it comes from
   * @param doi of a cited work that was not here; empty for any other
   * @param here that work, once it has come
   * @param owner absent while nobody has it
   * @param late whether its day is over
   * @param state {@code open}, {@code done} or {@code given up}
   * @param word what came of it, or why it was given up
   * @param by who noted it
   * @param stateBy who ended it, or opened it again
   * @param version to be given with any change
   */
  public record TaskShown(
      String id,
      String text,
      @Nullable WorkTitled publication,
      @Nullable String remark,
      String doi,
      @Nullable WorkTitled here,
      @Nullable TaskOwner owner,
      @Nullable LocalDate due,
      boolean late,
      String state,
      String word,
      String by,
      Instant at,
      @Nullable String stateBy,
      @Nullable Instant stateAt,
      int version) {}

  /**
   * A page of tasks.
   *
   * @param mine of the open ones
   * @param nobodys of the open ones, those that nobody has
   * @param next from where to go on; absent on the last page
   */
  public record TasksPage(
      List<TaskShown> tasks, int open, int mine, int nobodys, int ended, @Nullable Integer next) {}

  TaskLists(TaskMapper mapper, Publications publications, Groups groups, Calendar calendar) {
    this.mapper = mapper;
    this.publications = publications;
    this.groups = groups;
    this.calendar = calendar;
  }

  /** {@code of}: {@code open}, {@code mine}, {@code nobody} or {@code ended}. */
  TasksPage page(Member who, String of, int from) {
    int whose =
        switch (of) {
          case "open", "ended" -> 0;
          case "mine" -> who.id();
          case "nobody" -> -1;
          default -> throw Refusal.unusable("of", "Tasks are open, mine, nobody or ended.");
        };
    Page<TaskMapper.Row> page =
        Page.of(
            mapper.page(who.group(), !of.equals("ended"), whose, Math.max(0, from), A_PAGE + 1),
            A_PAGE);
    TaskMapper.Counts counts = mapper.counts(who.group(), who.id());
    return new TasksPage(
        shown(who, page.rows()),
        counts.open(),
        counts.mine(),
        counts.nobodys(),
        counts.ended(),
        page.more() ? Math.max(0, from) + A_PAGE : null);
  }

  /** Open ones that are about one of some DOIs, or say one of some texts: their ids by these. */
  public Map<String, String> open(Member who, Collection<String> dois, Collection<String> texts) {
    return mapper
        .open(
            who.group(),
            dois.stream().map(doi -> doi.toLowerCase(Locale.ROOT)).toArray(String[]::new),
            texts.toArray(String[]::new))
        .stream()
        .collect(
            Collectors.toMap(
                TaskMapper.OpenTask::about, TaskMapper.OpenTask::pid, (one, two) -> one));
  }

  /** Of a work and what was joined with it: open ones first. */
  List<TaskShown> of(Member who, String pid) {
    Integer[] parts = publications.withParts(publications.get(Viewer.of(who), pid));
    return shown(who, mapper.of(who.group(), parts));
  }

  /**
   * Something that a member is reminded of.
   *
   * @param by who gave it to them since; absent where it is only due
   * @param due whether its day has come
   */
  public record ToTell(String text, @Nullable String by, boolean due) {}

  /** Of the member's open tasks those that others gave them since, or that are due on a day. */
  public List<ToTell> toTell(Member who, Instant since, LocalDate day, int most) {
    return mapper.toTell(who.group(), who.id(), since, day, most).stream()
        .map(row -> new ToTell(row.body(), row.by(), day.equals(row.due())))
        .toList();
  }

  /** What tasks are about, by their public ids. */
  public Map<String, String> names(Member who, Collection<String> pids) {
    return mapper.names(who.group(), pids.toArray(String[]::new)).stream()
        .collect(Collectors.toMap(TaskMapper.Name::pid, TaskMapper.Name::body));
  }

  private List<TaskShown> shown(Member who, List<TaskMapper.Row> rows) {
    Map<Integer, WorkTitled> titles =
        publications.titles(
            Viewer.of(who),
            rows.stream()
                .map(TaskMapper.Row::publication)
                .filter(Objects::nonNull)
                .distinct()
                .toList());
    Map<String, WorkTitled> here =
        publications.byDoi(
            Viewer.of(who),
            rows.stream().map(TaskMapper.Row::doi).filter(doi -> !doi.isEmpty()).toList());
    Map<Integer, Member> members =
        groups.members(who.group()).stream().collect(Collectors.toMap(Member::id, one -> one));
    LocalDate today = LocalDate.ofInstant(calendar.now(), who.zoneId());
    return rows.stream().map(row -> shown(row, titles, here, members, today)).toList();
  }

  private static TaskShown shown(
      TaskMapper.Row row,
      Map<Integer, WorkTitled> titles,
      Map<String, WorkTitled> here,
      Map<Integer, Member> members,
      LocalDate today) {
    Member owner = row.owner() == null ? null : members.get(row.owner());
    return new TaskShown(
        row.pid(),
        row.body(),
        row.publication() == null ? null : titles.get(row.publication()),
        row.remark(),
        row.doi(),
        here.get(SameWork.doiKey(row.doi())),
        owner == null ? null : new TaskOwner(owner.pid(), owner.name()),
        row.due(),
        row.state().equals(Tasks.OPEN) && row.due() != null && row.due().isBefore(today),
        row.state(),
        row.word(),
        name(members, row.madeBy()),
        row.made(),
        row.stateBy() == null ? null : name(members, row.stateBy()),
        row.stated(),
        row.version());
  }

  private static String name(Map<Integer, Member> members, int id) {
    Member member = members.get(id);
    return member == null ? "a former member" : member.name();
  }
}
