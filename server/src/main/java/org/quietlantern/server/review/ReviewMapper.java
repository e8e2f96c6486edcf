package org.quietlantern.server.review;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface ReviewMapper {
  /** What a member said. */
  record NewEvent(
      UUID command,
      int membership,
      int occasion,
      int publication,
      String what,
      String reason,
      Integer undoes,
      Instant now) {}

  /** {@code asked}: the occasion or publication asked for, whichever of the same work it was on. */
  record MarkRow(int asked, int membership, String what, String reason, Instant at) {}

  /** What is told of a sealed mark is what its event says; its writer reads what it truly is. */
  String SAID =
      """
      select distinct on (s.asked, l.membership) s.asked, l.membership,
        case when l.membership = #{reader} then coalesce(t.what, e.what) else e.what end as what,
        case when l.membership = #{reader} then coalesce(t.reason, e.reason) else e.reason end
          as reason, e.at
      """;

  String TOLD =
      """
      join review_event e on e.id = l.event join membership m on m.id = l.membership
      left join sealed_mark t on t.event = e.id
      where m.grp = #{group}
        and (t.event is null or e.what <> 'hold' or l.membership = #{reader})
      order by s.asked, l.membership, l.event desc
      """;

  record InForce(int event, int occasion, String what, String reason) {}

  record Event(int id, int occasion, String what, Integer undoes, String reason, Instant at) {}

  record LampRow(int occasion, int event) {}

  /** A publication and its occasion. */
  record Coming(int publication, int occasion) {}

  /**
   * The first coming of each, or of what is the same work; made where there is none. Those that
   * somebody else makes at this moment are left out, and found when they are asked for again.
   */
  @Select(
      """
      with asked as (select p from unnest(#{publications}) p),
      held as (
        select a.p, min(o.id) as id from asked a join publication w on w.id = a.p or w.canonical = a.p
        join occasion o on o.publication = w.id
        where o.kind = 'first coming' and o.key = '' group by a.p),
      made as (
        insert into occasion (publication, kind, key)
        select p, 'first coming', '' from asked where p not in (select h.p from held h) order by p
        on conflict (publication, kind, key) do nothing returning publication, id)
      select p as publication, id as occasion from held union all select publication, id from made
      """)
  List<Coming> firstComings(Integer[] publications);

  /**
   * Occasions on which works come again, made where they are not there. Those that somebody else
   * makes at this moment are left out, and found when they are asked for again.
   */
  @Select(
      """
      with asked as (
        select * from unnest(#{works}, #{kinds}, #{keys}) as q (publication, kind, key)),
      made as (
        insert into occasion (publication, kind, key)
        select distinct publication, kind, key from asked order by 1, 2, 3
        on conflict do nothing returning publication, kind, key, id)
      select o.publication, o.kind, o.key, o.id from occasion o join asked a
        on a.publication = o.publication and a.kind = o.kind and a.key = o.key
      union select publication, kind, key, id from made
      """)
  List<Again> comings(Integer[] works, String[] kinds, String[] keys);

  /** Of a work or of what was merged into it; the first that was made. */
  @Select(
      """
      select o.id from occasion o join publication p on p.id = o.publication
      where (p.id = #{work} or p.canonical = #{work}) and o.kind = #{kind} and o.key = #{key}
      order by o.id limit 1
      """)
  Integer occasion(int work, String kind, String key);

  /** An occasion of a publication. */
  record Again(int publication, String kind, String key, int id) {}

  @Select(
      """
      insert into review_event
        (command, membership, occasion, publication, what, reason, undoes, at)
      values (#{command}, #{membership}, #{occasion}, #{publication}, #{what}, #{reason},
        #{undoes}, #{now})
      returning id
      """)
  int add(NewEvent row);

  @Select("select occasion from review_event where id = #{event} and membership = #{membership}")
  Integer occasionOf(int event, int membership);

  /** The same mark without a reason on many occasions; answers the events. */
  @Select(
      """
      insert into review_event (command, membership, occasion, publication, what, reason, at)
      select #{command}, #{membership}, q.occasion, q.publication, #{what}, '', #{now}
      from unnest(#{occasions}, #{publications}) as q (occasion, publication) order by q.occasion
      returning id
      """)
  List<Integer> addAll(
      UUID command,
      int membership,
      Integer[] occasions,
      Integer[] publications,
      String what,
      Instant now);

  /** Takes events of a member back; answers their occasions. */
  @Select(
      """
      insert into review_event (command, membership, occasion, publication, what, reason, undoes, at)
      select #{command}, membership, occasion, publication, 'undo', '', id, #{now}
      from review_event where id = any(#{events}) and membership = #{membership} order by id
      returning occasion
      """)
  List<Integer> undoAll(UUID command, int membership, Integer[] events, Instant now);

  /** Puts the lamps of a member on occasions where the events leave them. */
  @Update(
      """
      with standing as (
        select e.occasion, max(e.id) as event from review_event e
        where e.membership = #{membership} and e.occasion = any(#{occasions})
          and e.what <> 'undo'
          and not exists (select 1 from review_event u where u.undoes = e.id)
        group by e.occasion),
      gone as (
        delete from lamp where membership = #{membership} and occasion = any(#{occasions})
          and occasion not in (select occasion from standing))
      insert into lamp (membership, occasion, event)
      select #{membership}, occasion, event from standing order by occasion
      on conflict (membership, occasion) do update set event = excluded.event
      """)
  void settle(int membership, Integer[] occasions);

  /** The mark of a member that is in force on an occasion of a work. */
  @Select(
      """
      select l.event, l.occasion, e.what, e.reason
      from occasion o join publication p on p.id = o.publication
      join lamp l on l.occasion = o.id join review_event e on e.id = l.event
      where (p.id = #{publication} or p.canonical = #{publication})
        and o.kind = #{kind} and o.key = #{key} and l.membership = #{membership}
      order by l.event desc limit 1
      """)
  InForce inForce(int membership, int publication, String kind, String key);

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
      """
          + SAID
          + """
            from same s join lamp l on l.occasion = s.id
            """
          + TOLD)
  List<MarkRow> onOccasions(int group, int reader, Integer[] occasions);

  @Select(
      """
      with asked as (
        select id, coalesce(canonical, id) as work from publication
        where id = any(#{publications})),
      same as (
        select id as asked, work as part from asked
        union
        select a.id, p.id from asked a join publication p on p.canonical = a.work)
      """
          + SAID
          + """
            from same s join occasion o on o.publication = s.part and o.kind = 'first coming'
            join lamp l on l.occasion = o.id
            """
          + TOLD)
  List<MarkRow> onPublications(int group, int reader, Integer[] publications);

  record RaisedRow(int publication, @Nullable String name, String reason, Instant at) {}

  /**
   * What others brought to the group with <i>raise</i>, where that stands and the member has said
   * nothing of the work since; the latest first.
   */
  @Select(
      """
      select w.work as publication, w.name, w.reason, w.at
      from (
        select coalesce(p.canonical, p.id) as work,
          case when m.left_at is null then m.name end as name, e.reason, e.at, e.id
        from membership m join review_event e on e.membership = m.id and e.what = 'raise'
        join lamp l on l.membership = m.id and l.occasion = e.occasion and l.event = e.id
        join occasion o on o.id = e.occasion join publication p on p.id = o.publication
        where m.grp = #{group} and m.id <> #{membership}) w
      where not exists (
        select 1 from publication q join occasion x on x.publication = q.id
        join lamp y on y.occasion = x.id
        where (q.id = w.work or q.canonical = w.work) and y.membership = #{membership}
          and y.event > w.id)
      order by w.id desc limit #{most}
      """)
  List<RaisedRow> raised(int group, int membership, int most);

  /** {@code kept}: by somebody, whatever others say. */
  record DecidedRow(int work, boolean kept) {}

  /**
   * Works that members kept or passed when they first came, as it stood at a moment; what was
   * decided first is first.
   */
  @Select(
      """
      with said as (
        select distinct on (work, e.membership) coalesce(p.canonical, p.id) as work, e.id, e.what
        from membership m join review_event e on e.membership = m.id
        join occasion o on o.id = e.occasion and o.kind = 'first coming'
        join publication p on p.id = o.publication
        where m.grp = #{group} and e.at < #{at} and e.what <> 'undo' and not exists (
          select 1 from review_event u where u.undoes = e.id and u.at < #{at})
        order by work, e.membership, e.at desc, e.id desc)
      select work, bool_or(what = 'keep') as kept from said
      where what in ('keep', 'pass') group by work order by max(id), work
      """)
  List<DecidedRow> decided(int group, Instant at);

  @Select("select distinct membership from review_event order by 1")
  List<Integer> reviewers();

  @Select(
      """
      select id, occasion, what, undoes, reason, at from review_event
      where membership = #{membership} order by id
      """)
  List<Event> events(int membership);

  @Select("select occasion, event from lamp where membership = #{membership} order by occasion")
  List<LampRow> lamps(int membership);
}
