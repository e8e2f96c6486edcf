package org.quietlantern.server.trail;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface TrailMapper {
  record Kept(int id, String pid, String strategy) {}

  record Last(int id, String pid, int strategy, String ordered, int count, String asOf) {}

  @Select(
      """
      with made as (
        insert into kept_strategy (pid, grp, strategy, hash, at)
        values (#{pid}, #{group}, #{strategy}::jsonb, #{hash}, #{now})
        on conflict (grp, hash) do nothing returning id, pid, strategy)
      select id, pid, strategy::text from made union all
      select id, pid, strategy::text from kept_strategy where grp = #{group} and hash = #{hash}
      limit 1
      """)
  Kept keep(String pid, int group, String strategy, byte[] hash, Instant now);

  @Select(
      """
      select id, pid, strategy::text from kept_strategy where grp = #{group} and pid = #{pid}
      """)
  Kept find(int group, String pid);

  @Select("select g.pid from kept_strategy k join grp g on g.id = k.grp where k.pid = #{pid}")
  String groupOf(String pid);

  @Select(
      """
      select id, pid, strategy, ordered, count, as_of from step where membership = #{membership}
      order by id desc limit 1
      """)
  Last last(int membership);

  @Insert(
      """
      insert into step (pid, membership, strategy, ordered, count_before, count, as_of, at)
      values (#{pid}, #{membership}, #{strategy}, #{ordered}, #{before}, #{count}, #{asOf}, #{now})
      """)
  void add(
      String pid,
      int membership,
      int strategy,
      String ordered,
      Integer before,
      int count,
      String asOf,
      Instant now);

  @Insert(
      """
      insert into opened (membership, publication, step, at)
      values (#{membership}, #{publication}, #{step}, #{now})
      on conflict (membership, publication) do update set step = excluded.step, at = excluded.at
      """)
  void open(int membership, int publication, Integer step, Instant now);

  @Select(
      """
      select publication from opened
      where membership = #{membership} and publication = any(#{publications}) order by 1
      """)
  List<Integer> opened(int membership, Integer[] publications);

  record StepRow(String pid, String q, String strategy, int count, Instant at) {}

  @Select(
      """
      select t.pid, k.pid as q, k.strategy::text, t.count, t.at
      from (select distinct on (strategy) * from step where membership = #{membership}
        order by strategy, id desc) t
      join kept_strategy k on k.id = t.strategy
      order by t.id desc limit #{most}
      """)
  List<StepRow> latest(int membership, int most);

  @Select("select id from step where membership = #{membership} and pid = #{pid}")
  Integer findStep(int membership, String pid);
}
