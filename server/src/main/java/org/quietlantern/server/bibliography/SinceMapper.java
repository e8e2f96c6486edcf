package org.quietlantern.server.bibliography;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SinceMapper {
  /** {@code publication}: row number of a work that is in the folder, as it is known now. */
  record Change(int publication, String what, Instant at) {}

  @Select(
      """
      with work as (
        select coalesce(p.canonical, p.id) as id, min(i.at) as came
        from item i join publication p on p.id = i.publication
        where i.folder = #{folder} group by 1),
      known as (
        select p.id, coalesce(p.canonical, p.id) as work from publication p
        where p.id in (select id from work) or p.canonical in (select id from work))
      select id as publication, 'came' as what, came as at from work where came >= #{since}
      union all
      select k.work, 'mended', d.at from mend d join known k on k.id = d.publication
      where d.grp = #{group} and d.at >= #{since}
      union all
      select k.work, 'annotated', max(w.at)
      from annotation a join known k on k.id = a.publication
      join annotation_wording w on w.annotation = a.id
      where a.folder = #{folder} and w.at >= #{since} group by k.work
      union all
      select k.work, 'changed', max(c.at)
      from publication_change c join known k on k.id = c.publication
      where c.at >= #{since} and c.kinds && array['retracted', 'corrected', 'concern', 'final',
        'opened', 'withdrawn'] group by k.work
      """)
  List<Change> changes(int group, int folder, Instant since);

  /** {@code publication}: public id of a work that left, and may have come back. */
  record Gone(String publication, Instant at) {}

  /** {@code folder}: as actions are about it. */
  @Select(
      """
      select substr(subject, 13) as publication, max(a.at) as at
      from action a cross join unnest(a.about) as subject
      where a.grp = #{group} and a.at >= #{since} and a.undone_by is null
        and a.what in ('item.take-out', 'item.move', 'folder.merge')
        and a.about @> array[#{folder}]::text[] and subject like 'publication:%'
      group by subject order by max(a.at) desc, subject
      """)
  List<Gone> gone(int group, String folder, Instant since);
}
