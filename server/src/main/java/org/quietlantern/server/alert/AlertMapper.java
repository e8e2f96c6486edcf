package org.quietlantern.server.alert;

import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AlertMapper {
  record Row(
      int id,
      String pid,
      int grp,
      String zone,
      int revision,
      String strategy,
      String rhythm,
      LocalTime hour,
      String state,
      long number,
      byte[] memory) {}

  record Line(
      int id,
      String pid,
      String name,
      String search,
      String folderPid,
      String folderName,
      String rhythm,
      LocalTime hour,
      String state,
      int asked,
      String by,
      Instant at,
      int findings,
      Instant nextCloses) {}

  String LINES =
      """
      select a.id, a.pid, s.name, s.pid as search, f.pid as folder_pid, f.name as folder_name,
        a.rhythm, a.hour, a.state, a.asked, m.name as "by", a.at,
        (select count(*) from finding n where n.alert = a.id)::int as findings,
        (select r.closes from round r where r.alert = a.id and r.closed is null) as next_closes
      from alert a join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search join folder f on f.id = a.folder
      join membership m on m.id = a.membership
      where a.grp = #{group}
      """;

  @Select(LINES + " order by lower(s.name), a.id limit 500")
  List<Line> list(int group);

  @Select(LINES + " and a.pid = #{pid}")
  Line find(int group, String pid);

  @Select("select g.pid from alert a join grp g on g.id = a.grp where a.pid = #{pid}")
  String groupOf(String pid);

  @Select(
      """
      insert into alert (pid, grp, revision, folder, rhythm, hour, state, number, memory,
        membership, at)
      values (#{pid}, #{group}, #{revision}, #{folder}, #{rhythm}, #{hour}, 'watching', #{number},
        #{memory}, #{membership}, #{now})
      on conflict (revision) do nothing returning id
      """)
  Integer add(
      String pid,
      int group,
      int revision,
      int folder,
      String rhythm,
      LocalTime hour,
      long number,
      byte[] memory,
      int membership,
      Instant now);

  @Select(
      """
      select id from alert where state = 'watching' and number < #{latest}
      order by number, id limit 10000
      """)
  List<Integer> behind(long latest);

  /** What watching needs of an alert. */
  String WATCHED =
      """
      select a.id, a.pid, a.grp, g.zone, a.revision, v.strategy::text, a.rhythm, a.hour, a.state,
        a.number, a.memory
      from alert a join grp g on g.id = a.grp join revision v on v.id = a.revision
      """;

  @Select(WATCHED + " where a.id = #{id} for update of a")
  Row lock(int id);

  /** The alert that watches by a revision, locked. */
  @Select(WATCHED + " where a.revision = #{revision} and a.state <> 'ended' for update of a")
  Row lockBy(int revision);

  @Update(
      """
      update alert set revision = #{revision}, memory = #{memory}, version = version + 1
      where id = #{id}
      """)
  void follow(int id, int revision, byte[] memory);

  @Select("select exists (select 1 from finding where revision = #{revision})")
  boolean hasFound(int revision);

  @Update(
      """
      update alert set memory = #{memory}, number = #{number}, version = version + 1
      where id = #{id}
      """)
  void remember(int id, byte[] memory, long number);

  @Select("select count(*) from finding where alert = #{id}")
  int findings(int id);

  @Delete("delete from round where alert = #{id}")
  void removeRounds(int id);

  @Delete("delete from alert where id = #{id}")
  void remove(int id);

  @Select("select id from alert where pid = #{pid}")
  Integer id(String pid);
}
