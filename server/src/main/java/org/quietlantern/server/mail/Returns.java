package org.quietlantern.server.mail;

import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Letters that came back, counted at the accounts they went to. */
@Mapper
interface Returns {
  /**
   * Notes it once for each letter; answers how many accounts have that address: none, where there
   * is no such letter to it, or it came back before.
   *
   * @param messageId of the letter
   * @param recipient as the envelope said
   */
  @Select(
      """
      with back as (
        update outbox set returned = #{now}
        where message_id = #{messageId} and lower(recipient) = lower(#{recipient})
          and returned is null
        returning recipient),
      counted as (
        update account a set returned = a.returned + 1, returned_at = #{now}, returned_why = #{why}
        from back where lower(a.email) = lower(back.recipient) returning a.id)
      select count(*) from counted
      """)
  int note(String messageId, String recipient, String why, Instant now);
}
