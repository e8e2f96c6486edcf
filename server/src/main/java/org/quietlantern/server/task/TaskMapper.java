package org.quietlantern.server.task;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface TaskMapper {
  /**
   * @param publication the work as it is known now; absent for one that was noted by hand
   * @param remark public id of the remark that it was made of, as long as that is there
   * @param owner row number of the membership; absent while nobody who is in the group has it
   */
  record Row(
      int id,
      String pid,
      @Nullable Integer publication,
      @Nullable String remark,
      String doi,
      String body,
      @Nullable Integer owner,
      @Nullable LocalDate due,
      String state,
      String word,
      int madeBy,
      Instant made,
      @Nullable Integer stateBy,
      @Nullable Instant stated,
      int version) {

    Changeable changeable() {
      return new Changeable(id, body, owner, due, state, word, stateBy, stated, version);
    }
  }

  String ROWS =
      """
      select t.id, t.pid, coalesce(p.canonical, p.id) as publication, r.pid as remark, t.doi,
        t.body, case when m.left_at is null then t.owner end as owner, t.due, t.state, t.word,
        t.made_by, t.made, t.state_by, t.stated, t.version
      from task t
      left join publication p on p.id = t.publication
      left join remark r on r.id = t.remark and r.gone is null
      left join membership m on m.id = t.owner
      """;

  @Select(ROWS + "where t.grp = #{group} and t.pid = #{pid}")
  Row find(int group, String pid);

  /**
   * What is due first, then what was noted first; of those that are ended what was ended last.
   *
   * @param whose row number of the owner; 0: anybody's; -1: nobody's
   */
  @Select(
      ROWS
          + """
          where t.grp = #{group} and (t.state = 'open') = #{open}
            and (#{whose} = 0 or coalesce(case when m.left_at is null then t.owner end, -1)
              = #{whose})
          order by case when t.state = 'open' then t.due end, t.stated desc nulls last, t.id
          offset #{from} limit #{most}
          """)
  List<Row> page(int group, boolean open, int whose, int from, int most);

  /** How many there are. */
  record Counts(int open, int mine, int nobodys, int ended) {}

  @Select(
      """
      select count(*) filter (where t.state = 'open') as open,
        count(*) filter (where t.state = 'open' and t.owner = #{membership}) as mine,
        count(*) filter (where t.state = 'open' and (t.owner is null or m.left_at is not null))
          as nobodys,
        count(*) filter (where t.state <> 'open') as ended
      from task t left join membership m on m.id = t.owner where t.grp = #{group}
      """)
  Counts counts(int group, int membership);

  /** Of a work and what was joined with it: open ones first, as they were noted. */
  @Select(
      ROWS
          + """
          where t.grp = #{group} and t.publication = any(#{publications})
          order by t.state <> 'open', t.id
          """)
  List<Row> of(int group, Integer[] publications);

  /**
   * What a member has to look up.
   *
   * @param by who gave it to them; absent where they took it themselves
   * @param given when that was
   */
  record Owned(
      String body, @Nullable LocalDate due, @Nullable String by, @Nullable Instant given) {}

  /** Of the open ones of a member those that others gave them since, or that are due on a day. */
  @Select(
      """
      select t.body, t.due, g.name as by, g.at as given
      from task t
      left join lateral (
        select case when m.left_at is null then m.name else 'A former member' end as name, a.at,
          a.membership
        from action a join membership m on m.id = a.membership
        where a.grp = t.grp and a.about @> array['task:' || t.pid] and a.undone_by is null
          and a.what in ('task.add', 'task.give', 'task.take')
        order by a.no desc limit 1
      ) g on g.membership <> t.owner and g.at > #{since}
      where t.grp = #{group} and t.owner = #{membership} and t.state = 'open'
        and (g.at is not null or t.due = #{day})
      order by t.due nulls last, t.id limit #{most}
      """)
  List<Owned> toTell(int group, int membership, Instant since, LocalDate day, int most);

  record Name(String pid, String body) {}

  @Select("select pid, body from task where grp = #{group} and pid = any(#{pids})")
  List<Name> names(int group, String[] pids);

  /** The open task for a cited work (row number); null where there is none. */
  @Select(
      """
      select id from task
      where grp = #{group} and state = 'open' and lower(doi) = lower(#{doi}) limit 1
      """)
  Integer lookingUp(int group, String doi);

  @Select("select id from remark where grp = #{group} and pid = #{remark} and gone is null")
  Integer remark(int group, String remark);

  record New(
      String pid,
      int grp,
      @Nullable Integer publication,
      @Nullable Integer remark,
      String doi,
      String body,
      @Nullable Integer owner,
      @Nullable LocalDate due,
      int madeBy,
      Instant made) {}

  @Select(
      """
      insert into task (pid, grp, publication, remark, doi, body, owner, due, state, made_by, made)
      values (#{pid}, #{grp}, #{publication}, #{remark}, #{doi}, #{body}, #{owner}, #{due}, 'open',
        #{madeBy}, #{made})
      returning id
      """)
  int add(New task);

  @Delete("delete from task where id = #{id}")
  void remove(int id);

  @Delete("delete from task where id = #{id} and version = 1")
  int removeUntouched(int id);

  /** What of a task can be changed. */
  record Changeable(
      int id,
      String body,
      @Nullable Integer owner,
      @Nullable LocalDate due,
      String state,
      String word,
      @Nullable Integer stateBy,
      @Nullable Instant stated,
      int version) {

    Changeable reading(String text, @Nullable LocalDate until) {
      return new Changeable(id, text, owner, until, state, word, stateBy, stated, version + 1);
    }

    Changeable of(@Nullable Integer member) {
      return new Changeable(id, body, member, due, state, word, stateBy, stated, version + 1);
    }

    Changeable being(String now, String why, int by, Instant at) {
      return new Changeable(id, body, owner, due, now, why, by, at, version + 1);
    }
  }

  @Update(
      """
      update task set body = #{body}, owner = #{owner}, due = #{due}, state = #{state},
        word = #{word}, state_by = #{stateBy}, stated = #{stated}, version = #{version}
      where id = #{id}
      """)
  void put(Changeable task);

  /** {@code about}: a DOI in small letters, or what the task says. */
  record OpenTask(String about, String pid) {}

  @Select(
      """
      select lower(doi) as about, pid from task
      where grp = #{group} and state = 'open' and doi <> '' and lower(doi) = any(#{dois}::text[])
      union all
      select body, pid from task
      where grp = #{group} and state = 'open' and body = any(#{texts}::text[])
      """)
  List<OpenTask> open(int group, String[] dois, String[] texts);
}
