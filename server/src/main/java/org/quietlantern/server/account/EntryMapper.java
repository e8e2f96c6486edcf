package org.quietlantern.server.account;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface EntryMapper {
  record Link(String email, boolean steward, Instant until, Instant used) {}

  @Select("select email, steward, until, used from entry_link where code = #{code}")
  Link find(byte[] code);

  /** Makes the open links of an address void; one that makes a steward stays. */
  @Update(
      """
      update entry_link set used = #{now}
      where email = #{email} and used is null and not steward
      """)
  void forget(String email, Instant now);

  /** Answers 0 if somebody used it meanwhile. */
  @Update("update entry_link set used = #{now} where code = #{code} and used is null")
  int use(byte[] code, Instant now);

  @Delete("delete from entry_link where until < #{before}")
  void sweep(Instant before);
}
