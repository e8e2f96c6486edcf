package org.quietlantern.server.feed;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface FoundFeedMapper {
  record Alert(int id, String name, @Nullable Instant ended) {}

  @Select(
      """
      select a.id, s.name, a.ended from alert a join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search
      where a.grp = #{group} and a.pid = #{alert}
      """)
  Optional<Alert> alert(int group, String alert);

  /** Row numbers of those that a member gets; {@code all}: what is set for everybody, too. */
  @Select(
      """
      select a.id from alert a
      left join alert_receiver c on c.alert = a.id and c.membership = #{membership}
      where a.grp = #{group} and coalesce(c.receives, a.for_all and #{all})
      order by a.id
      """)
  List<Integer> received(int group, int membership, boolean all);

  /**
   * @param closed none while its round gathers
   * @param changed when the publication last changed in the catalogue
   */
  record Found(
      int id,
      int occasion,
      String kind,
      int publication,
      String findingClass,
      String words,
      String alertName,
      Instant came,
      @Nullable Instant closed,
      @Nullable Instant changed) {}

  /** A closed round with something in it, and those that closed before and after it. */
  record Closed(String round, @Nullable String before, @Nullable String after) {}

  /** {@code round} empty: the latest. */
  @Select(
      """
      select round, before, after from (
        select pid as round, lag(pid) over own as before, lead(pid) over own as after, closed, id
        from round where alert = any(#{alerts}) and closed is not null and found
        window own as (order by closed, id)) rounds
      where #{round} in ('', round) order by closed desc, id desc limit 1
      """)
  Optional<Closed> closed(Integer[] alerts, String round);

  /**
   * Works that were joined since they were found, or that several of the alerts found, are told
   * once, as they were found first.
   *
   * @param round what of it stands in one round; empty: in all of them
   */
  @Select(
      """
      select id, occasion, kind, publication, finding_class, words, alert_name, came, closed,
        (select max(c.at) from publication_change c
          where c.publication in (told.publication, told.work)) as changed
      from (
        select n.id, r.occasion, o.kind, o.publication, coalesce(p.canonical, p.id) as work,
          n.class as finding_class, n.words::text, s.name as alert_name, r.came, d.closed,
          d.pid as round,
          coalesce(d.closed, r.came) as at,
          row_number() over (
            partition by coalesce(p.canonical, p.id), o.kind, o.key order by n.id) as nth
        from finding n join round d on d.id = n.round join arrival r on r.id = n.arrival
        join occasion o on o.id = r.occasion join publication p on p.id = o.publication
        join alert a on a.id = n.alert join revision v on v.id = a.revision
        join saved_search s on s.id = v.saved_search
        where n.alert = any(#{alerts}) and (d.closed is not null or #{gathering})) told
      where nth = 1 and #{round} in ('', round) and (#{before} = 0 or
        (at, id) < (select coalesce(e.closed, g.came), f.id from finding f
          join round e on e.id = f.round join arrival g on g.id = f.arrival
          where f.id = #{before} and f.alert = any(#{alerts})))
      order by at desc, id desc limit #{most}
      """)
  List<Found> told(Integer[] alerts, boolean gathering, String round, int before, int most);
}
