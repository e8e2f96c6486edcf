package org.quietlantern.server.remark;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface RemarkMapper {
  /**
   * @param publication the work as it is known now
   * @param answers the remark that it answers; absent for one that begins
   */
  record Row(
      int id,
      String pid,
      int publication,
      int membership,
      @Nullable Integer answers,
      String body,
      Instant at,
      @Nullable Instant changed,
      @Nullable Instant gone,
      @Nullable Instant settled,
      @Nullable Integer settledBy) {}

  String ROWS =
      """
      select r.id, r.pid, coalesce(p.canonical, p.id) as publication, r.membership, r.answers,
        r.body, r.at, r.changed, r.gone, r.settled, r.settled_by
      from remark r join publication p on p.id = r.publication
      """;

  @Select(ROWS + "where r.grp = #{group} and r.publication = any(#{publications}) order by r.id")
  List<Row> of(int group, Integer[] publications);

  @Select(ROWS + "where r.grp = #{group} and r.pid = #{pid} and r.gone is null")
  Row find(int group, String pid);

  record New(
      String pid,
      int grp,
      int publication,
      int membership,
      @Nullable Integer answers,
      String body,
      Instant at) {}

  @Select(
      """
      insert into remark (pid, grp, publication, membership, answers, body, at)
      values (#{pid}, #{grp}, #{publication}, #{membership}, #{answers}, #{body}, #{at})
      returning id
      """)
  int add(New remark);

  @Delete("delete from remark where id = #{id}")
  void remove(int id);

  @Select("select exists (select 1 from remark where answers = #{id})")
  boolean isAnswered(int id);

  /** Known by what it was; 0 where it is something else by now, or gone. */
  @Update(
      """
      update remark set body = #{body}, changed = #{changed}
      where id = #{id} and body = #{was} and gone is null
      """)
  int write(int id, String was, String body, @Nullable Instant changed);

  @Update("update remark set gone = #{gone} where id = #{id}")
  void setGone(int id, @Nullable Instant gone);

  @Update("update remark set settled = #{settled}, settled_by = #{by} where id = #{id}")
  void settle(int id, @Nullable Instant settled, @Nullable Integer by);

  record MentionRow(String pid, int publication, @Nullable String name, String body, Instant at) {}

  /**
   * Remarks of others that mention a member and wait: neither looked at, nor settled, nor answered
   * by the member since. The latest first.
   */
  @Select(
      """
      select r.pid, coalesce(p.canonical, p.id) as publication,
        case when m.left_at is null then m.name end as name, r.body, r.at
      from remark_mention n join remark r on r.id = n.remark
      join remark t on t.id = coalesce(r.answers, r.id)
      join membership m on m.id = r.membership join publication p on p.id = r.publication
      where n.membership = #{membership} and n.seen is null and r.membership <> #{membership}
        and r.gone is null and t.settled is null
        and not exists (
          select 1 from remark x where x.answers = t.id and x.membership = #{membership}
            and x.id > r.id and x.gone is null)
      order by r.id desc limit #{most}
      """)
  List<MentionRow> mentioning(int membership, int most);

  @Update(
      """
      update remark_mention set seen = #{seen}
      where remark = #{remark} and membership = #{membership}
      """)
  int seen(int remark, int membership, @Nullable Instant seen);

  @Delete("delete from remark_mention where remark = #{remark}")
  void forgetMentions(int remark);

  @Insert(
      """
      insert into remark_mention (remark, membership)
      select #{remark}, unnest(#{members}::integer[])
      """)
  void mention(int remark, Integer[] members);
}
