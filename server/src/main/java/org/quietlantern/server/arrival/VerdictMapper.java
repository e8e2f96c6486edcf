package org.quietlantern.server.arrival;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface VerdictMapper {
  record Row(int publication, String words, boolean kept, boolean passed, boolean seen) {}

  /** Of each work that an alert found, what the members of its group say now. */
  @Select(
      """
      select o.publication, f.words::text, coalesce(said.kept, false) as kept,
        coalesce(said.passed, false) as passed, said.kept is not null as seen
      from finding f join arrival a on a.id = f.arrival join occasion o on o.id = a.occasion
      left join lateral (
        select bool_or(e.what = 'keep') as kept, bool_or(e.what = 'pass') as passed
        from lamp l join membership m on m.id = l.membership and m.grp = a.grp
        join review_event e on e.id = l.event and e.what <> 'rest'
        where l.occasion = a.occasion) said on true
      where f.alert = #{alert} and o.kind = 'first coming' order by f.id
      """)
  List<Row> ofAlert(int alert);
}
