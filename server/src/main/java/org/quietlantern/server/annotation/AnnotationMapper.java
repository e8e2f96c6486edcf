package org.quietlantern.server.annotation;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface AnnotationMapper {
  /**
   * @param writer row number; {@code name}: of the writer
   * @param agreed name of who agreed; absent while it is not agreed
   * @param open remarks and suggestions that nobody dealt with
   */
  record Row(
      int id,
      int writer,
      String name,
      boolean writerLeft,
      String body,
      String state,
      @Nullable Integer agreedBy,
      @Nullable String agreed,
      Instant at,
      int version,
      int open) {
    Kept kept() {
      return new Kept(id, writer, body, state, agreedBy, at, version);
    }
  }

  /** What of an annotation changes, for an undo. */
  record Kept(
      int id,
      int writer,
      String body,
      String state,
      @Nullable Integer agreedBy,
      Instant at,
      int version) {}

  String ROWS =
      """
      select distinct on (coalesce(p.canonical, p.id)) a.id, a.writer,
        case when w.left_at is null then w.name else 'a former member' end as name,
        w.left_at is not null as writer_left, a.body, a.state, a.agreed_by,
        case when g.left_at is null then g.name else 'a former member' end as agreed, a.at, a.version,
        (select count(*) from annotation_remark r
          where r.annotation = a.id and r.outcome = 'open')::int as open
      from annotation a join publication p on p.id = a.publication
      join membership w on w.id = a.writer left join membership g on g.id = a.agreed_by
      """;

  /** The latest of a work where works were joined. */
  String LATEST = " order by coalesce(p.canonical, p.id), a.at desc, a.id desc";

  @Select(
      ROWS
          + "where a.folder = #{folder} and (p.id = #{publication} or p.canonical = #{publication})"
          + LATEST)
  Row find(int folder, int publication);

  @Select(
      """
      insert into annotation (folder, publication, writer, body, state, at, version)
      values (#{folder}, #{publication}, #{writer}, #{body}, 'draft', #{now}, 1) returning id
      """)
  int add(int folder, int publication, int writer, String body, Instant now);

  @Update(
      """
      update annotation set writer = #{row.writer}, body = #{row.body}, state = #{row.state},
        agreed_by = #{row.agreedBy}, at = #{row.at}, version = #{row.version}
      where id = #{row.id}
      """)
  void put(@Param("row") Kept row);

  @Delete("delete from annotation where id = #{id}")
  void remove(int id);

  /** Answers which of its wordings it is, from 1. */
  @Select(
      """
      insert into annotation_wording (annotation, n, membership, body, at)
      select #{annotation}, 1 + coalesce(max(n), 0), #{membership}, #{body}, #{now}
      from annotation_wording where annotation = #{annotation} returning n
      """)
  int addWording(int annotation, int membership, String body, Instant now);

  @Delete("delete from annotation_wording where annotation = #{annotation} and n = #{n}")
  void removeWording(int annotation, int n);

  record WordingRow(int n, String name, Instant at, int letters) {}

  @Select(
      """
      select w.n, case when m.left_at is null then m.name else 'a former member' end as name, w.at,
        length(w.body) as letters
      from annotation_wording w join membership m on m.id = w.membership
      where w.annotation = #{annotation} order by w.n desc
      """)
  List<WordingRow> wordings(int annotation);

  @Select("select body from annotation_wording where annotation = #{annotation} and n = #{n}")
  String wording(int annotation, int n);

  /**
   * @param name of who wrote it
   * @param instead absent for a remark alone
   */
  record RemarkRow(
      int id,
      String pid,
      int annotation,
      int membership,
      String name,
      String words,
      String before,
      String after,
      int start,
      @Nullable String instead,
      String body,
      Instant at,
      String outcome,
      @Nullable Integer outcomeBy,
      @Nullable String dealtWith,
      @Nullable Instant outcomeAt) {
    Outcome outcomeKept() {
      return new Outcome(id, outcome, outcomeBy, outcomeAt);
    }
  }

  String REMARKS =
      """
      select r.id, r.pid, r.annotation, r.membership,
        case when m.left_at is null then m.name else 'a former member' end as name, r.words,
        r.before, r.after, r.start, r.instead, r.body, r.at, r.outcome, r.outcome_by,
        case when o.left_at is null then o.name else 'a former member' end as dealt_with,
        r.outcome_at
      from annotation_remark r join membership m on m.id = r.membership
      left join membership o on o.id = r.outcome_by
      """;

  @Select(
      REMARKS + "where r.annotation = #{annotation} order by r.outcome <> 'open', r.start, r.id")
  List<RemarkRow> remarks(int annotation);

  @Select(
      REMARKS
          + """
          join annotation a on a.id = r.annotation join folder f on f.id = a.folder
          where r.pid = #{pid} and f.grp = #{group}
          """)
  RemarkRow remark(int group, String pid);

  record NewRemark(
      String pid,
      int annotation,
      int membership,
      String words,
      String before,
      String after,
      int start,
      @Nullable String instead,
      String body,
      Instant at) {}

  @Select(
      """
      insert into annotation_remark (pid, annotation, membership, words, before, after, start,
        instead, body, at)
      values (#{row.pid}, #{row.annotation}, #{row.membership}, #{row.words}, #{row.before},
        #{row.after}, #{row.start}, #{row.instead}, #{row.body}, #{row.at})
      returning id
      """)
  int addRemark(@Param("row") NewRemark row);

  /** {@code outcome}: open, taken or left. */
  record Outcome(int id, String outcome, @Nullable Integer by, @Nullable Instant at) {}

  @Update(
      """
      update annotation_remark set outcome = #{row.outcome}, outcome_by = #{row.by},
        outcome_at = #{row.at}
      where id = #{row.id}
      """)
  void deal(@Param("row") Outcome row);

  @Delete("delete from annotation_remark where id = any(#{ids})")
  void removeRemarks(Integer[] ids);

  /** Under the number that it had, as it was. */
  @Insert(
      """
      insert into annotation_remark (id, pid, annotation, membership, words, before, after, start,
        instead, body, at)
      overriding system value
      values (#{id}, #{row.pid}, #{row.annotation}, #{row.membership}, #{row.words},
        #{row.before}, #{row.after}, #{row.start}, #{row.instead}, #{row.body}, #{row.at})
      """)
  void restoreRemark(@Param("id") int id, @Param("row") NewRemark row);

  record WaitingRow(String folder, String name, int toBeRead, int remarks) {}

  /** Of works that are kept in the folder still. */
  @Select(
      """
      select f.pid as folder, f.name,
        count(*) filter (where a.state = 'to be read' and a.writer <> #{membership}
          and r.open = 0) as to_be_read,
        coalesce(sum(r.open) filter (where a.writer = #{membership}), 0) as remarks
      from folders_of(#{membership}) v join folder f on f.id = v.folder and f.ended is null
      join annotation a on a.folder = f.id and a.body <> ''
      cross join lateral (select count(*) as open from annotation_remark
        where annotation = a.id and outcome = 'open') r
      where v.may = 'edit' and exists (
        select 1 from item i join publication p on p.id = i.publication
        join publication q on q.id = a.publication
        where i.folder = f.id and coalesce(p.canonical, p.id) = coalesce(q.canonical, q.id))
        and (a.writer = #{membership} and r.open > 0
          or a.writer <> #{membership} and a.state = 'to be read' and r.open = 0)
      group by f.id order by lower(f.name), f.id limit #{most}
      """)
  List<WaitingRow> waiting(int membership, int most);
}
