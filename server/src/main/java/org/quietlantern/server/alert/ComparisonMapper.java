package org.quietlantern.server.alert;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What alerts were held against, and what does not go with them. */
@Mapper
interface ComparisonMapper {
  /** Those that watch and were not compared in some state yet, that group by group is named so. */
  @Select(
      """
      select a.id from alert a where a.grp = #{group} and a.state = 'watching'
        and a.compared <> #{state} order by a.id
      """)
  List<Integer> notCompared(int group, String state);

  /**
   * Those whose search follows folders in which something else stands than when they were compared
   * last are to be compared again. Notes what stands there now.
   */
  @Update(
      """
      with following as (
        select a.id, coalesce(string_agg(stands.is, ' ' order by f.id), 'none') as stands
        from alert a join revision v on v.id = a.revision
        left join folder f on f.grp = a.grp
          and (v.strategy::text like '%"c:' || f.pid || '"%'
            or v.strategy::text like '%"k:' || f.pid || '"%')
        left join lateral (
          select f.id || ':' || count(*) || ':' || coalesce(max(i.id), 0) || ':'
            || (f.ended is null and not folder_closed(f.id)) as is
          from item i where i.folder = f.id) stands on true
        where a.state = 'watching'
          and (v.strategy::text like '%"c:%' or v.strategy::text like '%"k:%')
        group by a.id)
      update alert a set compared = '', followed = f.stands
      from following f where f.id = a.id and a.followed <> f.stands
      """)
  int folderChanged();

  @Update("update alert set compared = #{state} where id = #{id}")
  void compared(int id, String state);

  /** Of alerts that were looked at in some version, those that are still in it and lost nothing. */
  @Select(
      """
      with same as (
        select a.id from alert a join unnest(#{alerts}, #{versions}) as q (id, version)
          on q.id = a.id and q.version = a.version
        where a.state = 'watching' and a.lost = '' order by a.id for update of a)
      update alert a set compared = #{state} from same where same.id = a.id returning a.id
      """)
  List<Integer> agreed(Integer[] alerts, Integer[] versions, String state);

  /** What a comparison differed by; see the table. */
  record Difference(
      int id,
      int alert,
      Instant at,
      boolean missed,
      String[] causes,
      int remembered,
      int found,
      Integer[] works) {}

  @Insert(
      """
      insert into memory_difference (alert, at, missed, causes, remembered, found, works)
      values (#{alert}, #{at}, #{missed}, #{causes}, #{remembered}, #{found}, #{works})
      """)
  void addDifference(Difference difference);

  @Select(
      """
      select id, alert, at, missed, causes, remembered, found, works from memory_difference
      where alert = #{alert} and id < #{before} order by id desc limit #{most}
      """)
  List<Difference> differences(int alert, int before, int most);

  /** Publications. */
  @Select(
      """
      select coalesce(sum(cardinality(works)), 0)::int from memory_difference
      where missed and at >= #{since}
      """)
  int missedSince(Instant since);

  /** Of a group with something that watches, its row number and zone. */
  record GroupWatching(int grp, String zone) {}

  @Select(
      """
      select g.id as grp, g.zone from grp g
      where exists (select 1 from alert a where a.grp = g.id and a.state = 'watching')
      order by g.id
      """)
  List<GroupWatching> groupsWatching();

  /** Something that watches and does not go as it should; {@code lost}: what of its search. */
  record Unwell(String pid, String name, int grp, String failed, String lost) {}

  @Select(
      """
      select pid, name, grp, failed, lost from (
        select a.pid, s.name, a.grp, a.lost, coalesce((select u.error from alert_run u
          where u.alert = a.id order by u.id desc limit 1), '') as failed
        from alert a join revision v on v.id = a.revision
        join saved_search s on s.id = v.saved_search
        where a.state = 'watching') as watching
      where failed <> '' or lost <> ''
      order by pid
      """)
  List<Unwell> unwell();

  @Update("update alert set lost = #{lost} where id = #{id} and lost <> #{lost}")
  void lost(int id, String lost);
}
