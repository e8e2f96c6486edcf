package org.quietlantern.server.bibliography;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface QuotedMapper {
  /** {@code publication}: as it is known now; {@code read}: whether the task to read it is done. */
  record Row(
      String pid, int publication, String described, String doi, String name, boolean read) {}

  @Select(
      """
      select q.pid, coalesce(p.canonical, p.id) as publication, q.described, q.doi,
        case when m.left_at is null then m.name else 'a former member' end as name,
        coalesce(t.state = 'done', false) as read
      from quoted_through q join publication p on p.id = q.publication
      join membership m on m.id = q.membership left join task t on t.id = q.task
      where q.folder = #{folder} order by q.id
      """)
  List<Row> of(int folder);

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
