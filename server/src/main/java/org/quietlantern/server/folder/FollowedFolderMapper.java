package org.quietlantern.server.folder;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface FollowedFolderMapper {
  /** A folder that the whole group sees. */
  record Everybodys(int id, String name) {}

  @Select(
      """
      select id, name from folder
      where grp = #{group} and pid = #{pid} and ended is null and not folder_closed(id)
      """)
  Everybodys everybodys(int group, String pid);

  /** Public ids of what is kept in it, as it is known now. */
  @Select(
      """
      select distinct w.pid from item i join publication p on p.id = i.publication
      join publication w on w.id = coalesce(p.canonical, p.id) where i.folder = #{folder}
      order by 1
      """)
  List<String> works(int folder);

  /** DOIs of what is kept in it, of every record of each work. */
  @Select(
      """
      select distinct lower(r.fields ->> 'doi') from item i
      join publication p on p.id = i.publication
      join publication w on w.id = coalesce(p.canonical, p.id)
      join publication r on r.id = w.id or r.canonical = w.id
      where i.folder = #{folder} and coalesce(r.fields ->> 'doi', '') <> '' order by 1
      """)
  List<String> dois(int folder);
}
