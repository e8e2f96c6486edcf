package org.quietlantern.server.bibliography;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface QuotedMapper {
  /** As it is kept, for an undo. */
  record Kept(
      String pid,
      int folder,
      int publication,
      String described,
      String doi,
      @Nullable Integer task,
      int membership,
      Instant at) {}

  @Select(
      """
      select pid, folder, publication, described, doi, task, membership, at from quoted_through
      where folder = #{folder} and pid = #{pid}
      """)
  Kept find(int folder, String pid);

  @Select(
      """
      insert into quoted_through (pid, folder, publication, described, doi, task, membership, at)
      values (#{row.pid}, #{row.folder}, #{row.publication}, #{row.described}, #{row.doi},
        #{row.task}, #{row.membership}, #{row.at})
      returning id
      """)
  int add(@Param("row") Kept row);

  @Delete("delete from quoted_through where pid = #{pid}")
  void remove(String pid);

  @Delete("delete from quoted_through where id = #{id}")
  void removeRow(int id);
}
