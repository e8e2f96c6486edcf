package org.quietlantern.server.harvest;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SourceMapper {
  /** A source that a steward adds. */
  record NewSource(
      String key,
      String name,
      String address,
      String format,
      String set,
      int rank,
      boolean abstractsOpen,
      int everyHours,
      Integer hourFrom,
      Integer hourTo,
      Instant now) {}

  /** What changes of one that is there. {@code asked}: when it is to be tried; null: as it was. */
  record Changed(
      String key,
      String name,
      int rank,
      boolean abstractsOpen,
      boolean paused,
      int everyHours,
      Integer hourFrom,
      Integer hourTo,
      Instant asked) {}

  /** A record as it was supplied, with the public id of what it stands under now. */
  record KeptRow(
      int id, String identifier, String raw, boolean deleted, Instant came, String publication) {}

  @Select(
      """
      select name, rank, abstracts_open, paused, every_hours, hour_from, hour_to
      from source where key = #{key} and grp is null
      """)
  SourceKeeping.SourceKept find(String key);

  @Select(
      """
      select exists (
        select 1 from source
        where base_url = #{address} and oai_set = #{set} and grp is null)
      """)
  boolean isThere(String address, String set);

  @Insert(
      """
      insert into source (key, name, base_url, format, oai_set, rank, abstracts_open, every_hours,
        hour_from, hour_to, asked)
      values (#{key}, #{name}, #{address}, #{format}, #{set}, #{rank}, #{abstractsOpen},
        #{everyHours}, #{hourFrom}, #{hourTo}, #{now})
      """)
  void add(NewSource row);

  @Select(
      "select id from source where name = #{name} and files and grp is null order by id limit 1")
  Integer ofFiles(String name);

  @Select("select id from source where grp = #{group} and format = 'file' order by id limit 1")
  Integer ofGroup(int group);

  /** A feed of others that a group follows; asked by whoever follows it, never harvested. */
  @Select(
      """
      insert into source (key, grp, name, base_url, format, rank, files)
      values (#{key}, #{group}, #{name}, '', 'feed', 9, true) returning id
      """)
  int addOfFeed(String key, int group, String name);

  @Update("update source set name = #{name} where id = #{id} and name <> #{name}")
  void rename(int id, String name);

  /** The same again where somebody made it meanwhile. */
  @Select(
      """
      insert into source (key, grp, name, base_url, format, rank, files)
      values (#{key}, #{group}, 'Brought in', '', 'file', 9, true)
      on conflict (key) do update set key = excluded.key returning id
      """)
  int addOfGroup(String key, int group);

  /** Believed after those that are asked, until a steward says otherwise. */
  @Select(
      """
      insert into source (key, name, base_url, format, rank, files)
      values (#{key}, #{name}, '', 'file', 9, true) returning id
      """)
  int addOfFiles(String key, String name);

  @Update(
      """
      update source set name = #{name}, rank = #{rank}, abstracts_open = #{abstractsOpen},
        paused = #{paused}, every_hours = #{everyHours}, hour_from = #{hourFrom},
        hour_to = #{hourTo}, asked = coalesce(#{asked}, asked)
      where key = #{key} and grp is null
      """)
  void change(Changed row);

  @Select("select id from source where key = #{key} and grp is null")
  Integer row(String key);

  /** Works that have a record of it and none of any other shared source. */
  @Select(
      """
      select (select count(*) from source_record where source = #{source} and not deleted)
          as records,
        (select count(*) from (
          select coalesce(p.canonical, p.id) as work from source_record r
          join publication p on p.id = r.publication where r.source = #{source} and not r.deleted
          group by 1) mine
        where not exists (
          select 1 from publication q join source_record r on r.publication = q.id
          join source s on s.id = r.source
          where (q.id = mine.work or q.canonical = mine.work) and not r.deleted
            and r.source <> #{source} and s.grp is null)) as publications
      """)
  SourceEnding.EndingShown ending(int source);

  @Update(
      """
      update source set ending = coalesce(ending, #{now}), asked = null where id = #{source}
      """)
  void end(int source, Instant now);

  @Select("select exists (select 1 from harvest where source = #{source} and state = 'running')")
  boolean isUnderWay(int source);

  @Delete("delete from harvest where source = #{source} and state = 'failed'")
  void forgetUnfinished(int source);

  @Update(
      """
      update source set whole = true, ending = null, paused = false, asked = #{now}
      where id = #{source} and not files
      """)
  int askForAll(int source, Instant now);

  /** Those of which something is still to be taken back. */
  @Select(
      """
      select id from source s where ending is not null and exists (
        select 1 from source_record r where r.source = s.id and not r.deleted)
      order by id
      """)
  List<Integer> ended();

  /** Names of records that a source supplies now. */
  @Select(
      """
      select identifier from source_record where source = #{source} and not deleted
      order by id limit #{most}
      """)
  List<String> supplied(int source, int most);

  @Select(
      """
      select r.id, r.identifier, r.raw, r.deleted, r.came, c.pid as publication
      from source_record r left join publication p on p.id = r.publication
      left join publication c on c.id = coalesce(p.canonical, p.id)
      where r.source = #{source} and r.id > #{after} and r.identifier like #{like}
        and (not #{odd} or r.problems <> '{}')
      order by r.id limit #{most}
      """)
  List<KeptRow> records(int source, int after, boolean odd, String like, int most);
}
