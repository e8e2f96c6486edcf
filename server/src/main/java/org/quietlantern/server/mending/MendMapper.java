package org.quietlantern.server.mending;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface MendMapper {
  /**
   * A mend; or with {@code state}, and no field, a work that was compared. {@code publication}: row
   * number of the work as it is known now; {@code name}: who did it.
   */
  record SaidRow(
      int publication,
      @Nullable String field,
      @Nullable String supplied,
      @Nullable String value,
      String name,
      Instant at,
      @Nullable Long state) {}

  /** A row as it is kept, for an undo; {@code publication} as it was mended. */
  record Kept(
      int publication, String field, String supplied, String value, int membership, Instant at) {}

  record KeptCheck(int publication, long state, int membership, Instant at) {}

  /** The latest of a field where works were joined. */
  String MENDS =
      """
      select distinct on (coalesce(p.canonical, p.id), d.field)
        coalesce(p.canonical, p.id) as publication, d.field, d.supplied, d.value,
        case when m.left_at is null then m.name else 'a former member' end as name, d.at,
        null::bigint as state
      from mend d join publication p on p.id = d.publication join membership m on m.id = d.membership
      where d.grp = #{group}
        and (p.id = any(#{publications}) or p.canonical = any(#{publications}))
      order by coalesce(p.canonical, p.id), d.field, d.at desc, d.id desc
      """;

  /** The latest of a work. */
  String CHECKED =
      """
      select distinct on (coalesce(p.canonical, p.id)) coalesce(p.canonical, p.id) as publication,
        null as field, null as supplied, null as value,
        case when m.left_at is null then m.name else 'a former member' end as name, c.at, c.state
      from entry_checked c join publication p on p.id = c.publication
      join membership m on m.id = c.membership
      where c.grp = #{group}
        and (p.id = any(#{publications}) or p.canonical = any(#{publications}))
      order by coalesce(p.canonical, p.id), c.at desc
      """;

  @Select(MENDS)
  List<SaidRow> mends(int group, Integer[] publications);

  @Select(
      """
      select publication, field, supplied, value, membership, at from mend
      where grp = #{group} and publication = #{publication} and field = #{field}
      """)
  List<Kept> kept(int group, int publication, String field);

  @Insert(
      """
      insert into mend (grp, publication, field, supplied, value, membership, at)
      values (#{group}, #{row.publication}, #{row.field}, #{row.supplied}, #{row.value},
        #{row.membership}, #{row.at})
      on conflict (grp, publication, field) do update set supplied = excluded.supplied,
        value = excluded.value, membership = excluded.membership, at = excluded.at
      """)
  void put(@Param("group") int group, @Param("row") Kept row);

  @Delete(
      """
      delete from mend d using publication p
      where d.publication = p.id and d.grp = #{group} and d.field = #{field}
        and (p.id = #{publication} or p.canonical = #{publication})
      """)
  void remove(int group, int publication, String field);

  @Select("(" + MENDS + ") union all (" + CHECKED + ") order by publication, field")
  List<SaidRow> said(int group, Integer[] publications);

  @Select(
      """
      select publication, state, membership, at from entry_checked
      where grp = #{group} and publication = any(#{publications})
      """)
  List<KeptCheck> keptChecks(int group, Integer[] publications);

  @Insert(
      """
      insert into entry_checked (grp, publication, state, membership, at)
      values (#{group}, #{row.publication}, #{row.state}, #{row.membership}, #{row.at})
      on conflict (grp, publication) do update set state = excluded.state,
        membership = excluded.membership, at = excluded.at
      """)
  void check(@Param("group") int group, @Param("row") KeptCheck row);

  @Delete("delete from entry_checked where grp = #{group} and publication = any(#{publications})")
  void uncheck(int group, Integer[] publications);
}
