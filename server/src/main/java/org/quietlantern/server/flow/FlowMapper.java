package org.quietlantern.server.flow;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface FlowMapper {
  /** A work (row number, as it is known now) that an alert found. */
  record Found(int work, String alert) {}

  /**
   * What alerts of a group found for the first time, once for each alert; the first found first.
   *
   * @param alert its public id; absent: all
   */
  @Select(
      """
      select work, alert from (
        select coalesce(p.canonical, p.id) as work, t.pid as alert, min(f.id) as first
        from alert t join finding f on f.alert = t.id join arrival a on a.id = f.arrival
        join occasion o on o.id = a.occasion and o.kind = 'first coming'
        join publication p on p.id = o.publication
        where t.grp = #{group} and (#{alert}::text is null or t.pid = #{alert})
          and f.at >= #{from} and f.at < #{to}
        group by 1, 2) s
      order by first
      """)
  List<Found> found(int group, @Nullable String alert, Instant from, Instant to);
}
