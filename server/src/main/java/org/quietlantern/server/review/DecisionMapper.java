package org.quietlantern.server.review;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DecisionMapper {
  @Select("select coalesce(max(id), 0) from review_event")
  int lastEvent();

  @Select(
      """
      insert into decision
        (grp, meeting, occasion, what, words, event, membership, at, folder, reason)
      values (#{group}, #{row.meeting}, #{row.occasion}, #{row.what}, #{row.words}, #{row.event},
        #{row.membership}, #{row.at}, #{row.folder}, #{row.reason})
      returning id
      """)
  int add(int group, Decisions.Decision row);

  @Update("update decision set folder = #{folder}, reason = #{reason} where id = #{id}")
  void keptIn(int id, int folder, int reason);

  @Delete("delete from decision where id = #{id}")
  int remove(int id);

  /** The last one of each occasion on the agenda of a meeting. */
  @Select(
      """
      select distinct on (d.occasion) d.id, d.meeting, d.occasion, d.what, d.words, d.event,
        d.membership, d.at, d.folder, d.reason, f.pid as folder_pid
      from decision d left join folder f on f.id = d.folder
      where d.meeting = #{meeting} order by d.occasion, d.id desc
      """)
  List<Decisions.Decision> ofMeeting(int meeting);

  record Row(String kind, String key, String meeting, String what, String words, Instant at) {}

  /** What a group came to on a work, whatever turned out to be the same: the last one first. */
  @Select(
      """
      select o.kind, o.key, m.pid as meeting, d.what, d.words, d.at
      from publication p join occasion o on o.publication = p.id
      join decision d on d.occasion = o.id and d.grp = #{group}
      join meeting m on m.id = d.meeting
      where (p.id = #{work} or p.canonical = #{work}) and not exists (
        select 1 from decision l where l.occasion = d.occasion and l.meeting = d.meeting
          and l.id > d.id)
      order by d.id desc
      """)
  List<Row> ofWork(int group, int work);

  record InForce(int work, String what, Instant at) {}

  @Select(
      """
      select distinct on (coalesce(p.canonical, p.id)) coalesce(p.canonical, p.id) as work, d.what,
        d.at
      from decision d join occasion o on o.id = d.occasion and o.kind = 'first coming'
      join publication p on p.id = o.publication
      where d.grp = #{group} and d.what <> 'open' and not exists (
        select 1 from decision l where l.occasion = d.occasion and l.meeting = d.meeting
          and l.id > d.id)
      order by coalesce(p.canonical, p.id), d.id desc
      """)
  List<InForce> inForce(int group);

  /** {@code asked}: the occasion asked for. */
  record SaidThen(int asked, int membership, String what, String reason) {}

  /**
   * What members had said on occasions up to events; what was taken back till then is left out.
   * What somebody has sealed is told as it is told to all.
   */
  @Select(
      """
      with asked as (
        select q.occasion as asked, q.event, o.kind, o.key, coalesce(p.canonical, p.id) as work
        from unnest(#{occasions}, #{events}) as q (occasion, event)
        join occasion o on o.id = q.occasion join publication p on p.id = o.publication)
      select distinct on (a.asked, e.membership) a.asked, e.membership, e.what, e.reason
      from asked a join publication p on p.id = a.work or p.canonical = a.work
      join occasion o on o.publication = p.id and o.kind = a.kind and o.key = a.key
      join review_event e on e.occasion = o.id and e.id <= a.event and e.what <> 'undo'
      join membership m on m.id = e.membership and m.grp = #{group}
      where not exists (select 1 from review_event u where u.undoes = e.id and u.id <= a.event)
        and not (e.what = 'hold' and exists (select 1 from sealed_mark t where t.event = e.id))
      order by a.asked, e.membership, e.id desc
      """)
  List<SaidThen> saidThen(int group, Integer[] occasions, Integer[] events);
}
