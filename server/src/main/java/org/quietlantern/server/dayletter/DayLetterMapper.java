package org.quietlantern.server.dayletter;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DayLetterMapper {
  /**
   * A member whose hour has come and who is not away.
   *
   * @param day in the member's zone
   * @param told until when everything was told, or was there when they joined
   */
  record Due(
      int membership, String group, int account, String email, LocalDate day, Instant told) {}

  @Select(
      """
      with clocks as (
        select m.id as membership, g.pid as "group", a.id as account, a.email, m.told_on,
          coalesce(m.told, m.joined) as told, a.letter_hour,
          #{now}::timestamptz at time zone a.zone as local
        from membership m join account a on a.id = m.account join grp g on g.id = m.grp
        where m.left_at is null and a.letters
      )
      select membership, "group", account, email, local::date as day, told from clocks
      where local::time >= letter_hour and told_on is distinct from local::date
        and not exists (select 1 from absence b where b.membership = clocks.membership
          and local::date between b.from_day and coalesce(b.to_day, 'infinity'))
      order by membership
      """)
  List<Due> due(Instant now);

  /** Answers 0 where another process dealt with the day meanwhile. */
  @Update(
      """
      update membership set told_on = #{due.day}, told = #{now}
      where id = #{due.membership} and told_on is distinct from #{due.day}
      """)
  int dealWith(Due due, Instant now);
}
