package org.quietlantern.server.drive;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface DriveFileMapper {
  /**
   * A file that is looked after.
   *
   * @param wanted JSON
   * @param over whether something else that stands there may be written over
   * @param sending digest of what is being sent, or was when the server ended
   * @param sent digest of what was sent last
   */
  record Row(
      int id,
      String pid,
      int grp,
      int membership,
      String path,
      String title,
      @Nullable String folder,
      String wanted,
      boolean kept,
      String state,
      String trouble,
      boolean taken,
      boolean over,
      int tries,
      @Nullable byte[] sending,
      @Nullable byte[] sent,
      @Nullable byte[] meaning,
      String tag,
      long size,
      int works,
      Instant put,
      @Nullable Instant written) {}

  String ROWS =
      """
      select id, pid, grp, membership, path, title, folder, wanted, kept, state, trouble, taken,
        over, tries, sending, sent, meaning, tag, size, works, put, written
      from drive_file
      """;

  /** {@code before}: row number of the last of the page before, 0 for the first. */
  @Select(
      ROWS
          + """
      where grp = #{group} and ended is null and (#{before} = 0 or id < #{before})
      order by id desc limit #{most}
      """)
  List<Row> of(int group, int before, int most);

  /** Those that stand still or wait after a failure, of one member. */
  @Select(
      ROWS
          + """
      where membership = #{membership} and ended is null and trouble <> ''
      order by id desc limit #{most}
      """)
  List<Row> inTrouble(int membership, int most);

  @Select(ROWS + "where grp = #{group} and pid = #{pid} and ended is null")
  Row find(int group, String pid);

  @Select(ROWS + "where grp = #{group} and pid = #{pid} and ended is not null")
  Row findEnded(int group, String pid);

  @Select(ROWS + "where id = #{id} and ended is null")
  Row get(int id);

  /** Row number, also of one that is no longer looked after. */
  @Select("select id from drive_file where grp = #{group} and pid = #{pid}")
  Integer id(int group, String pid);

  /** That under a path now, whatever case its letters have. */
  @Select(
      ROWS
          + """
      where grp = #{group} and lower(path) = lower(#{path}) and ended is null
      """)
  Row at(int group, String path);

  /**
   * Paths that files on their way will have in a folder.
   *
   * @param in empty, or the folder with a slash behind it
   */
  @Select(
      """
      select path from drive_file
      where grp = #{group} and ended is null and state = 'waiting' and starts_with(path, #{in})
      """)
  List<String> toCome(int group, String in);

  /** {@code wanted}: JSON. */
  record NewFile(
      String pid,
      int group,
      int membership,
      String path,
      String title,
      @Nullable String folder,
      String wanted,
      boolean kept,
      Instant now) {}

  /** What was written there before and is no longer looked after is known again. */
  @Insert(
      """
      insert into drive_file (pid, grp, membership, path, title, folder, wanted, kept, due, put,
        sending, sent, tag)
      select #{pid}, #{group}, #{membership}, #{path}, #{title}, #{folder}, #{wanted}::jsonb,
        #{kept}, #{now}, #{now}, o.sending, o.sent, coalesce(o.tag, '')
      from (select 1) one left join lateral (
        select sending, sent, tag from drive_file
        where grp = #{group} and path = #{path} and ended is not null
        order by id desc limit 1) o on true
      """)
  void add(NewFile file);

  /** One that stands there is written anew, as somebody wants it now. */
  @Update(
      """
      update drive_file set membership = #{file.membership}, title = #{file.title},
        folder = #{file.folder}, wanted = #{file.wanted}::jsonb, kept = #{file.kept},
        state = 'waiting', trouble = '', taken = false, tries = 0, due = #{file.now},
        put = #{file.now}
      where id = #{id}
      """)
  void putAgain(int id, NewFile file);

  @Update(
      """
      update drive_file set state = 'waiting', trouble = '', taken = false, over = #{over},
        tries = 0, due = #{now}
      where id = #{id}
      """)
  void again(int id, boolean over, Instant now);

  @Update("update drive_file set kept = #{kept}, due = #{now} where id = #{id}")
  void keep(int id, boolean kept, Instant now);

  @Update("update drive_file set ended = #{now} where id = #{id}")
  void end(int id, @Nullable Instant now);

  @Update("update drive_file set ended = #{now} where grp = #{group} and ended is null")
  void endAll(int group, Instant now);

  /** The drive is another one, or has moved: what was ours is ours by its content alone. */
  @Update(
      """
      update drive_file set sending = coalesce(sent, sending), sent = null, tag = ''
      where grp = #{group}
      """)
  void forgetSent(int group);

  /** Everything that waits, or stands still and is to be kept, is tried now. */
  @Update(
      """
      update drive_file set state = 'waiting', trouble = '', taken = false, tries = 0, due = #{now}
      where grp = #{group} and ended is null and (kept or state <> 'written')
      """)
  void allAgain(int group, Instant now);

  /**
   * What is to be looked at: what waits, and what is kept where something has happened since. A
   * clock that was set back does not hold it up.
   */
  @Select(
      """
      select f.id from drive_file f
      where f.ended is null and (f.due <= #{now} or f.due > #{now}::timestamptz + interval '2 days')
        and (f.state = 'waiting' or f.state = 'written' and f.kept
          and (f.seen_action < coalesce((select max(a.no) from action a where a.grp = f.grp), 0)
            or f.seen_change < coalesce((select max(c.no) from publication_change c), 0)))
      order by f.due, f.id limit #{most}
      """)
  List<Integer> due(Instant now, int most);

  /** The newest numbers of what happens. */
  record Seen(long action, long change) {}

  @Select(
      """
      select coalesce((select max(no) from action where grp = #{group}), 0) as action,
        coalesce((select max(no) from publication_change), 0) as change
      """)
  Seen seen(int group);

  /** It is about to be sent. */
  @Update("update drive_file set sending = #{digest} where id = #{id}")
  void sending(int id, byte[] digest);

  /** {@code due}: when it is looked at next. */
  record Written(
      int id,
      byte[] sent,
      byte[] meaning,
      String tag,
      long size,
      int works,
      Instant now,
      Instant due,
      Seen seen) {}

  /** What somebody wanted meanwhile otherwise stays to be written. */
  @Update(
      """
      update drive_file set sent = #{w.sent}, meaning = #{w.meaning}, tag = #{w.tag},
        size = #{w.size}, works = #{w.works}, written = #{w.now}, tries = 0, trouble = '',
        taken = false, over = false, seen_action = #{w.seen.action},
        seen_change = #{w.seen.change},
        state = case when put = #{put} then 'written' else state end,
        due = case when put = #{put} then #{w.due}::timestamptz else due end
      where id = #{w.id}
      """)
  void written(Written w, Instant put);

  /** It says what it said. */
  @Update(
      """
      update drive_file set seen_action = #{seen.action}, seen_change = #{seen.change},
        due = #{due}, state = 'written', trouble = '', tries = 0
      where id = #{id} and put = #{put}
      """)
  void same(int id, Seen seen, Instant due, Instant put);

  /** {@code due}: absent where nothing is tried by itself any more. */
  record Failed(int id, String state, String trouble, boolean taken, @Nullable Instant due) {}

  @Update(
      """
      update drive_file set state = #{f.state}, trouble = #{f.trouble}, taken = #{f.taken},
        tries = tries + 1, due = #{f.due}
      where id = #{f.id} and put = #{put}
      """)
  void failed(Failed f, Instant put);
}
