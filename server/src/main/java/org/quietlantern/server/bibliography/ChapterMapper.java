package org.quietlantern.server.bibliography;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ChapterMapper {
  /** {@code n}: its place, from 0. */
  record Chapter(int id, int n, String name) {}

  /** Row numbers; {@code publication} as it was put. */
  record Entry(int publication, int chapter) {}

  @Select("select id, n, name from chapter where folder = #{folder} order by n, id")
  List<Chapter> chapters(int folder);

  @Select("select publication, chapter from chapter_entry where folder = #{folder}")
  List<Entry> entries(int folder);

  @Delete("delete from chapter where folder = #{folder} and id <> all(#{stay}::integer[])")
  void removeOthers(int folder, Integer[] stay);

  @Update("update chapter set name = '#' || id where folder = #{folder}")
  void unname(int folder);

  @Update("update chapter set n = #{n}, name = #{name} where id = #{id}")
  void name(int id, int n, String name);

  @Insert("insert into chapter (folder, n, name) values (#{folder}, #{n}, #{name})")
  void add(int folder, int n, String name);

  @Insert(
      """
      insert into chapter (id, folder, n, name) overriding system value
      values (#{row.id}, #{folder}, #{row.n}, #{row.name})
      """)
  void restore(@Param("folder") int folder, @Param("row") Chapter row);

  @Select(
      """
      select e.publication, e.chapter from chapter_entry e
      join publication p on p.id = e.publication
      where e.folder = #{folder} and coalesce(p.canonical, p.id) = any(#{works}::integer[])
      """)
  List<Entry> entriesOf(int folder, Integer[] works);

  @Delete(
      """
      delete from chapter_entry e using publication p
      where p.id = e.publication and e.folder = #{folder}
        and coalesce(p.canonical, p.id) = any(#{works}::integer[])
      """)
  void removeEntries(int folder, Integer[] works);

  /** Answers how many. */
  @Insert(
      """
      insert into chapter_entry (folder, publication, chapter)
      select #{folder}, w.id, c.id from unnest(#{works}::integer[]) as w(id)
      join chapter c on c.folder = #{folder} and c.name = #{chapter}
      """)
  int put(int folder, String chapter, Integer[] works);

  /** 0 where its heading is not there any more. */
  @Insert(
      """
      insert into chapter_entry (folder, publication, chapter)
      select #{folder}, #{row.publication}, c.id from chapter c
      where c.id = #{row.chapter} and c.folder = #{folder}
      on conflict (folder, publication) do update set chapter = excluded.chapter
      """)
  int restoreEntry(@Param("folder") int folder, @Param("row") Entry row);
}
