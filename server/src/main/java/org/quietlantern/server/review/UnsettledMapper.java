package org.quietlantern.server.review;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface UnsettledMapper {
  /** Works that are asked for, with all that turned out to be the same. */
  String PARTS =
      """
      with asked as (
        select distinct coalesce(canonical, id) as work from publication where id = any(#{works})),
      parts as (
        select work, work as part from asked
        union
        select a.work, p.id from asked a join publication p on p.canonical = a.work)
      """;

  /** A mark in force; {@code occasion}: one for all occasions that turned out to be the same. */
  record Said(int occasion, int work, String kind, String key, String what, int event) {}

  record Open(String what, int occasion, int event) {}

  /** What those who have lamps say of works now. */
  @Select(
      PARTS
          + """
            select distinct on (s.work, o.kind, o.key, l.membership)
              min(o.id) over (partition by s.work, o.kind, o.key) as occasion,
              s.work, o.kind, o.key, e.what, e.id as event
            from parts s join occasion o on o.publication = s.part join lamp l on l.occasion = o.id
            join membership m on m.id = l.membership and m.grp = #{group} and m.left_at is null
              and m.role <> 'guest'
            join review_event e on e.id = l.event
              and not (e.what = 'hold' and exists (select 1 from sealed_mark t where t.event = e.id))
            order by s.work, o.kind, o.key, l.membership, e.id desc
            """)
  List<Said> said(int group, Integer[] works);

  /** {@code event}: the last one before the group decided together. */
  record Settled(int work, String kind, String key, int event) {}

  /** What meetings of a group came to on works in the end, where that settles something. */
  @Select(
      PARTS
          + """
            select s.work, o.kind, o.key, max(d.event) as event
            from parts s join occasion o on o.publication = s.part
            join decision d on d.occasion = o.id and d.grp = #{group} and d.what <> 'open'
            where not exists (select 1 from decision l
              where l.occasion = d.occasion and l.meeting = d.meeting and l.id > d.id)
            group by s.work, o.kind, o.key
            """)
  List<Settled> settled(int group, Integer[] works);

  @Select(
      PARTS
          + """
            select u.what, u.occasion, u.event from parts s
            join occasion o on o.publication = s.part join unsettled u on u.occasion = o.id
            where u.grp = #{group}
            """)
  List<Open> stored(int group, Integer[] works);

  @Delete(
      """
      delete from unsettled u using unnest(#{whats}, #{occasions}) as q (what, occasion)
      where u.grp = #{group} and u.what = q.what and u.occasion = q.occasion
      """)
  void remove(int group, String[] whats, Integer[] occasions);

  @Insert(
      """
      insert into unsettled (grp, what, occasion, event)
      select #{group}, what, occasion, event
      from unnest(#{whats}, #{occasions}, #{events}) as q (what, occasion, event) order by 1, 2, 3
      on conflict (grp, what, occasion) do update set event = excluded.event
      """)
  void add(int group, String[] whats, Integer[] occasions, Integer[] events);

  /** {@code event}: where the next page goes on. */
  record Listed(int occasion, int publication, String kind, String key, Instant at, int event) {}

  /**
   * What was said last first; what is said again by an undo has its time. {@code before}: an event;
   * 0 for the first page.
   */
  @Select(
      """
      select u.occasion, coalesce(p.canonical, p.id) as publication, o.kind, o.key, e.at, u.event
      from unsettled u join review_event e on e.id = u.event
      join occasion o on o.id = u.occasion join publication p on p.id = o.publication
      where u.grp = #{group} and u.what = #{what} and (#{before} = 0 or
        (e.at, e.id) < (select at, id from review_event where id = #{before}))
      order by e.at desc, e.id desc limit #{most}
      """)
  List<Listed> page(int group, String what, int before, int most);

  record Count(String what, int open) {}

  @Select(
      """
      select what, count(*)::int as open from unsettled where grp = #{group} group by what
      """)
  List<Count> counts(int group);

  /** Works of a group with marks, or with something that is said to stand open. */
  @Select(
      """
      select distinct coalesce(p.canonical, p.id) as work
      from (
        select l.occasion from membership m join lamp l on l.membership = m.id
        where m.grp = #{group}
        union
        select occasion from unsettled where grp = #{group}) s
      join occasion o on o.id = s.occasion join publication p on p.id = o.publication
      where coalesce(p.canonical, p.id) > #{after} order by 1 limit #{most}
      """)
  List<Integer> works(int group, int after, int most);

  @Select("select id from grp order by id")
  List<Integer> groups();

  @Select(
      """
      select distinct grp from unsettled where what in ('waiting', 'readable') order by grp
      """)
  List<Integer> groupsThatWait();

  @Select(
      """
      select distinct coalesce(p.canonical, p.id) as work
      from unsettled u join occasion o on o.id = u.occasion
      join publication p on p.id = o.publication
      where u.grp = #{group} and u.what in ('waiting', 'readable') order by 1
      """)
  List<Integer> waitedFor(int group);

  /** Of how many works a member waited for the text, where it can be read now. */
  @Select(
      """
      select count(distinct coalesce(p.canonical, p.id))::int
      from unsettled u join occasion o on o.id = u.occasion
      join publication p on p.id = o.publication
      join publication q on coalesce(q.canonical, q.id) = coalesce(p.canonical, p.id)
      join occasion x on x.publication = q.id and x.kind = o.kind and x.key = o.key
      join lamp l on l.occasion = x.id and l.membership = #{membership}
      join review_event e on e.id = l.event and e.what = 'hold for text'
      where u.grp = #{group} and u.what = 'readable'
      """)
  int readableFor(int group, int membership);

  record Changed(int grp, int work) {}

  /**
   * Works with marks that became one by changes of the catalogue up to a number, and those that
   * changed while their text is waited for; by group.
   */
  @Select(
      """
      select distinct m.grp, coalesce(a.canonical, a.id) as work
      from publication_change c join publication a on a.id = c.publication
      join publication p on coalesce(p.canonical, p.id) = coalesce(a.canonical, a.id)
      join occasion o on o.publication = p.id join lamp l on l.occasion = o.id
      join membership m on m.id = l.membership
      where c.no > #{after} and c.no <= #{upTo} and 'joined' = any(c.kinds)
      union
      select u.grp, coalesce(a.canonical, a.id)
      from unsettled u join occasion o on o.id = u.occasion
      join publication p on p.id = o.publication
      join publication a on coalesce(a.canonical, a.id) = coalesce(p.canonical, p.id)
      join publication_change c on c.publication = a.id
      where u.what in ('waiting', 'readable') and c.no > #{after} and c.no <= #{upTo}
      order by 1, 2
      """)
  List<Changed> changed(long after, long upTo);
}
