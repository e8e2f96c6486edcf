package org.quietlantern.server.membership;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface InvitationMapper {
  /** {@code folder}: its row number, where they are asked to it alone; with what they may. */
  record NewInvitation(
      String pid,
      int group,
      String email,
      String role,
      @Nullable Integer folder,
      @Nullable String may,
      byte[] code,
      int membership,
      long letter,
      Instant at,
      Instant systemUntil) {}

  /**
   * @param folder its row number, where they are asked to it alone; with its id, its name and what
   *     they may
   * @param folderEnded whether it is no more
   * @param by the name of who asked; absent for somebody who left
   */
  record Row(
      int id,
      String pid,
      int grp,
      String groupPid,
      String groupName,
      String email,
      String role,
      @Nullable Integer folder,
      @Nullable String folderPid,
      @Nullable String folderName,
      @Nullable String may,
      boolean folderEnded,
      @Nullable String by,
      int membership,
      long letter,
      Instant at,
      Instant systemUntil,
      @Nullable Instant used,
      @Nullable Instant takenBack) {}

  String ROWS =
      """
      select i.id, i.pid, i.grp, g.pid as group_pid, g.name as group_name, i.email, i.role,
        i.folder, f.pid as folder_pid, f.name as folder_name, i.may, f.ended is not null as folder_ended,
        case when m.left_at is null then m.name end as by, i.membership, i.letter, i.at, i.system_until, i.used,
        i.taken_back
      from invitation i join grp g on g.id = i.grp join membership m on m.id = i.membership
      left join folder f on f.id = i.folder
      """;

  /** To the group, or to a folder, that nobody used and nobody took back; the latest first. */
  @Select(
      ROWS
          + """
          where i.grp = #{group} and i.folder is not distinct from #{folder}::integer
            and i.used is null and i.taken_back is null order by i.id desc
          """)
  List<Row> open(int group, @Nullable Integer folder);

  @Select(ROWS + "where i.grp = #{group} and i.pid = #{pid}")
  Row find(int group, String pid);

  @Select(ROWS + "where i.code = #{code}")
  Row byCode(byte[] code);

  /** Those to the group that a member sent. */
  @Select(
      ROWS
          + """
          where i.grp = #{group} and i.folder is null and i.membership = #{membership}
            and i.used is null and i.taken_back is null order by i.id desc
          """)
  List<Row> openBy(int group, int membership);

  /** The one that is open for an address; null where there is none. */
  @Select(
      """
      select id from invitation where grp = #{group} and email = #{email}
        and folder is not distinct from #{folder}::integer and used is null and taken_back is null
      """)
  Integer openFor(int group, String email, @Nullable Integer folder);

  @Select(
      """
      insert into invitation
        (pid, grp, email, role, folder, may, code, membership, letter, at, system_until)
      values (#{pid}, #{group}, #{email}, #{role}, #{folder}, #{may}::folder_right, #{code},
        #{membership}, #{letter}, #{at}, #{systemUntil})
      returning id
      """)
  int add(NewInvitation invitation);

  /** {@code at} absent: it is open again. Answers 0 where it was used. */
  @Update("update invitation set taken_back = #{at} where id = #{id} and used is null")
  int takeBack(int id, @Nullable Instant at);

  /** Answers 0 if it was used, or taken back, meanwhile. */
  @Update(
      "update invitation set used = #{at} where id = #{id} and used is null and taken_back is null")
  int use(int id, Instant at);
}
