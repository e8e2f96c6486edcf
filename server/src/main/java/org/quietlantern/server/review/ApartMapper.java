package org.quietlantern.server.review;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface ApartMapper {
  /** A work on an occasion, whichever of what turned out to be the same. */
  record On(int work, String kind, String key) {}

  /** {@code asked}: how many shall decide on it apart. */
  record Kept(int work, String kind, String key, int asked) {
    On on() {
      return new On(work, kind, key);
    }
  }

  /**
   * What alerts found that are decided on apart, and that was not opened yet. What another alert
   * had found before owes nothing, so it is not.
   */
  @Select(
      UnsettledMapper.PARTS
          + """
            select s.work, o.kind, o.key, max(t.asked) as asked
            from parts s join occasion o on o.publication = s.part
            join arrival a on a.occasion = o.id and a.grp = #{group}
            join finding f on f.arrival = a.id and not f.here_since
            join alert t on t.id = f.alert and f.at >= t.apart
            where not exists (
              select 1 from parts z join occasion x on x.publication = z.part
              join unsealing n on n.occasion = x.id and n.grp = #{group}
              where z.work = s.work and x.kind = o.kind and x.key = o.key)
            group by s.work, o.kind, o.key order by 1, 2, 3
            """)
  List<Kept> kept(int group, Integer[] works);

  @Select("select fields ->> 'title' from publication where id = #{work}")
  String title(int work);

  /** Members who may mark. */
  @Select(
      """
      select count(*)::int from membership
      where grp = #{group} and left_at is null and role <> 'guest'
      """)
  int readers(int group);

  @Insert(
      """
      insert into sealed_mark (event, what, reason, folder)
      values (#{event}, #{what}, #{reason}, #{folder})
      """)
  void seal(int event, String what, String reason, @Nullable Integer folder);

  /** Where a member's sealed mark in force keeps a work. */
  @Select(
      """
      select t.folder from occasion o join publication p on p.id = o.publication
      join lamp l on l.occasion = o.id and l.membership = #{membership}
      join sealed_mark t on t.event = l.event
      where (p.id = #{work} or p.canonical = #{work}) and o.kind = #{kind} and o.key = #{key}
      order by l.event desc limit 1
      """)
  Integer folderOf(int membership, int work, String kind, String key);

  /** Works of a group with sealed marks. */
  @Select(
      """
      select distinct coalesce(p.canonical, p.id) as work
      from sealed_mark t join review_event e on e.id = t.event
      join membership m on m.id = e.membership and m.grp = #{group}
      join publication p on p.id = e.publication order by 1
      """)
  List<Integer> sealed(int group);

  @Select(
      """
      select distinct m.grp from sealed_mark t join review_event e on e.id = t.event
      join membership m on m.id = e.membership order by 1
      """)
  List<Integer> groups();

  /**
   * A mark that is in force, as it truly is.
   *
   * @param apart whether it was sealed, and so were all that its writer had decided before
   */
  record InForce(
      int work,
      String kind,
      String key,
      int occasion,
      int membership,
      int event,
      String what,
      String reason,
      @Nullable Integer folder,
      boolean apart) {
    On on() {
      return new On(work, kind, key);
    }
  }

  /**
   * Of all occasions of works on which something is sealed. Where nothing is sealed at all, which
   * is asked first, no mark is read.
   */
  @Select(
      UnsettledMapper.PARTS
          + """
            , said as (
              select distinct on (s.work, o.kind, o.key, l.membership) s.work, o.kind, o.key,
                min(o.id) over (partition by s.work, o.kind, o.key) as occasion, l.membership,
                e.id as event, coalesce(t.what, e.what) as what, coalesce(t.reason, e.reason) as reason,
                t.folder, t.event is not null and not exists (
                  select 1 from review_event b where b.membership = l.membership
                    and b.occasion = o.id and b.id < e.id and b.what in ('keep', 'pass')) as apart,
                bool_or(t.event is not null) over (partition by s.work, o.kind, o.key) as sealed
              from parts s join occasion o on o.publication = s.part
              join lamp l on l.occasion = o.id
              join membership m on m.id = l.membership and m.grp = #{group}
              join review_event e on e.id = l.event left join sealed_mark t on t.event = e.id
              where exists (select 1 from sealed_mark)
              order by s.work, o.kind, o.key, l.membership, e.id desc)
            select work, kind, key, occasion, membership, event, what, reason, folder, apart
            from said where sealed order by work, kind, key, event
            """)
  List<InForce> inForce(int group, Integer[] works);

  @Select(
      """
      insert into unsealing (grp, occasion, asked, at)
      values (#{group}, #{occasion}, #{asked}, #{now}) returning id
      """)
  int open(int group, int occasion, int asked, Instant now);

  @Insert(
      """
      insert into unsealed_mark (event, unsealing, what, apart)
      values (#{mark.event}, #{unsealing}, #{mark.what}, #{mark.apart})
      """)
  void note(int unsealing, InForce mark);

  @Update("update unsealed_mark set folder = #{folder}, reason = #{reason} where event = #{event}")
  void carriedOut(int event, int folder, int reason);

  /** A mark as it stood when it was opened. */
  record WasInForce(
      int unsealing, int asked, Instant at, int membership, String what, boolean apart) {}

  /** Of what an alert of a group found, the first opened first. */
  @Select(
      """
      select u.id as unsealing, u.asked, u.at, e.membership, t.what, t.apart
      from unsealing u join unsealed_mark t on t.unsealing = u.id
      join review_event e on e.id = t.event
      where u.grp = #{group} and u.asked > 0 and exists (
        select 1 from finding f join arrival a on a.id = f.arrival
        where f.alert = #{alert} and a.occasion = u.occasion)
      order by u.id, e.membership
      """)
  List<WasInForce> opened(int group, int alert);

  /** What was sealed on an occasion of a work is said now, also what was changed since. */
  @Update(
      UnsettledMapper.PARTS
          + """
            , gone as (
              delete from sealed_mark t using parts s, occasion o, review_event e, membership m
              where t.event = e.id and o.publication = s.part and o.kind = #{on.kind}
                and o.key = #{on.key} and e.occasion = o.id and m.id = e.membership
                and m.grp = #{group}
              returning t.event, t.what, t.reason)
            update review_event e set what = gone.what, reason = gone.reason
            from gone where gone.event = e.id
            """)
  void tell(int group, Integer[] works, On on);

  @Select("select folder, reason from unsealed_mark where event = #{event} and reason is not null")
  ReadersApart.Carried carried(int event);
}
