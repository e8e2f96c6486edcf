package org.quietlantern.server.account;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface TryMapper {
  /** {@code last}: null where there is none. */
  record Known(int count, Instant last) {}

  /** Tries that start at once are counted one by one. */
  @Select("select pg_advisory_xact_lock(hashtextextended(#{scope}, 20))::text")
  String oneAfterTheOther(String scope);

  @Select(
      """
      select count(*)::int as count, max(system_at) as last from sign_in_try
      where scope = #{scope} and system_at > #{since}
      """)
  Known known(String scope, Instant since);

  @Select("select count(*) from sign_in_try where origin = #{origin} and system_at > #{since}")
  int ofOrigin(String origin, Instant since);

  @Insert("insert into sign_in_try (scope, origin, system_at) values (#{scope}, #{origin}, #{now})")
  void add(String scope, String origin, Instant now);

  @Delete("delete from sign_in_try where scope = #{scope}")
  void forget(String scope);

  /** Who signed in in a browser. */
  record Owner(int account, String email) {}

  /** Null for a browser that is not known. */
  @Select(
      """
      select a.id as account, a.email from known_device d join account a on a.id = d.account
      where d.token_hash = #{hash}
      """)
  Owner ownerOf(byte[] hash);

  @Insert(
      "insert into known_device (token_hash, account, system_at) values (#{hash}, #{account}, #{now})")
  void addDevice(byte[] hash, int account, Instant now);

  @Delete("delete from sign_in_try where system_at < #{before}")
  void sweepTries(Instant before);

  @Delete("delete from known_device where system_at < #{before}")
  void sweepDevices(Instant before);
}
