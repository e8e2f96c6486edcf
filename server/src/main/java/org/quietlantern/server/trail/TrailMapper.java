package org.quietlantern.server.trail;

import java.time.Instant;
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

  @Select("select id from step where membership = #{membership} and pid = #{pid}")
  Integer findStep(int membership, String pid);
}
