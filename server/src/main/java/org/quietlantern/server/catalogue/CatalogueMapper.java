package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface CatalogueMapper {
  record Held(
      String identifier, Integer publication, boolean deleted, byte[] hash, boolean withdrawn) {}

  record Row(int id, String pid, Instant came, boolean withdrawn, String fields) {}

  record Change(long no, int publication, String[] kinds) {}

  /** Held to the end of the transaction: the numbers of changes are in commit order. */
  @Select("select 1 from (select pg_advisory_xact_lock(1)) l")
  int lock();

  @Select(
      """
      select r.identifier, r.publication, r.deleted, p.hash, p.withdrawn is not null as withdrawn
      from source_record r left join publication p on p.id = r.publication
      where r.source = #{source} and r.identifier = any(#{identifiers})
      """)
  List<Held> held(int source, String[] identifiers);

  @Insert(
      """
      insert into source_record
        (source, identifier, publication, format, raw, datestamp, deleted, came, problems)
      values (#{source}, #{identifier}, #{publication}, #{format}, #{raw}, #{datestamp},
        #{deleted}, #{now}, #{problems})
      on conflict (source, identifier) do update set publication = excluded.publication,
        format = excluded.format, datestamp = excluded.datestamp, deleted = excluded.deleted,
        problems = excluded.problems,
        raw = case when excluded.deleted then source_record.raw else excluded.raw end
      """)
  void keep(
      int source,
      String identifier,
      Integer publication,
      String format,
      String raw,
      String datestamp,
      boolean deleted,
      Instant now,
      String[] problems);

  @Select(
      """
      insert into publication (pid, came, fields, hash)
      values (#{pid}, #{now}, #{fields}::jsonb, #{hash}) returning id
      """)
  int add(String pid, Instant now, String fields, byte[] hash);

  @Update(
      """
      update publication set fields = #{fields}::jsonb, hash = #{hash}, withdrawn = null
      where id = #{id}
      """)
  void change(int id, String fields, byte[] hash);

  @Update("update publication set withdrawn = #{now} where id = #{id}")
  void withdraw(int id, Instant now);

  @Insert(
      """
      insert into publication_change (publication, kinds, at)
      values (#{publication}, #{kinds}, #{now})
      """)
  void number(int publication, String[] kinds, Instant now);

  @Insert(
      """
      insert into set_aside (publication, no, what, why, at)
      values (#{publication}, #{no}, #{what}, #{why}, #{now})
      """)
  void setAside(int publication, long no, String what, String why, Instant now);

  @Select("select coalesce(max(no), 0) from publication_change")
  long latest();

  @Select(
      """
      select no, publication, kinds from publication_change
      where no > #{after} and no <= #{upTo} order by no limit #{most}
      """)
  List<Change> changes(long after, long upTo, int most);

  @Select(
      """
      select id, pid, came, withdrawn is not null as withdrawn, fields::text
      from publication where id = any(#{ids}) and grp is null order by id limit 1000
      """)
  List<Row> byId(Integer[] ids);

  @Select(
      """
      select id, pid, came, withdrawn is not null as withdrawn, fields::text
      from publication where pid = any(#{pids}) and grp is null order by id limit 1000
      """)
  List<Row> byPid(String[] pids);

  @Select(
      """
      select c.pid from publication p join publication c on c.id = p.canonical
      where p.pid = #{pid} and p.grp is null
      """)
  String canonicalOf(String pid);
}
