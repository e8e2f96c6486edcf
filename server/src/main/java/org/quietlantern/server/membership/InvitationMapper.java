package org.quietlantern.server.membership;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface InvitationMapper {
  record NewInvitation(
      String pid,
      int group,
      String email,
      String role,
      byte[] code,
      int membership,
      long letter,
      Instant at,
      Instant systemUntil) {}

  /** {@code by}: the name of who asked; absent for somebody who left. */
  record Row(
      int id,
      String pid,
      int grp,
      String groupPid,
      String groupName,
      String email,
      String role,
      @Nullable String by,
      long letter,
      Instant at,
      Instant systemUntil,
      @Nullable Instant used,
      @Nullable Instant takenBack) {}

  String ROWS =
      """
      select i.id, i.pid, i.grp, g.pid as group_pid, g.name as group_name, i.email, i.role,
        case when m.left_at is null then m.name end as by, i.letter, i.at, i.system_until, i.used,
        i.taken_back
      from invitation i join grp g on g.id = i.grp join membership m on m.id = i.membership
      """;

  /** Those that nobody used and nobody took back, the latest first. */
  @Select(
      ROWS
          + """
          where i.grp = #{group} and i.used is null and i.taken_back is null order by i.id desc
          """)
  List<Row> open(int group);

  @Select(ROWS + "where i.grp = #{group} and i.pid = #{pid}")
  Row find(int group, String pid);

  @Select(ROWS + "where i.code = #{code}")
  Row byCode(byte[] code);

  /** The one that is open for an address; null where there is none. */
  @Select(
      """
      select id from invitation where grp = #{group} and email = #{email} and used is null
        and taken_back is null
      """)
  Integer openFor(int group, String email);

  @Select(
      """
      insert into invitation
        (pid, grp, email, role, code, membership, letter, at, system_until)
      values (#{pid}, #{group}, #{email}, #{role}, #{code}, #{membership}, #{letter}, #{at},
        #{systemUntil})
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
