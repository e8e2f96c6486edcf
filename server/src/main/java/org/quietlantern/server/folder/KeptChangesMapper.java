package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface KeptChangesMapper {
  /** {@code publication}: row number of the work as it is known now; {@code kinds}: of core. */
  record Row(int publication, String[] kinds, String folder, String folderName, Instant at) {}

  /**
   * The last such change of each work since it was kept, as long as the member has not opened it
   * since; the latest first.
   */
  @Select(
      """
      with me as (select id, joined from membership where id = #{membership}),
      changed as (
        select distinct on (w.id) w.id as publication, c.kinds, f.pid as folder,
          f.name as folder_name, c.at
        from me join publication_change c on c.at > me.joined and c.at > #{since}
          and c.kinds && array['retracted', 'corrected', 'concern', 'final', 'opened',
            'withdrawn']
        join publication p on p.id = c.publication
        join publication w on w.id = coalesce(p.canonical, p.id)
        join publication part on part.id = w.id or part.canonical = w.id
        join item i on i.publication = part.id and i.at < c.at
        join folders_of(#{membership}) v on v.folder = i.folder
        join folder f on f.id = i.folder and f.ended is null
        where (c.kinds && array['retracted', 'corrected', 'concern'] or exists (
            select 1 from item_reason r where r.item = i.id and r.membership = me.id))
          and not exists (
            select 1 from opening o join publication q on q.id = o.publication
            where o.membership = me.id and coalesce(q.canonical, q.id) = w.id and o.at >= c.at)
        order by w.id, c.no desc, lower(f.name), f.id)
      select * from changed order by at desc, publication limit #{most}
      """)
  List<Row> of(int membership, Instant since, int most);
}
