package org.quietlantern.server.opened;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface FolderLinkMapper {
  /**
   * An address of a folder.
   *
   * @param by the name of who opened it; absent for somebody who left
   * @param ended whether the folder is no more
   * @param annotated whether agreed annotations are read, too
   * @param zone of the group, and {@code style} and {@code language}: what it cites in
   */
  record Row(
      int id,
      String pid,
      int folder,
      String folderName,
      int grp,
      @Nullable String by,
      Instant at,
      @Nullable Instant revoked,
      boolean ended,
      boolean annotated,
      String zone,
      String style,
      String language) {}

  String ROWS =
      """
      select l.id, l.pid, f.id as folder, f.name as folder_name, f.grp,
        case when m.left_at is null then m.name end as by, l.at, l.revoked,
        f.ended is not null as ended, l.annotated, g.zone, g.citation_style as style,
        g.citation_language as language
      from folder_link l join folder f on f.id = l.folder join membership m on m.id = l.membership
      join grp g on g.id = f.grp
      """;

  /** The one that is open; null where there is none. */
  @Select(ROWS + "where l.folder = #{folder} and l.revoked is null")
  Row open(int folder);

  @Select(ROWS + "where l.pid = #{pid}")
  Row byPid(String pid);

  @Select(
      """
      insert into folder_link (pid, folder, membership, at)
      values (#{pid}, #{folder}, #{membership}, #{now}) returning id
      """)
  int add(String pid, int folder, int membership, Instant now);

  /** {@code at} absent: it leads to the folder again. */
  @Update("update folder_link set revoked = #{at} where id = #{id}")
  void revoke(int id, @Nullable Instant at);

  @Update("update folder_link set annotated = #{annotated} where id = #{id}")
  void annotate(int id, boolean annotated);

  /** {@code changed}: when the publication last changed in the catalogue. */
  record Told(int id, int publication, Instant at, @Nullable Instant changed) {}

  /** What is in a folder, kept last first, each work once; {@code before} 0: from the last. */
  @Select(
      """
      select id, publication, at,
        (select max(c.at) from publication_change c where c.publication = told.publication)
          as changed
      from (
        select i.id, coalesce(p.canonical, p.id) as publication, i.at, row_number() over (
          partition by coalesce(p.canonical, p.id) order by i.at desc, i.id desc) as nth
        from item i join publication p on p.id = i.publication where i.folder = #{folder}) told
      where nth = 1 and (#{before} = 0
        or (at, id) < (select b.at, b.id from item b
          where b.id = #{before} and b.folder = #{folder}))
      order by at desc, id desc limit #{most}
      """)
  List<Told> told(int folder, int before, int most);

  @Select(
      """
      select count(distinct coalesce(p.canonical, p.id)) from item i
      join publication p on p.id = i.publication where i.folder = #{folder}
      """)
  int count(int folder);
}
