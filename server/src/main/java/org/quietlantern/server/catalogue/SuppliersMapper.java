package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Reads what sources are called and what they hold. */
@Mapper
interface SuppliersMapper {
  /** Which source supplies which publication, merged ones under what they are now. */
  record Supplying(int publication, String source) {}

  /** Publications, and those that were merged into them. */
  String PARTS =
      """
      with parts as (
        select id as whole, id as part from publication where id = any(#{ids})
        union all
        select canonical, id from publication where canonical = any(#{ids}))
      """;

  @Select(
      PARTS
          + """
      select distinct p.whole as publication, s.key as source
      from parts p join source_record r on r.publication = p.part
      join source s on s.id = r.source join publication c on c.id = p.whole
      where c.canonical is null and not r.deleted and s.grp is not distinct from c.grp
      order by 1, 2
      """)
  List<Supplying> supplying(Integer[] ids);

  /** A record of a publication that has several. */
  record OneOfSeveral(int publication, String raw) {}

  @Select(
      PARTS
          + """
      , supplied as (
        select p.whole, r.raw, count(*) over (partition by p.whole) as several, r.id
        from parts p join source_record r on r.publication = p.part
        join source s on s.id = r.source join publication c on c.id = p.whole
        where c.canonical is null and not r.deleted and s.grp is not distinct from c.grp)
      select whole as publication, raw from supplied where several > 1 order by whole, id
      """)
  List<OneOfSeveral> severalRecords(Integer[] ids);

  /**
   * A source, what it holds, and its harvests: the last good one ({@code ended}), the last if that
   * broke off ({@code failed}), and the one that is under way: records that it took, those that
   * there are, those that this try took, and since when.
   */
  record SourceRow(
      String key,
      String name,
      String format,
      int rank,
      boolean abstractsOpen,
      boolean paused,
      boolean files,
      int everyHours,
      Integer hourFrom,
      Integer hourTo,
      Instant ending,
      int records,
      Integer firstYear,
      Integer lastYear,
      Instant ended,
      Instant failed,
      String error,
      Integer taken,
      Integer expected,
      Integer tryTaken,
      Instant tryStarted) {}

  @Select(
      """
      select s.key, s.name, s.format, s.rank, s.abstracts_open, s.paused, s.files, s.every_hours,
        s.hour_from, s.hour_to, s.ending, coalesce(c.records, 0) as records, c.first_year,
        c.last_year, h.ended, f.ended as failed, f.error, u.taken, u.expected, u.try_taken,
        u.system_started as try_started
      from source s
      left join lateral (
        select count(*) as records, min((p.fields -> 'date' ->> 'year')::int) as first_year,
          max((p.fields -> 'date' ->> 'year')::int) as last_year
        from source_record r join publication q on q.id = r.publication
        join publication p on p.id = coalesce(q.canonical, q.id)
        where r.source = s.id and not r.deleted) c on true
      left join lateral (
        select ended from harvest where source = s.id and state = 'done' order by id desc limit 1)
        h on true
      left join lateral (
        select state, ended, error from harvest where source = s.id and state <> 'running'
        order by ended desc, id desc limit 1) f on f.state = 'failed'
      left join lateral (
        select taken, expected, taken - before_try as try_taken, system_started from harvest
        where source = s.id and state = 'running' order by id desc limit 1) u on true
      where s.grp is null order by s.rank, s.id
      """)
  List<SourceRow> sources();

  @Select("select key, name from source where grp is null order by rank, id")
  List<SourceName> sourceNames();

  record SourceNamed(int id, String name) {}

  @Select("select id, name from source order by id")
  List<SourceNamed> sourceRows();

  record SourceName(String key, String name) {}
}
