package org.quietlantern.server.folder;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

/** Who may do what in a folder, as it is set; what follows from it is {@code folders_of}. */
@Mapper
interface RightsMapper {
  /**
   * What is set for a folder.
   *
   * @param openTo {@code group} or {@code named}; absent: as the folder around it
   * @param groupMay what members may, where it is open to the group
   */
  record Set(@Nullable String openTo, String groupMay, int version) {}

  @Select("select open_to, group_may, rights_version as version from folder where id = #{folder}")
  Set get(int folder);

  /** Answers 0 where the name is taken among the folders that everybody sees. */
  @Update(
      """
      update folder f set open_to = #{openTo}, group_may = #{groupMay}::folder_right,
        rights_version = #{version}
      where id = #{folder} and (#{openTo}::text is not distinct from 'named' or not exists (
        select 1 from folder t where t.grp = f.grp and t.ended is null and f.ended is null
          and coalesce(t.owner, 0) = coalesce(f.owner, 0)
          and coalesce(t.parent, 0) = coalesce(f.parent, 0)
          and t.open_to is distinct from 'named' and lower(t.name) = lower(f.name)
          and t.id <> f.id))
      """)
  int set(int folder, @Nullable String openTo, String groupMay, int version);

  /** A member by row number, as JSON keeps them. */
  record Row(int membership, String may) {}

  @Select("select membership, may from folder_named where folder = #{folder} order by membership")
  List<Row> named(int folder);

  @Delete("delete from folder_named where folder = #{folder}")
  void forget(int folder);

  @Delete("delete from folder_named where membership = #{membership}")
  void forgetMember(int membership);

  @Insert(
      """
      insert into folder_named (folder, membership, may)
      values (#{folder}, #{membership}, #{may}::folder_right)
      on conflict (folder, membership) do update set may = excluded.may
      """)
  void name(int folder, int membership, String may);

  /** The folder around one whose rights count for it; null: the group's outermost. */
  @Select(
      """
      with recursive up as (
        select id, parent, open_to, 0 as n from folder where id = #{folder}
        union select f.id, f.parent, f.open_to, up.n + 1 from folder f join up on f.id = up.parent
          where up.open_to is null or up.n = 0)
      select id from up where n > 0 and open_to is not null order by n limit 1
      """)
  Integer settledAbove(int folder);
}
