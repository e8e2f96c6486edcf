package org.quietlantern.server.meeting;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface MeetingMapper {
  /**
   * A meeting as it stands.
   *
   * @param event the last mark before it ended
   * @param off it was called off
   */
  record Row(
      int id,
      String pid,
      Instant at,
      String place,
      int calledBy,
      @Nullable Instant sent,
      @Nullable Instant begun,
      @Nullable Instant ended,
      @Nullable Integer event,
      boolean off,
      int version) {

    String state() {
      if (off) {
        return "called off";
      }
      return begun == null ? "planned" : ended == null ? "under way" : "over";
    }

    boolean isUnderWay() {
      return begun != null && ended == null && !off;
    }

    boolean isPlanned() {
      return begun == null && !off;
    }

    Row moved(Instant to, String where) {
      return new Row(id, pid, to, where, calledBy, sent, begun, ended, event, off, version);
    }

    Row sentOn(Instant day) {
      return new Row(id, pid, at, place, calledBy, day, begun, ended, event, off, version);
    }

    Row calledOff() {
      return new Row(id, pid, at, place, calledBy, sent, begun, ended, event, true, version);
    }

    Row begunOn(Instant moment) {
      return new Row(id, pid, at, place, calledBy, sent, moment, null, null, off, version);
    }

    Row endedOn(Instant moment, int last) {
      return new Row(id, pid, at, place, calledBy, sent, begun, moment, last, off, version);
    }
  }

  String ROWS =
      """
      select m.id, m.pid, m.at, m.place, m.called_by, m.sent, m.begun, m.ended, m.event, m.off, m.version
      from meeting m
      """;

  @Select(ROWS + "where m.grp = #{group} and m.pid = #{pid}")
  Row find(int group, String pid);

  /** Those that are not over, the next first; called off ones are not shown. */
  @Select(ROWS + "where m.grp = #{group} and m.ended is null and not m.off order by m.at, m.id")
  List<Row> ahead(int group);

  /** Those that are over, the last first; {@code before}: a row number, 0 for the first page. */
  @Select(
      ROWS
          + """
          where m.grp = #{group} and m.ended is not null and not m.off and (#{before} = 0 or
            (m.at, m.id) < (select at, id from meeting where id = #{before}))
          order by m.at desc, m.id desc limit #{most}
          """)
  List<Row> over(int group, int before, int most);

  record Count(int meeting, int works, int decided) {}

  @Select(
      """
      select m.id as meeting,
        (select count(*)::int from meeting_work w where w.meeting = m.id) as works,
        (select count(*)::int from (
          select distinct on (d.occasion) d.what from decision d where d.meeting = m.id
          order by d.occasion, d.id desc) l where l.what <> 'open') as decided
      from meeting m where m.id = any(#{meetings})
      """)
  List<Count> counts(Integer[] meetings);

  record New(String pid, int grp, Instant at, String place, int calledBy, Instant called) {}

  @Select(
      """
      insert into meeting (pid, grp, at, place, called_by, called)
      values (#{pid}, #{grp}, #{at}, #{place}, #{calledBy}, #{called}) returning id
      """)
  int add(New row);

  String PUT =
      """
      update meeting set at = #{at}, place = #{place}, sent = #{sent}, begun = #{begun},
        ended = #{ended}, event = #{event}, off = #{off},
      """;

  /** Puts it as the row says, with a new version. */
  @Update(PUT + "version = version + 1 where id = #{id}")
  void put(Row row);

  /** Puts it as the row says, with its version: for an undo. */
  @Update(PUT + "version = #{version} where id = #{id}")
  void putBack(Row row);

  @Select("select membership from meeting_present where meeting = #{meeting} order by membership")
  List<Integer> present(int meeting);

  @Delete("delete from meeting_present where meeting = #{meeting}")
  void nobodyPresent(int meeting);

  @Insert(
      """
      insert into meeting_present (meeting, membership)
      select #{meeting}, m from unnest(#{members}::integer[]) as m
      """)
  void addPresent(int meeting, Integer[] members);

  /** {@code work}: row number of the work as it is known now. */
  record OnAgenda(int occasion, int work, String kind, String key, String why, Instant at) {}

  /** Works on an agenda, by occasion; of those that turned out to be one the first. */
  String AGENDA =
      """
      with agenda as (
        select distinct on (coalesce(p.canonical, p.id), o.kind, o.key) w.id, w.occasion,
          coalesce(p.canonical, p.id) as work, o.kind, o.key, w.why
        from meeting_work w join occasion o on o.id = w.occasion
        join publication p on p.id = o.publication
        where w.meeting = #{meeting}
        order by coalesce(p.canonical, p.id), o.kind, o.key, w.id)
      """;

  /** In its order. */
  @Select(
      AGENDA
          + """
          select a.occasion, a.work, a.kind, a.key, a.why, m.at
          from agenda a join meeting m on m.id = #{meeting} order by a.id
          """)
  List<OnAgenda> agenda(int meeting);

  /** {@code publication}: public id of the work as it is known now. */
  record OutcomeRow(
      String publication,
      String kind,
      String key,
      String what,
      String words,
      int membership,
      Instant at) {}

  /** What it came to on each of them, where something was written down. */
  @Select(
      AGENDA
          + """
          select p.pid as publication, a.kind, a.key, d.what, d.words, d.membership, d.at
          from agenda a join publication p on p.id = a.work
          join lateral (
            select what, words, membership, at from decision
            where meeting = #{meeting} and occasion = a.occasion order by id desc limit 1) d on true
          order by a.id
          """)
  List<OutcomeRow> outcomes(int meeting);

  @Insert(
      """
      insert into meeting_work (meeting, occasion, why)
      select #{meeting}, q.occasion, q.why
      from unnest(#{occasions}::integer[], #{whys}::text[]) with ordinality as q (occasion, why, n)
      order by n on conflict do nothing
      """)
  void putOn(int meeting, Integer[] occasions, String[] whys);

  @Delete(
      """
      delete from meeting_work
      where meeting = #{meeting} and occasion = any(#{occasions}::integer[])
      """)
  void takeOff(int meeting, Integer[] occasions);

  @Select(
      """
      select exists (select 1 from decision
        where meeting = #{meeting} and occasion = any(#{occasions}::integer[]))
      """)
  boolean anyDecided(int meeting, Integer[] occasions);

  record Receiver(String name, String email) {}

  /** Whoever may say something in the group, with where letters go. */
  @Select(
      """
      select m.name, a.email from membership m join account a on a.id = m.account
      where m.grp = #{group} and m.left_at is null and m.role <> 'guest' order by m.id
      """)
  List<Receiver> receivers(int group);

  @Select(
      """
      select a.email from membership m join account a on a.id = m.account
      where m.id = #{membership}
      """)
  String email(int membership);

  record Name(String pid, Instant at) {}

  @Select("select pid, at from meeting where grp = #{group} and pid = any(#{pids}::text[])")
  List<Name> names(int group, String[] pids);
}
