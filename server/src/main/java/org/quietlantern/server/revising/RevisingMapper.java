package org.quietlantern.server.revising;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface RevisingMapper {
  /** A member who was asked to check a revision, or did. */
  record Check(
      int revision,
      int checker,
      @Nullable Integer askedBy,
      @Nullable Instant asked,
      @Nullable Instant checked) {}

  @Select(
      """
      select revision, checker, asked_by, asked, checked from revision_check
      where revision = any(#{revisions}) order by revision, coalesce(asked, checked), checker
      """)
  List<Check> checks(Integer[] revisions);

  @Select(
      """
      select revision, checker, asked_by, asked, checked from revision_check
      where revision = #{revision} and checker = #{checker} for update
      """)
  Check check(int revision, int checker);

  @Insert(
      """
      insert into revision_check (revision, checker, asked_by, asked, checked)
      values (#{revision}, #{checker}, #{askedBy}, #{asked}, #{checked})
      on conflict (revision, checker) do update
      set asked_by = #{askedBy}, asked = #{asked}, checked = #{checked}
      """)
  void setCheck(Check check);

  @Delete("delete from revision_check where revision = #{revision} and checker = #{checker}")
  void removeCheck(int revision, int checker);

  record Waiting(String pid, String name, int n, Integer askedBy, Instant asked) {}

  @Select(
      """
      select s.pid, s.name, r.n, c.asked_by, c.asked from revision_check c
      join revision r on r.id = c.revision join saved_search s on s.id = r.saved_search
      where c.checker = #{checker} and c.checked is null order by c.asked, r.id
      """)
  List<Waiting> waiting(int checker);

  record Remark(int id, int revision, String line, int membership, String text, Instant at) {}

  @Select(
      """
      select id, revision, line, membership, text, at from line_remark
      where revision = any(#{revisions}) order by id
      """)
  List<Remark> remarks(Integer[] revisions);

  @Select(
      """
      insert into line_remark (revision, line, membership, text, at)
      values (#{revision}, #{line}, #{membership}, #{text}, #{at}) returning id
      """)
  int addRemark(int revision, String line, int membership, String text, Instant at);

  @Delete("delete from line_remark where id = #{id}")
  void removeRemark(int id);

  record Run(int revision, int membership, int count, String lines, String asOf, Instant at) {}

  @Insert(
      """
      insert into search_run (revision, membership, count, lines, as_of, at)
      values (#{revision}, #{membership}, #{count}, #{lines}::jsonb, #{asOf}, #{at})
      """)
  void addRun(Run run);

  @Select(
      """
      select revision, membership, count, lines::text, as_of, at from search_run
      where revision = any(#{revisions}) order by id desc
      """)
  List<Run> runs(Integer[] revisions);
}
