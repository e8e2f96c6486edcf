package org.quietlantern.server.review;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ReviewMapper {
  record Event(
      int occasion, int publication, int membership, String what, String reason, Instant at) {}

  @Select(
      """
      with made as (
        insert into occasion (publication, kind, key) values (#{publication}, 'first coming', '')
        on conflict (publication, kind, key) do nothing returning id)
      select id from made union all
      select id from occasion where publication = #{publication} and kind = 'first coming' and key = ''
      limit 1
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
      select e.occasion, o.publication, e.membership, e.what, e.reason, e.at
      from review_event e join occasion o on o.id = e.occasion
      join membership m on m.id = e.membership
      where e.occasion = any(#{occasions}) and m.grp = #{group} order by e.id limit 50000
      """)
  List<Event> onOccasions(int group, Integer[] occasions);

  @Select(
      """
      select e.occasion, o.publication, e.membership, e.what, e.reason, e.at
      from review_event e join occasion o on o.id = e.occasion
      join membership m on m.id = e.membership
      where o.publication = any(#{publications}) and o.kind = 'first coming' and m.grp = #{group}
      order by e.id limit 50000
      """)
  List<Event> onPublications(int group, Integer[] publications);
}
