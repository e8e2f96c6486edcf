package org.quietlantern.server.bibliography;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface BelowMapper {
  /**
   * What stands below the entry of a work, all of it absent where nothing is said of it.
   *
   * @param publication row number of the work as it is known now
   * @param open remarks that nobody dealt with
   * @param quoted works that are quoted through it, each as a JSON object
   */
  record Row(
      int publication,
      @Nullable String name,
      @Nullable String state,
      @Nullable Instant at,
      @Nullable String body,
      int open,
      String[] quoted) {}

  /** The latest annotation of a work where works were joined. */
  @Select(
      """
      with said as (
        select distinct on (coalesce(p.canonical, p.id)) coalesce(p.canonical, p.id) as work, a.id,
          a.writer, a.state, a.at, a.body
        from annotation a join publication p on p.id = a.publication
        where a.folder = #{folder} and a.body <> ''
        order by coalesce(p.canonical, p.id), a.at desc, a.id desc),
      through as (
        select coalesce(p.canonical, p.id) as work, array_agg(jsonb_build_object('id', q.pid,
            'described', q.described, 'doi', q.doi,
            'by', case when m.left_at is null then m.name else 'a former member' end,
            'read', coalesce(t.state = 'done', false))::text order by q.id) as quoted
        from quoted_through q join publication p on p.id = q.publication
        join membership m on m.id = q.membership left join task t on t.id = q.task
        where q.folder = #{folder} group by 1)
      select coalesce(s.work, t.work) as publication,
        case when w.left_at is null then w.name else 'a former member' end as name, s.state, s.at,
        s.body, (select count(*) from annotation_remark r
          where r.annotation = s.id and r.outcome = 'open')::int as open,
        coalesce(t.quoted, '{}') as quoted
      from said s full join through t on t.work = s.work left join membership w on w.id = s.writer
      """)
  List<Row> inFolder(int folder);
}
