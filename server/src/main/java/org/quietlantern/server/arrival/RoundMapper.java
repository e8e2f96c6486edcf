package org.quietlantern.server.arrival;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface RoundMapper {
  record Row(
      int id,
      String pid,
      int n,
      Instant opens,
      Instant closes,
      Instant closed,
      int alert,
      String alertPid,
      String alertName,
      int folder,
      String folderPid,
      String folderName,
      int asked) {}

  record FoundRow(
      int round,
      int occasion,
      int publication,
      String kind,
      String findingClass,
      String words,
      boolean hereSince,
      Instant came) {}

  record Due(int id, int alert) {}

  String ROUNDS =
      """
      select r.id, r.pid, r.n, r.opens, r.closes, r.closed, a.id as alert, a.pid as alert_pid,
        s.name as alert_name, f.id as folder, f.pid as folder_pid, f.name as folder_name, a.asked
      from round r join alert a on a.id = r.alert join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search join folder f on f.id = a.folder
      where a.grp = #{group}
      """;

  String FOUND =
      """
      select n.round, r.occasion, coalesce(p.canonical, p.id) as publication, o.kind, n.class as finding_class,
        n.words::text, n.here_since, r.came
      from finding n join arrival r on r.id = n.arrival join occasion o on o.id = r.occasion
      join publication p on p.id = o.publication
      """;

  @Select(
      ROUNDS
          + """
             and exists (select 1 from finding n where n.round = r.id)
            order by r.closed desc nulls first, r.opens desc, r.id desc limit 60
            """)
  List<Row> waiting(int group);

  @Select(ROUNDS + " and r.pid = #{pid}")
  Row find(int group, String pid);

  @Select(ROUNDS + " and a.id = #{alert} and r.closed is not null order by r.n desc limit #{most}")
  List<Row> closed(int group, int alert, int most);

  @Select(
      """
      select g.pid from round r join alert a on a.id = r.alert join grp g on g.id = a.grp
      where r.pid = #{pid}
      """)
  String groupOf(String pid);

  @Select(FOUND + " where n.round = any(#{rounds}) order by n.id limit 20000")
  List<FoundRow> found(Integer[] rounds);

  @Select("select r.id from round r where r.alert = #{alert} and r.closed is null")
  Integer openRound(int alert);

  @Select(
      """
      insert into round (pid, alert, n, opens, closes)
      values (#{pid}, #{alert}, 1 + (select coalesce(max(n), 0) from round where alert = #{alert}),
        #{opens}, #{closes}) returning id
      """)
  int open(String pid, int alert, Instant opens, Instant closes);

  @Select(
      """
      select r.id, r.alert from round r join alert a on a.id = r.alert
      where r.closed is null and r.closes <= #{now} and a.state = 'watching'
      order by r.closes, r.id limit 1000
      """)
  List<Due> due(Instant now);

  @Update("update round set closed = #{now} where id = #{round} and closed is null")
  int close(int round, Instant now);

  @Insert(
      """
      insert into round_source (round, source, checked)
      select #{round}, h.source, max(h.ended) from harvest h where h.state = 'done'
      group by h.source
      """)
  void noteSources(int round);

  @Select(
      """
      with made as (
        insert into arrival (grp, occasion, came) values (#{group}, #{occasion}, #{now})
        on conflict (grp, occasion) do nothing returning id)
      select id from made
      """)
  Integer arrive(int group, int occasion, Instant now);

  @Select("select id from arrival where grp = #{group} and occasion = #{occasion}")
  int arrival(int group, int occasion);

  @Insert(
      """
      insert into finding (arrival, alert, round, revision, class, words, here_since, at)
      values (#{arrival}, #{alert}, #{round}, #{revision}, #{findingClass}, #{words}::jsonb,
        #{hereSince}, #{now})
      on conflict (arrival, alert) do nothing
      """)
  int addFinding(
      int arrival,
      int alert,
      int round,
      int revision,
      String findingClass,
      String words,
      boolean hereSince,
      Instant now);
}
