package org.quietlantern.server.report;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface NoteMapper {
  /** An account in writing that is kept. */
  record NewNote(
      String pid, int folder, String title, String of, String blocks, int membership, Instant at) {}

  /** {@code folderPid}, {@code folderName}: where it is kept. */
  record Row(
      String pid,
      String folderPid,
      String folderName,
      String title,
      String of,
      String blocks,
      int membership,
      Instant at) {}

  @Insert(
      """
      insert into note (pid, folder, title, of, blocks, membership, at)
      values (#{pid}, #{folder}, #{title}, #{of}, #{blocks}::jsonb, #{membership}, #{at})
      """)
  void add(NewNote row);

  /** The newest first, without what they say. */
  @Select(
      """
      select n.pid, f.pid as folder_pid, f.name as folder_name, n.title, n.of, '[]' as blocks,
        n.membership, n.at
      from note n join folder f on f.id = n.folder
      where n.folder = #{folder} order by n.at desc, n.id desc
      """)
  List<Row> inFolder(int folder);

  /** One that the member may see: in a folder that they see. */
  @Select(
      """
      select n.pid, f.pid as folder_pid, f.name as folder_name, n.title, n.of, n.blocks::text,
        n.membership, n.at
      from note n join folder f on f.id = n.folder
      join folders_of(#{membership}) v on v.folder = f.id where n.pid = #{pid}
      """)
  Row find(int membership, String pid);

  @Select(
      """
      select g.pid from note n join folder f on f.id = n.folder join grp g on g.id = f.grp
      where n.pid = #{pid}
      """)
  String groupOf(String pid);

  @Delete("delete from note where pid = #{pid}")
  void remove(String pid);
}
