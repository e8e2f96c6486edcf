package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What a page of records writes, many rows by one statement: they come as one JSON array. */
@Mapper
interface PageMapper {
  /** A publication by its name, and its row. */
  record Added(String pid, int id) {}

  /** {@code rows}: of {@link PageWriter.NewPublication}; numbered as new in their order. */
  @Select(
      """
      with given as (
        select * from json_to_recordset(#{rows}::json)
          as r (place integer, pid text, fields text, hash text)),
      added as (
        insert into publication (pid, grp, came, fields, hash)
        select pid, nullif(#{group}, 0), #{now}, fields::jsonb, decode(hash, 'hex')
        from (select * from given order by place) g
        returning id, pid),
      numbered as (
        insert into publication_change (publication, kinds, at)
        select id, array['new'], #{now} from (select id from added order by id) a)
      select pid, id from added
      """)
  List<Added> add(int group, Instant now, String rows);

  /**
   * {@code rows}: of {@link PageWriter.NewRecord}, no identifier twice. What only repeats what is
   * kept stays where it stands in the order of supplying.
   *
   * @return how many there are
   */
  @Select(
      """
      with given as (
        select * from json_to_recordset(#{rows}::json)
          as r (place integer, identifier text, publication integer, format text, raw text,
            datestamp text, deleted boolean, problems text[], keys text[])),
      kept as (
        insert into source_record
          (source, identifier, publication, format, raw, datestamp, deleted, came, problems,
          supplied, supply)
        select #{source}, identifier, publication, format, raw, datestamp, deleted, #{now},
          problems, #{now}, nextval('supply_no')
        from (select * from given order by place) g
        on conflict (source, identifier) do update set
          publication = coalesce(source_record.publication, excluded.publication),
          format = excluded.format, datestamp = excluded.datestamp, deleted = excluded.deleted,
          problems = excluded.problems,
          raw = case when excluded.deleted then source_record.raw else excluded.raw end,
          supplied = case when (source_record.raw, source_record.datestamp, source_record.deleted)
            = (excluded.raw, excluded.datestamp, excluded.deleted)
            then source_record.supplied else excluded.supplied end,
          supply = case when (source_record.raw, source_record.datestamp, source_record.deleted)
            = (excluded.raw, excluded.datestamp, excluded.deleted)
            then source_record.supply else excluded.supply end
        returning id, identifier),
      gone as (
        delete from work_key k using kept, given g
        where k.source_record = kept.id and g.identifier = kept.identifier
          and not g.deleted and not k.value = any(g.keys)),
      found as (
        insert into work_key (source_record, value)
        select distinct kept.id, value
        from kept join given g on g.identifier = kept.identifier, unnest(g.keys) value
        where not g.deleted
        on conflict do nothing)
      select count(*) from kept
      """)
  int keep(int source, Instant now, String rows);

  /** Lets the database count what it has, and plan its statements anew. */
  @Update("analyze publication, publication_change, source_record, work_key")
  void count();
}
