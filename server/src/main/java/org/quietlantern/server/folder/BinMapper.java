package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

/** What lies in the bin, as far as a member may see where it was. */
@Mapper
interface BinMapper {
  /**
   * Something in the bin.
   *
   * @param id public id of a folder or search; the command by which publications were taken out
   * @param row row number of the folder that it is, or that it comes back into
   * @param folder public id of the folder that it comes back into; absent for a folder
   * @param publications how many; 0 for a folder or search
   * @param some public ids of the first of them
   * @param by who put it there; absent for a former member
   */
  record Lying(
      String kind,
      String id,
      int row,
      String name,
      @Nullable String folder,
      @Nullable String folderName,
      int publications,
      String[] some,
      @Nullable String by,
      Instant at,
      String may) {}

  /**
   * Of what was taken out that is not in its folder again. {@code nth}: which of an act, from 1.
   */
  record Out(int nth, int publication, String pid) {}

  String OUT =
      """
      with seen as materialized (select * from folders_of(#{membership})),
      taken_out as (
        select a.no, a.command, a.membership, a.at, f.id as row, f.pid as folder, f.name, v.may,
          t.nth, w.id as publication, w.pid
        from action a
        join folder f on f.id = living_folder((a.before -> 'taken' -> 0 ->> 'folder')::int)
        join seen v on v.folder = f.id
        cross join jsonb_array_elements(a.before -> 'taken') with ordinality as t(taken, nth)
        join publication p on p.id = (t.taken ->> 'publication')::int
        join publication w on w.id = coalesce(p.canonical, p.id)
        where a.grp = #{group} and a.what = 'item.take-out' and a.undone_by is null
          and a.at > #{since}
          and not exists (select 1 from item i where i.folder = f.id and i.publication in (
            select id from publication where id = w.id or canonical = w.id)))
      """;

  String LINES =
      OUT
          + """
      , ended as (
        select 'folder' as kind, f.pid as id, f.id as row, f.name, null as folder,
          f.ended as at, v.may, f.grp, 'folder:' || f.pid as about
        from folder f join seen v on v.folder = f.id
        where f.owner is null and f.merged is null and f.ended > #{since}
        union all
        select 'search', s.pid, f.id, s.name, f.pid, s.ended, v.may, f.grp, 'search:' || s.pid
        from saved_search s join seen v on v.folder = s.folder join folder f on f.id = s.folder
        where s.ended > #{since}
      ), lines as (
        select e.kind, e.id, e.row, e.name, e.folder, 0 as publications,
          array[]::text[] as some, e.at, e.may,
          (select a.membership from action a
            where a.grp = e.grp and a.about @> array[e.about] and a.what = e.kind || '.end'
            order by a.no desc limit 1) as membership
        from ended e
        union all
        select 'publications', o.command::text, o.row, o.name, o.folder,
          count(distinct o.publication)::int, (array_agg(o.pid order by o.nth))[1:3], o.at, o.may,
          o.membership
        from taken_out o group by o.command, o.row, o.name, o.folder, o.at, o.may, o.membership
      )
      select l.kind, l.id, l.row, l.name, l.folder, f.name as folder_name, l.publications, l.some, m.name as by, l.at, l.may
      from lines l left join folder f on f.id = l.row and l.kind <> 'folder'
      left join membership m on m.id = l.membership and m.left_at is null
      """;

  /** The last first. */
  @Select(LINES + " order by l.at desc, l.id limit #{most} offset #{from}")
  List<Lying> lying(int group, int membership, Instant since, int from, int most);

  /** One of them; null where it does not lie there, or not for the member. */
  @Select(LINES + " where l.id = #{id}")
  Lying find(int group, int membership, Instant since, String id);

  @Select(OUT + " select nth, publication, pid from taken_out where command = #{act} order by nth")
  List<Out> out(int group, int membership, Instant since, UUID act);

  @Select("select before::text from action where command = #{act}")
  String before(UUID act);
}
