package org.quietlantern.server.trail;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.matching.KeptMeanings;

@Mapper
interface TrailMapper {
  /** A step; {@code before}: what the step before it found. */
  record NewStep(
      String pid,
      int membership,
      int strategy,
      String ordered,
      Integer before,
      int count,
      String asOf,
      Instant now) {}

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

  @Select(
      """
      select id, pid, strategy::text from kept_strategy
      where grp = #{group} and pid = any(#{pids}::text[])
      """)
  List<Kept> findAll(int group, String[] pids);

  /** Those of all groups that may name a heading, after a row number. */
  @Select(
      """
      select id, strategy::text from kept_strategy
      where id > #{after} and strategy_says(strategy, '%heading%') order by id limit #{most}
      """)
  List<KeptMeanings.Stored> naming(int after, int most);

  /** Found by what it says now; {@code other}: where that is taken. */
  @Update(
      """
      update kept_strategy k set strategy = #{strategy}::jsonb,
        hash = case when exists (
          select 1 from kept_strategy o where o.grp = k.grp and o.hash = #{hash} and o.id <> k.id)
          then #{other} else #{hash} end
      where id = #{id}
      """)
  void put(int id, String strategy, byte[] hash, byte[] other);

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
  void add(NewStep row);

  @Insert(
      """
      insert into opening (membership, publication, step, at, downloaded)
      select #{membership}, #{publication}, #{step}, #{now}, #{downloaded}
      where not exists (
        select 1 from opening o
        where o.id = (select max(id) from opening where membership = #{membership})
          and o.publication = #{publication} and o.step is not distinct from #{step}::integer
          and o.downloaded = #{downloaded})
      """)
  void open(int membership, int publication, Integer step, Instant now, boolean downloaded);

  @Select(
      """
      select distinct publication from opening
      where membership = #{membership} and publication = any(#{publications}) order by 1
      """)
  List<Integer> opened(int membership, Integer[] publications);

  record OpenedAt(int publication, Instant at) {}

  @Select(
      """
      select publication, max(at) as at from opening
      where membership = #{membership} and publication = any(#{publications}) group by publication
      """)
  List<OpenedAt> lastOpenedOf(int membership, Integer[] publications);

  record StepRow(String pid, String q, String strategy, int count, Instant at) {}

  @Select(
      """
      select t.pid, k.pid as q, k.strategy::text, t.count, t.at
      from (select distinct on (strategy) * from step where membership = #{membership}
        order by strategy, id desc) t
      join kept_strategy k on k.id = t.strategy
      where #{part} = '' or strategy_says(k.strategy, #{part})
      order by t.id desc limit #{most}
      """)
  List<StepRow> latest(int membership, String part, int most);

  record PageRow(
      int id,
      String pid,
      String q,
      String strategy,
      String ordered,
      Integer countBefore,
      int count,
      Instant at) {}

  /**
   * Newest first; {@code part} is a pattern that what is said in a line fits, {@code before} a step
   * or 0.
   */
  @Select(
      """
      select t.id, t.pid, k.pid as q, k.strategy::text, t.ordered, t.count_before, t.count, t.at
      from step t join kept_strategy k on k.id = t.strategy
      where t.membership = #{membership} and (#{before} = 0 or t.id < #{before})
        and (#{part} = '' or strategy_says(k.strategy, #{part}))
      order by t.id desc limit #{most}
      """)
  List<PageRow> page(int membership, String part, int before, int most);

  /** In the order of time, both ends in. */
  @Select(
      """
      select t.id, t.pid, k.pid as q, k.strategy::text, t.ordered, t.count_before, t.count, t.at
      from step t join kept_strategy k on k.id = t.strategy
      where t.membership = #{membership} and t.id between #{from} and #{to}
      order by t.id
      """)
  List<PageRow> stretch(int membership, int from, int to);

  record Run(int count, Instant at) {}

  /** The first step of a member with a strategy. */
  @Select(
      """
      select t.count, t.at from step t join kept_strategy k on k.id = t.strategy
      where t.membership = #{membership} and k.pid = #{q} order by t.id limit 1
      """)
  Run firstRun(int membership, String q);

  record OpenedRow(
      long id,
      Integer step,
      String q,
      String pid,
      String title,
      boolean retracted,
      Instant at,
      boolean downloaded) {}

  /** What was opened from some steps, in the order of opening, each once. */
  @Select(
      """
      select o.id, o.step, '' as q, p.pid, p.fields ->> 'title' as title,
        jsonb_path_exists(p.fields, '$.relations.notices[*] ? (@.kind == "retraction")') as retracted,
        o.at, o.downloaded
      from (select step, publication, min(at) as at, min(id) as id, bool_or(downloaded) as downloaded
        from opening
        where membership = #{membership} and step = any(#{steps}) group by step, publication) o
      join publication p on p.id = o.publication order by o.id
      """)
  List<OpenedRow> openedFrom(int membership, Integer[] steps);

  /** What was opened last, with the strategy that it came from, if one did. */
  @Select(
      """
      select o.id, o.step, k.pid as q, p.pid, p.fields ->> 'title' as title,
        jsonb_path_exists(p.fields, '$.relations.notices[*] ? (@.kind == "retraction")') as retracted,
        o.at, o.downloaded
      from opening o join publication p on p.id = o.publication
        left join step t on t.id = o.step left join kept_strategy k on k.id = t.strategy
      where o.membership = #{membership} and (#{before} = 0 or o.id < #{before})
        and (#{pattern} = '' or p.fields ->> 'title' ilike #{pattern})
      order by o.id desc limit #{most}
      """)
  List<OpenedRow> lastOpened(int membership, String pattern, long before, int most);

  @Select(
      """
      select count(*) from opening o join publication p on p.id = o.publication
      where o.membership = #{membership}
        and (#{pattern} = '' or p.fields ->> 'title' ilike #{pattern})
      """)
  int countOpened(int membership, String pattern);

  @Select("select id from step where membership = #{membership} and pid = #{pid}")
  Integer findStep(int membership, String pid);
}
