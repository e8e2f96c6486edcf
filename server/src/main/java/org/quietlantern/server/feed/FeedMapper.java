package org.quietlantern.server.feed;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface FeedMapper {
  record Row(
      int id,
      String pid,
      int alert,
      String alertPid,
      String alertName,
      int grp,
      String groupName,
      int generation,
      Instant revoked,
      Instant ended,
      Instant at) {}

  /** {@code changed}: when the publication last changed in the catalogue. */
  record Told(
      int id,
      int occasion,
      int publication,
      String findingClass,
      Instant came,
      Instant closed,
      Instant changed) {}

  String ROWS =
      """
      select f.id, f.pid, a.id as alert, a.pid as alert_pid, s.name as alert_name, g.id as grp,
        g.name as group_name, f.generation, f.revoked, a.ended,
        f.at
      from feed f join alert a on a.id = f.alert join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search join grp g on g.id = a.grp
      join membership m on m.id = f.membership
      """;

  @Select(ROWS + " where f.pid = #{pid} and m.left_at is null")
  Row byPid(String pid);

  @Select(
      ROWS
          + """
             where f.membership = #{membership} and f.revoked is null and a.ended is null
            order by lower(s.name), f.id
            """)
  List<Row> live(int membership);

  @Select(ROWS + " where f.membership = #{membership} and f.alert = #{alert} and f.revoked is null")
  Row findLive(int membership, int alert);

  @Insert(
      """
      insert into feed (pid, membership, alert, generation, at)
      values (#{pid}, #{membership}, #{alert}, 1 + (select coalesce(max(generation), 0) from feed
        where membership = #{membership} and alert = #{alert}), #{now})
      on conflict do nothing
      """)
  void add(String pid, int membership, int alert, Instant now);

  @Update(
      """
      update feed set revoked = #{now}
      where pid = #{pid} and membership = #{membership} and revoked is null
      """)
  int revoke(String pid, int membership, Instant now);

  /** Works that were joined since they were found are told once, as they were found first. */
  @Select(
      """
      select id, occasion, publication, finding_class, came, closed,
        (select max(c.at) from publication_change c
          where c.publication in (told.publication, told.work)) as changed
      from (
        select n.id, r.occasion, o.publication, coalesce(p.canonical, p.id) as work,
          n.class as finding_class, r.came, d.closed, row_number() over (
            partition by coalesce(p.canonical, p.id), o.kind, o.key order by n.id) as nth
        from finding n join round d on d.id = n.round join arrival r on r.id = n.arrival
        join occasion o on o.id = r.occasion join publication p on p.id = o.publication
        where n.alert = #{alert} and d.closed is not null) told
      where nth = 1 and (#{before} = 0 or
        (closed, id) < (select e.closed, f.id from finding f join round e on e.id = f.round
          where f.id = #{before} and f.alert = #{alert}))
      order by closed desc, id desc limit #{most}
      """)
  List<Told> told(int alert, int before, int most);
}
