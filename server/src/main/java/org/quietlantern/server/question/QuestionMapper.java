package org.quietlantern.server.question;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface QuestionMapper {
  /**
   * Who looks. Row numbers.
   *
   * @param forGroup whether they answer what the group's librarian is asked
   */
  record Reader(int group, int id, boolean forGroup) {}

  /**
   * @param asked who is asked, while they are in the group and write; absent: the librarians
   * @param lastBy who said the last of it
   * @param waits whose turn it is to say something: 'asked', 'asker', or 'nobody'
   */
  record Row(
      int id,
      String pid,
      int askedBy,
      @Nullable Integer asked,
      String body,
      String place,
      @Nullable Integer found,
      Instant made,
      @Nullable Instant closed,
      @Nullable String took,
      int version,
      int words,
      int lastBy,
      Instant lastAt,
      String waits) {}

  /** What of the table a reader may see: what they asked, are asked, or answer for the group. */
  String SEEN =
      """
      with seen as (
        select q.id, q.pid, q.grp, q.asked_by, case when a.id is not null then q.asked end as asked,
          q.body, q.place, q.found, q.made, q.closed, t.pid as took, q.version,
          (select count(*) from question_word w where w.question = q.id) as words,
          coalesce(l.by, q.asked_by) as last_by, coalesce(l.at, q.made) as last_at,
          case when q.closed is not null then 'nobody'
            when l.by is null or l.by = q.asked_by then 'asked' else 'asker' end as waits
        from question q
        left join membership a on a.id = q.asked and a.left_at is null and a.role <> 'guest'
        left join question_word t on t.id = q.took
        left join lateral (select w.by, w.at from question_word w where w.question = q.id
          order by w.id desc limit 1) l on true
        where q.grp = #{reader.group}
      ), mine as (
        select * from seen where asked_by = #{reader.id} or asked = #{reader.id}
          or (asked is null and #{reader.forGroup})
      )
      """;

  String COLUMNS =
      """
      select id, pid, asked_by, asked, body, place, found, made, closed, took, version, words,
        last_by, last_at, waits
      from mine
      """;

  /** Whether something waits for who looks. */
  String WAITING =
      "(waits = 'asker' and asked_by = #{reader.id} or waits = 'asked' and asked_by <> #{reader.id})";

  @Select(SEEN + COLUMNS + " where pid = #{pid}")
  Row find(Reader reader, String pid);

  /** The last said first; {@code of}: 'waiting', 'open' or 'ended'. */
  @Select(
      SEEN
          + COLUMNS
          + " where case #{of} when 'ended' then closed is not null"
          + " when 'open' then closed is null else "
          + WAITING
          + " end order by last_at desc, id desc offset #{from} limit #{most}")
  List<Row> page(Reader reader, String of, int from, int most);

  /** How many there are. */
  record Counts(int waiting, int open, int ended) {}

  @Select(
      SEEN
          + "select count(*) filter (where "
          + WAITING
          + ") as waiting, count(*) filter (where closed is null) as open,"
          + " count(*) filter (where closed is not null) as ended from mine")
  Counts counts(@Param("reader") Reader reader);

  record Word(
      int id,
      String pid,
      int by,
      String body,
      @Nullable String q,
      @Nullable Integer found,
      Instant at) {}

  /** As they were said. */
  @Select(
      "select id, pid, by, body, q, found, at from question_word where question = #{id} order by id")
  List<Word> words(int id);

  record Name(String pid, String body) {}

  @Select("select pid, body from question where grp = #{group} and pid = any(#{pids}::text[])")
  List<Name> names(int group, String[] pids);

  record New(
      String pid,
      int grp,
      int askedBy,
      @Nullable Integer asked,
      String body,
      String place,
      @Nullable Integer found,
      Instant made) {}

  @Select(
      """
      insert into question (pid, grp, asked_by, asked, body, place, found, made)
      values (#{pid}, #{grp}, #{askedBy}, #{asked}, #{body}, #{place}, #{found}, #{made})
      returning id
      """)
  int add(New question);

  record NewWord(
      String pid,
      int question,
      int by,
      String body,
      @Nullable String q,
      @Nullable Integer found,
      Instant at) {}

  @Select(
      """
      insert into question_word (pid, question, by, body, q, found, at)
      values (#{pid}, #{question}, #{by}, #{body}, #{q}, #{found}, #{at})
      returning id
      """)
  int say(NewWord word);

  @Delete("delete from question where id = #{id}")
  void remove(int id);

  @Delete("delete from question_word where id = #{id}")
  void unsay(int id);

  /** How a question stands; {@code took}: row number of a word. */
  record Standing(int id, @Nullable Instant closed, @Nullable Integer took, int version) {}

  @Select("select id, closed, took, version from question where id = #{id}")
  Standing standing(int id);

  @Update(
      """
      update question set closed = #{closed}, took = #{took}, version = #{version}
      where id = #{id}
      """)
  void put(Standing standing);
}
