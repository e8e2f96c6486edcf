package org.quietlantern.server.feed;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

/** What a group has, for the feeds of its members. */
@Mapper
interface GroupFeedMapper {
  /** {@code key}: what of it an entry is named after; {@code why}: may be empty. */
  record Row(
      int id, String key, int publication, String why, Instant at, @Nullable Instant changed) {}

  String CHANGED =
      """
      (select max(c.at) from publication_change c where c.publication = told.work) as changed
      """;

  /** Arrivals since a member joined on which their lamp is not lit. */
  @Select(
      "select id, occasion::text as key, publication, '' as why, at, "
          + CHANGED
          + """
            from (
              select r.id, r.occasion, coalesce(p.canonical, p.id) as publication,
                coalesce(p.canonical, p.id) as work, r.came as at,
                row_number() over (partition by coalesce(p.canonical, p.id), o.kind, o.key
                  order by r.id) as nth
              from arrival r join occasion o on o.id = r.occasion
              join publication p on p.id = o.publication
              join membership m on m.id = #{membership}
              where r.grp = #{group} and r.came >= m.joined
                and o.kind <> all(#{onlyTold})
                and exists (select 1 from finding n where n.arrival = r.id)
                and not exists (select 1 from lamp l join review_event e on e.id = l.event
                  where l.occasion = r.occasion and l.membership = m.id
                    and e.what in ('keep', 'pass', 'raise', 'seen', 'rest'))) told
            where nth = 1 and (#{before} = 0 or
              (at, id) < (select came, id from arrival where id = #{before} and grp = #{group}))
            order by at desc, id desc limit #{most}
            """)
  List<Row> unreviewed(int group, int membership, int before, int most, String[] onlyTold);

  /** Works that members bring to the group, each once, as it was raised last. */
  @Select(
      "select id, occasion::text as key, publication, why, at, "
          + CHANGED
          + """
            from (
              select e.id, e.occasion, coalesce(p.canonical, p.id) as publication,
                coalesce(p.canonical, p.id) as work, e.at,
                'Raised by ' || m.name || case when e.reason = '' then '.' else ': “' || e.reason
                  || '”' end as why,
                row_number() over (partition by coalesce(p.canonical, p.id) order by e.id desc)
                  as nth
              from lamp l join review_event e on e.id = l.event and e.what = 'raise'
              join membership m on m.id = l.membership and m.left_at is null
              join occasion o on o.id = l.occasion join publication p on p.id = o.publication
              where m.grp = #{group}) told
            where nth = 1 and (#{before} = 0 or
              (at, id) < (select at, id from review_event where id = #{before}))
            order by at desc, id desc limit #{most}
            """)
  List<Row> raised(int group, int before, int most);

  /** What is in a folder (row number), kept last first, each work once. */
  @Select(
      "select id, publication::text as key, publication, why, at, "
          + CHANGED
          + """
            from (
              select i.id, coalesce(p.canonical, p.id) as publication,
                coalesce(p.canonical, p.id) as work, i.at,
                coalesce((select 'Kept by ' || string_agg(distinct m.name, ', ') || '.'
                  from item_reason r join membership m on m.id = r.membership
                  where r.item = i.id), '') as why,
                row_number() over (partition by coalesce(p.canonical, p.id)
                  order by i.at desc, i.id desc) as nth
              from item i join publication p on p.id = i.publication
              where i.folder = #{folder}) told
            where nth = 1 and (#{before} = 0
              or (at, id) < (select at, id from item where id = #{before} and folder = #{folder}))
            order by at desc, id desc limit #{most}
            """)
  List<Row> kept(int folder, int before, int most);

  /** Of works, those that came here last. */
  @Select(
      "select id, publication::text as key, publication, '' as why, at, "
          + CHANGED
          + """
            from (
              select id, id as publication, id as work, came as at from publication
              where id = any(#{works}) and withdrawn is null) told
            where #{before} = 0 or
              (at, id) < (select came, id from publication where id = #{before})
            order by at desc, id desc limit #{most}
            """)
  List<Row> newest(Integer[] works, int before, int most);
}
