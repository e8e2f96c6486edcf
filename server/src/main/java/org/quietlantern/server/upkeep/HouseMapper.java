package org.quietlantern.server.upkeep;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What is counted and dated for whoever looks after the house. */
@Mapper
interface HouseMapper {
  /** Given up, the last first; of none it is told what it said. */
  @Select(
      """
      select recipient, trouble, at from outbox where state = 'given up'
      order by id desc offset #{from} limit #{most}
      """)
  List<House.LetterGivenUp> lettersGivenUp(int from, int most);

  @Select("select count(*) from outbox where state = 'waiting' and trouble is not null")
  int lettersInTrouble();

  @Select("select pg_database_size(current_database())")
  long databaseBytes();

  @Select("show server_version")
  String databaseVersion();

  @Select(
      """
      select
        (select count(*) from publication where canonical is null and withdrawn is null)
          as publications,
        (select count(*) from source_record where not deleted) as records,
        (select count(*) from source where grp is null) as sources,
        (select count(*) from account) as accounts,
        (select count(*) from alert where state = 'watching') as alerts,
        (select count(*) from record_set_aside) as set_aside,
        (select count(*) from doubtful_pair) as doubtful
      """)
  House.Counts counts();

  /** Alerts that did not look at the last change that was at rest. */
  @Select("select count(*) from alert where state = 'watching' and number < #{settled}")
  int alertsBehind(long settled);

  @Select(
      """
      select task_name as name, last_success, last_failure,
        coalesce(consecutive_failures, 0) as failures, execution_time as next,
        picked as running
      from scheduled_tasks order by task_name
      """)
  List<House.JobShown> jobs();

  /** One that runs now is not touched. */
  @Update(
      """
      update scheduled_tasks set execution_time = #{now}, version = version + 1
      where task_name = #{name} and not picked
      """)
  int again(String name, Instant now);

  @Select(
      """
      select g.name, count(m.id) filter (where m.left_at is null) as members,
        (select max(at) from action a where a.grp = g.id) as active
      from grp g left join membership m on m.grp = g.id group by g.id order by g.name
      """)
  List<House.GroupShown> groups();

  @Select("select at, place, bytes from backup order by id desc limit 1")
  House.BackupShown lastBackup();

  @Select(
      """
      select
        (select name = '' from installation) as name,
        not exists (select 1 from source where grp is null) as source,
        not exists (select 1 from concept) as headings,
        not exists (select 1 from journal) as journals,
        not exists (select 1 from holdings_file where shelf = 'group') as holdings
      """)
  Missing missing();

  /** What is not there yet. */
  record Missing(
      boolean name, boolean source, boolean headings, boolean journals, boolean holdings) {}

  @Select("select name from installation")
  String name();

  @Update("update installation set name = #{name}")
  void call(String name);
}
