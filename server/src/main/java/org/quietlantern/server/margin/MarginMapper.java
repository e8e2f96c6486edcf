package org.quietlantern.server.margin;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface MarginMapper {
  record Row(
      int id,
      String pid,
      int publication,
      int membership,
      String kind,
      String body,
      String version,
      String label,
      String quote,
      String before,
      String after,
      int page,
      int start,
      boolean shared,
      boolean done,
      Instant at,
      Instant changed) {}

  String ROWS =
      """
      select n.id, n.pid, coalesce(p.canonical, p.id) as publication, n.membership, n.kind, n.body,
        n.version, n.label, n.quote, n.before, n.after, n.page, n.start, n.shared, n.done, n.at,
        n.changed
      from margin_note n join publication p on p.id = n.publication
      """;

  /** What a member may see: their own, and what is shared. */
  String SEEN =
      """
      where n.grp = #{group} and n.gone is null and (n.shared or n.membership = #{reader})
      """;

  @Select(ROWS + SEEN + " and n.publication = any(#{publications}) order by n.page, n.start, n.id")
  List<Row> of(int group, int reader, Integer[] publications);

  @Select(ROWS + SEEN + " and n.pid = #{pid}")
  Row find(int group, int reader, String pid);

  /**
   * A choice of notes.
   *
   * @param like a pattern for words in quote, body or remarks; empty: any
   * @param kind empty: any
   * @param mine only the reader's own
   * @param open only tasks that are not done
   * @param before only older ones than this row; 0: from the newest
   */
  record Choice(
      int group,
      int reader,
      String like,
      String kind,
      boolean mine,
      boolean open,
      int before,
      int most) {}

  @Select(
      "<script>"
          + ROWS
          + SEEN
          + """
          <if test="like != ''">
            and (n.quote ilike #{like} or n.body ilike #{like} or exists (
              select 1 from margin_remark r where r.note = n.id and r.body ilike #{like}))
          </if>
          <if test="kind != ''">and n.kind = #{kind}</if>
          <if test="mine">and n.membership = #{reader}</if>
          <if test="open">and n.kind = 'task' and not n.done</if>
          <if test="before != 0">and n.id &lt; #{before}</if>
          order by n.id desc limit #{most}
          </script>
          """)
  List<Row> chosen(Choice choice);

  record NewNote(
      String pid,
      int grp,
      int publication,
      int membership,
      String kind,
      String body,
      String version,
      String label,
      String quote,
      String before,
      String after,
      int page,
      int start,
      boolean shared,
      Instant at) {}

  @Select(
      """
      insert into margin_note (pid, grp, publication, membership, kind, body, version, label,
        quote, before, after, page, start, shared, done, at, changed)
      values (#{pid}, #{grp}, #{publication}, #{membership}, #{kind}, #{body}, #{version},
        #{label}, #{quote}, #{before}, #{after}, #{page}, #{start}, #{shared}, false, #{at}, #{at})
      returning id
      """)
  int add(NewNote note);

  @Update(
      """
      update margin_note set kind = #{kind}, body = #{body}, shared = #{shared}, done = #{done},
        changed = #{changed}
      where id = #{id}
      """)
  void change(int id, String kind, String body, boolean shared, boolean done, Instant changed);

  @Update("update margin_note set gone = #{gone} where id = #{id}")
  void setGone(int id, @Nullable Instant gone);

  record RemarkRow(int id, int note, int membership, String body, Instant at) {}

  @Select(
      """
      select id, note, membership, body, at from margin_remark where note = any(#{notes})
      order by id
      """)
  List<RemarkRow> remarks(Integer[] notes);

  @Select(
      """
      insert into margin_remark (note, membership, body, at)
      values (#{note}, #{membership}, #{body}, #{at}) returning id
      """)
  int remark(int note, int membership, String body, Instant at);

  @Delete("delete from margin_remark where id = #{id}")
  void removeRemark(int id);
}
