package org.quietlantern.server.account;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface AccountMapper {
  record Login(int id, String passwordHash) {}

  /** Null for an address that nobody has, and for one whose account was ended. */
  @Select(
      """
      select id, password_hash from account where email = lower(#{email}) and ended is null
      """)
  Login findLogin(String email);

  @Select("select id from account where email = lower(#{email}) and erased is null")
  Integer findAny(String email);

  @Update("update account set ended = #{at} where id = #{account}")
  void end(int account, @Nullable Instant at);

  @Select("select email from account where id = #{account}")
  String email(int account);

  @Select(
      """
      insert into account (email, password_hash, zone)
      values (lower(#{email}), #{hash}, #{zone}) returning id
      """)
  int add(String email, String hash, String zone);

  @Select("select password_hash from account where id = #{account}")
  String passwordHash(int account);

  @Select("select zone from account where id = #{account}")
  String zoneName(int account);

  default ZoneId zone(int account) {
    return ZoneId.of(zoneName(account));
  }

  @Update(
      """
      update account set email = #{email}, returned = 0, returned_at = null, returned_why = null
      where id = #{account}
      """)
  void setEmail(int account, String email);

  @Update("update account set password_hash = #{hash} where id = #{account}")
  void setPassword(int account, String hash);

  /** {@code hours}: as {@code 07:00:00}. */
  record SettingsRow(
      String zone,
      boolean letters,
      Integer[] days,
      String[] hours,
      boolean atOnce,
      boolean ofNothing) {}

  @Select(
      """
      select zone, letters, letter_days::integer[] as days, letter_hours::text[] as hours,
        letters_at_once as at_once, letters_of_nothing as of_nothing
      from account where id = #{account}
      """)
  SettingsRow settings(int account);

  @Update(
      """
      update account set zone = #{row.zone}, letters = #{row.letters},
        letter_days = #{row.days}::integer[]::smallint[], letter_hours = #{row.hours}::text[]::time[],
        letters_at_once = #{row.atOnce}, letters_of_nothing = #{row.ofNothing}
      where id = #{account}
      """)
  void set(int account, SettingsRow row);

  /** When the account is written to next, by each of its groups. */
  @Update(
      "update membership set digest_due = #{next} where account = #{account} and left_at is null")
  void setMoment(int account, Instant next);

  /** What came while no letters were wanted is no news once they are. */
  @Update(
      """
      update membership set told = #{now}, rounds_from = #{now}
      where account = #{account} and left_at is null
      """)
  void passOver(int account, Instant now);

  /**
   * What became of letters to an account.
   *
   * @param email where they go
   * @param came how many came back since somebody said that the address works
   * @param why the last one did
   */
  record ReturnsRow(String email, int came, @Nullable Instant at, @Nullable String why) {}

  @Select(
      """
      select email, returned as came, returned_at as at, returned_why as why
      from account where id = #{account}
      """)
  ReturnsRow returns(int account);

  @Update(
      """
      update account set returned = 0, returned_at = null, returned_why = null
      where id = #{account}
      """)
  void forgetReturns(int account);

  @Update("update account set steward = true where id = #{account}")
  void makeSteward(int account);

  @Select("select steward from account where id = #{account}")
  boolean isSteward(int account);

  @Select(
      """
      select g.pid as id, g.name, m.role
      from membership m join grp g on g.id = m.grp
      where m.account = #{account} and m.left_at is null
      order by g.name, g.id
      """)
  List<Me.Group> groups(int account);
}
