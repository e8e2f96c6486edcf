package org.quietlantern.server.account;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AddressChangeMapper {
  record Row(int account, String email, Instant systemUntil) {}

  @Insert(
      """
      insert into address_change (code, account, email, system_until)
      values (#{code}, #{account}, #{email}, #{until})
      """)
  void add(byte[] code, int account, String email, Instant until);

  /** How many were written whose time is not over. */
  @Select(
      "select count(*) from address_change where account = #{account} and system_until > #{now}")
  int since(int account, Instant now);

  @Select("select account, email, system_until from address_change where code = #{code}")
  Row find(byte[] code);

  /** Answers 0 if somebody used it meanwhile. */
  @Update("update address_change set used = #{now} where code = #{code} and used is null")
  int use(byte[] code, Instant now);

  /** Makes all other links of an account void. */
  @Update("update address_change set used = #{now} where account = #{account} and used is null")
  void forget(int account, Instant now);

  @Delete("delete from address_change where system_until < #{before}")
  void sweep(Instant before);
}
