package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AnnotationsAlongMapper {
  /** Annotations (a) of works in the first folder, and of the same works in the other one (b). */
  String THERE =
      """
      exists (select 1 from annotation b join publication q on q.id = b.publication
        where b.folder = #{to} and coalesce(q.canonical, q.id) = coalesce(p.canonical, p.id))
      """;

  String OF_WORKS =
      " a.folder = #{from} and coalesce(p.canonical, p.id) = any(#{works}::integer[]) ";

  /** Of works about which something is said in both. */
  @Select(
      "select a.id from annotation a join publication p on p.id = a.publication where a.body <> ''"
          + " and "
          + OF_WORKS
          + " and "
          + THERE
          + " order by a.id")
  List<Integer> inBoth(int from, int to, Integer[] works);

  /** Says what one says as a remark on the one of the same work in another folder. */
  @Select(
      """
      insert into annotation_remark (pid, annotation, membership, words, before, after, start, body,
        at)
      select #{pid}, (select min(b.id) from annotation b join publication q on q.id = b.publication
          where b.folder = #{to} and coalesce(q.canonical, q.id) = coalesce(p.canonical, p.id)),
        a.writer, '', '', '', 0, 'In “' || f.name || '” it read: ' || a.body, #{now}
      from annotation a join publication p on p.id = a.publication join folder f on f.id = a.folder
      where a.id = #{annotation} returning id
      """)
  int tell(int annotation, int to, String pid, Instant now);

  @Select(
      "update annotation a set folder = #{to} from publication p where p.id = a.publication and "
          + OF_WORKS
          + " and not "
          + THERE
          + " returning a.id")
  List<Integer> move(int from, int to, Integer[] works);

  @Select(
      """
      insert into annotation (folder, publication, writer, body, state, agreed_by, at, version)
      select #{to}, a.publication, a.writer, a.body, a.state, a.agreed_by, a.at, 1
      from annotation a join publication p on p.id = a.publication
      where a.body <> '' and
      """
          + OF_WORKS
          + " and not "
          + THERE
          + " order by a.id returning id")
  List<Integer> copy(int from, int to, Integer[] works);

  /** Their words are the first that they had. */
  @Insert(
      """
      insert into annotation_wording (annotation, n, membership, body, at)
      select id, 1, writer, body, at from annotation where id = any(#{annotations})
      """)
  void copyWordings(Integer[] annotations);

  @Update(
      """
      update annotation set folder = #{to}
      where id = any(#{annotations}::integer[]) and folder = #{from}
      """)
  void goBack(Integer[] annotations, int from, int to);

  @Delete("delete from annotation_remark where id = any(#{remarks}::integer[])")
  void forgetTold(Integer[] remarks);

  /** But those that somebody changed, or said something of; they wait where the work was. */
  @Delete(
      """
      delete from annotation a where a.id = any(#{annotations}::integer[]) and a.version = 1
        and not exists (select 1 from annotation_remark r where r.annotation = a.id)
      """)
  void forget(Integer[] annotations);

  @Select(
      "update quoted_through a set folder = #{to} from publication p where p.id = a.publication and "
          + OF_WORKS
          + " returning a.id")
  List<Integer> moveQuoted(int from, int to, Integer[] works);

  @Select(
      "select a.id from quoted_through a join publication p on p.id = a.publication where "
          + OF_WORKS
          + " order by a.id")
  List<Integer> quoted(int from, Integer[] works);

  @Select(
      """
      insert into quoted_through (pid, folder, publication, described, doi, task, membership, at)
      select #{pid}, #{to}, publication, described, doi, task, membership, at
      from quoted_through where id = #{quoted} returning id
      """)
  int copyQuoted(int quoted, int to, String pid);

  @Update(
      """
      update quoted_through set folder = #{to}
      where id = any(#{quoted}::integer[]) and folder = #{from}
      """)
  void quotedGoBack(Integer[] quoted, int from, int to);

  @Delete("delete from quoted_through where id = any(#{quoted}::integer[])")
  void forgetQuoted(Integer[] quoted);
}
