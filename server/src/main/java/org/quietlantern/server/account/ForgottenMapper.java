package org.quietlantern.server.account;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ForgottenMapper {
  @Insert("insert into forgotten (email, system_at) values (lower(#{email}), #{now})")
  void add(String email, Instant now);

  /** Takes some away; each is taken once. */
  @Select(
      """
      delete from forgotten where id in (
        select id from forgotten order by id limit #{most} for update skip locked)
      returning email
      """)
  List<String> take(int most);

  /** Links of an address that may still be used. */
  @Select(
      "select count(*) from entry_link where email = #{email} and until > #{now} and used is null")
  int open(String email, Instant now);

  @Insert(
      """
      insert into entry_link (code, email, steward, until)
      values (#{code}, #{email}, false, #{until})
      """)
  void addLink(byte[] code, String email, Instant until);
}
