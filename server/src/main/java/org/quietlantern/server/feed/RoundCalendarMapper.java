package org.quietlantern.server.feed;

import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Rounds as a calendar has them. */
@Mapper
interface RoundCalendarMapper {
  /** A closed round with something in it; {@code owed}: by the member. */
  record ClosedRound(String pid, String alertName, int n, Instant closed, int arrivals, int owed) {}

  @Select(
      """
      select r.pid, s.name as alert_name, r.n, r.closed, r.arrivals,
        case when #{owes} then r.arrivals - coalesce(m.reviewed + m.spared, 0) else 0 end as owed
      from round r join alert a on a.id = r.alert join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search
      left join round_member m on m.round = r.id and m.membership = #{membership}
      where r.alert = any(#{alerts}) and r.closed >= #{since} and r.found
      order by r.closed, r.id
      """)
  List<ClosedRound> closed(Integer[] alerts, int membership, boolean owes, Instant since);

  /** The round that gathers in something that watches. */
  record Gathering(
      String pid,
      String alertName,
      int n,
      String rhythm,
      LocalTime hour,
      Instant opens,
      Instant closes,
      int arrivals) {}

  @Select(
      """
      select r.pid, s.name as alert_name, r.n, a.rhythm, a.hour, r.opens, r.closes, r.arrivals
      from round r join alert a on a.id = r.alert join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search
      where r.alert = any(#{alerts}) and r.closed is null and r.closes is not null
        and a.state = 'watching'
      order by r.closes, r.id
      """)
  List<Gathering> gathering(Integer[] alerts);
}
