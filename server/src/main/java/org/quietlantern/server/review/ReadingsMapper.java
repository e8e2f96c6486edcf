package org.quietlantern.server.review;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ReadingsMapper {
  /** What a member says to have read; row number of the membership. */
  record Row(int membership, String extent, Instant at) {}

  @Insert(
      """
      insert into reading (membership, publication, extent, at)
      values (#{membership}, #{publication}, #{extent}, #{at})
      """)
  void add(int membership, int publication, String extent, Instant at);

  /** Who of those in a group has read a work, by the work's row number; who said it first first. */
  record ReadRow(int publication, String name, String extent) {}

  @Select(
      """
      select publication, name, extent from (
        select distinct on (r.membership, coalesce(p.canonical, p.id))
          coalesce(p.canonical, p.id) as publication, m.name, r.extent, r.at, r.membership
        from publication p join reading r on r.publication = p.id
        join membership m on m.id = r.membership
        where m.grp = #{group} and m.left_at is null
          and (p.id = any(#{publications}) or p.canonical = any(#{publications}))
        order by r.membership, coalesce(p.canonical, p.id), r.id desc) said
      where extent <> 'nothing' order by at, membership
      """)
  List<ReadRow> ofAll(int group, Integer[] publications);

  /** What stands of a work and of what was joined with it, who said it first the first. */
  @Select(
      """
      select membership, extent, at from (
        select distinct on (r.membership) r.membership, r.extent, r.at
        from reading r join membership m on m.id = r.membership
        join publication p on p.id = r.publication
        where m.grp = #{group} and (p.id = #{publication} or p.canonical = #{publication})
        order by r.membership, r.id desc) said
      where extent <> 'nothing' order by at, membership
      """)
  List<Row> of(int group, int publication);
}
