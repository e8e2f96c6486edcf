package org.quietlantern.server.review;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ReviewMapper {
  /** {@code asked}: the occasion or publication asked for, whichever of the same work it was on. */
  record Event(int asked, int membership, String what, String reason, Instant at) {}

  @Select(
      """
      with held as (
        select o.id from occasion o join publication p on p.id = o.publication
        where (p.id = #{publication} or p.canonical = #{publication})
          and o.kind = 'first coming' and o.key = ''
        order by o.id limit 1),
      made as (
        insert into occasion (publication, kind, key)
        select #{publication}, 'first coming', '' where not exists (select 1 from held)
        on conflict (publication, kind, key) do nothing returning id)
      select id from held union all select id from made
      """)
  Integer firstComing(int publication);

  @Insert(
      """
      insert into review_event (command, membership, occasion, publication, what, reason, at)
      values (#{command}, #{membership}, #{occasion}, #{publication}, #{what}, #{reason}, #{now})
      """)
  void add(
      UUID command,
      int membership,
      int occasion,
      int publication,
      String what,
      String reason,
      Instant now);

  @Select(
      """
      with asked as (
        select o.id, o.kind, o.key, coalesce(p.canonical, p.id) as work
        from occasion o join publication p on p.id = o.publication where o.id = any(#{occasions})),
      same as (
        select a.id as asked, o.id from asked a join occasion o
          on o.publication = a.work and o.kind = a.kind and o.key = a.key
        union
        select a.id, o.id from asked a join publication p on p.canonical = a.work
        join occasion o on o.publication = p.id and o.kind = a.kind and o.key = a.key)
      select s.asked, e.membership, e.what, e.reason, e.at
      from same s join review_event e on e.occasion = s.id
      join membership m on m.id = e.membership
      where m.grp = #{group} order by e.id limit 50000
      """)
  List<Event> onOccasions(int group, Integer[] occasions);

  @Select(
      """
      with asked as (
        select id, coalesce(canonical, id) as work from publication
        where id = any(#{publications})),
      same as (
        select id as asked, work as part from asked
        union
        select a.id, p.id from asked a join publication p on p.canonical = a.work)
      select s.asked, e.membership, e.what, e.reason, e.at
      from same s join occasion o on o.publication = s.part and o.kind = 'first coming'
      join review_event e on e.occasion = o.id join membership m on m.id = e.membership
      where m.grp = #{group} order by e.id limit 50000
      """)
  List<Event> onPublications(int group, Integer[] publications);
}
