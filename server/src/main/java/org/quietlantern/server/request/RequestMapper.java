package org.quietlantern.server.request;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface RequestMapper {
  /**
   * @param lender the library that is asked, by its name
   * @param reached whether it takes requests by itself
   * @param publication row number, as the others are; absent for a work that is not here
   * @param described such a work as an OpenURL
   */
  record Row(
      int id,
      String pid,
      int grp,
      @Nullable Integer publication,
      @Nullable String described,
      String state,
      String note,
      Instant asked,
      @Nullable Instant ended,
      @Nullable String reference,
      @Nullable String question,
      @Nullable String toTell,
      @Nullable String reason,
      @Nullable String link,
      @Nullable Instant until,
      @Nullable String trouble,
      String use,
      boolean kept,
      @Nullable Integer text,
      boolean author,
      String lender,
      boolean reached) {}

  String COLUMNS =
      "select id, pid, grp, publication, described, state, note, asked, ended, reference, question, to_tell,"
          + " reason, link, until, trouble, use, kept, text, author, lender,"
          + " not author and exists (select 1 from grp g, jsonb_array_elements(g.lenders) l"
          + "   where g.id = grp and l->>'name' = lender and l->>'address' <> '') as reached"
          + " from copy_request ";

  @Select(
      COLUMNS
          + """
          where grp = #{group} and publication = any(#{publications}) and author = #{author}
            and state in ('asked', 'sent', 'asked back')
          """)
  Row open(int group, Integer[] publications, boolean author);

  @Select(
      COLUMNS
          + """
          where grp = #{group} and md5(described) = md5(#{described})
            and state in ('asked', 'sent', 'asked back')
          """)
  Row openDescribed(int group, String described);

  @Select(COLUMNS + "where grp = #{group} and md5(described) = md5(#{described}) order by id desc")
  List<Row> ofDescribed(int group, String described);

  @Select(COLUMNS + "where grp = #{group} and pid = #{pid}")
  Row find(int group, String pid);

  @Select(COLUMNS + "where id = #{id}")
  Row get(int id);

  /** Of a work and of what was joined with it: the newest first. */
  @Select(COLUMNS + "where grp = #{group} and publication = any(#{publications}) order by id desc")
  List<Row> of(int group, Integer[] publications);

  /**
   * The newest first, {@code most} of them; {@code states} none: all. {@code mine} 0: anybody's;
   * {@code before} 0: from the newest.
   */
  @Select(
      COLUMNS
          + """
          c where grp = #{group} and (cardinality(#{states}::text[]) = 0 or state = any(#{states}))
            and (#{before} = 0 or id < #{before})
            and (#{mine} = 0 or exists (select 1 from copy_request_member m
              where m.request = c.id and m.membership = #{mine}))
          order by id desc limit #{most}
          """)
  List<Row> page(int group, String[] states, int mine, int before, int most);

  /** Delivered to a member since a moment, the latest first. */
  @Select(
      COLUMNS
          + """
          c where state = 'delivered' and ended > #{since} and exists (
            select 1 from copy_request_member m
            where m.request = c.id and m.membership = #{membership})
          order by ended desc, id desc limit #{most}
          """)
  List<Row> delivered(int membership, Instant since, int most);

  record Count(String state, int n) {}

  @Select(
      """
      select state, count(*) as n from copy_request c
      where grp = #{group} and (#{mine} = 0 or exists (select 1 from copy_request_member m
        where m.request = c.id and m.membership = #{mine}))
      group by state order by state
      """)
  List<Count> counts(int group, int mine);

  /** One that is made: of a publication, or of what an OpenURL describes. */
  record New(
      String pid,
      int group,
      @Nullable Integer publication,
      @Nullable String described,
      String note,
      String lender,
      Instant now) {}

  @Select(
      """
      insert into copy_request
        (pid, grp, publication, described, state, note, lender, asked, system_due)
      values (#{pid}, #{group}, #{publication}, #{described}, 'asked', #{note}, #{lender}, #{now},
        now())
      returning id
      """)
  int add(New request);

  @Insert(
      """
      insert into copy_request_member (request, membership, at)
      values (#{request}, #{membership}, #{now}) on conflict do nothing
      """)
  int join(int request, int membership, Instant now);

  /** A letter that a member wrote: what comes of it, members say. */
  @Select(
      """
      insert into copy_request (pid, grp, publication, state, note, asked, system_due, author)
      values (#{pid}, #{group}, #{publication}, 'sent', '', #{now}, now(), true) returning id
      """)
  int addLetter(String pid, int group, int publication, Instant now);

  /** One that nobody wants and that no library has. */
  @Update(
      "delete from copy_request where id = #{id} and (state = 'asked' or author and state = 'sent')")
  int drop(int id);

  @Update(
      "delete from copy_request_member where request = #{request} and membership = #{membership}")
  int leave(int request, int membership);

  record Wanting(int request, int membership, Instant at) {}

  @Select(
      """
      select request, membership, at from copy_request_member where request = any(#{requests})
      order by request, at, membership
      """)
  List<Wanting> wanting(Integer[] requests);

  /**
   * What a library said; {@code from}: how the request stood when it was asked, and what it was
   * told.
   */
  record Said(
      int id,
      String from,
      @Nullable String told,
      String state,
      String reference,
      @Nullable String question,
      @Nullable String reason,
      @Nullable String link,
      @Nullable Instant until,
      @Nullable Instant ended,
      String use,
      boolean kept) {}

  /** Nothing happens where a member did something to it meanwhile. */
  @Update(
      """
      update copy_request set state = #{state}, ended = #{ended}, reference = #{reference},
        question = coalesce(#{question}, question), to_tell = null, reason = #{reason},
        link = #{link}, until = #{until}, use = #{use}, kept = #{kept}, trouble = null
      where id = #{id} and state = #{from} and to_tell is not distinct from #{told}
      """)
  int said(Said said);

  /** How it stands by a member's word, or by the calendar; {@code from}: as it stood. */
  @Update(
      """
      update copy_request set state = #{state}, reason = #{reason}, link = coalesce(#{link}, link),
        ended = #{ended}
      where id = #{id} and state = #{from}
      """)
  int move(
      int id,
      String from,
      String state,
      @Nullable String reason,
      @Nullable String link,
      @Nullable Instant ended);

  /** Nothing happens where it stands elsewhere by now. */
  @Update(
      """
      update copy_request set state = #{state}, reason = #{reason}, link = #{link},
        ended = #{ended}
      where id = #{request} and state = #{later}
      """)
  int restore(CopyRequests.ToldBefore before);

  /** What was not told yet is told with it. */
  @Update(
      """
      update copy_request set to_tell = concat_ws(' ', to_tell, #{text}::text), state = 'sent'
      where id = #{id}
      """)
  void answer(int id, String text);

  @Update("update copy_request set trouble = #{trouble} where id = #{id}")
  void trouble(int id, String trouble);

  /**
   * Those that a library has to be told or asked about: anew when an hour of the calendar has gone
   * by, and when somebody wants to know.
   */
  @Select(
      """
      select r.id from copy_request r join grp g on g.id = r.grp
      where r.system_due <= #{now} and (r.looked is null or r.looked <= #{old}) and (
        (r.state = 'asked' and not r.author and exists (
          select 1 from jsonb_array_elements(g.lenders) l
          where l->>'name' = r.lender and l->>'address' <> ''))
        or (r.reference is not null and r.state in ('sent', 'asked back'))
        or (r.state = 'delivered' and r.text is null and r.until < #{today})
        or (r.state = 'delivered' and r.kept and r.text is null and r.link is not null
          and r.publication is not null
          and r.ended > #{today}::timestamptz - interval '14 days'))
      order by r.system_due, r.id limit #{most}
      """)
  List<Integer> due(Instant now, Instant old, Instant today, int most);

  @Update("update copy_request set looked = #{today}, system_due = #{due} where id = #{id}")
  void looked(int id, Instant today, Instant due);

  /** It is here; {@code text}: which text of the group it became. */
  @Update("update copy_request set text = #{text}, trouble = null where id = #{id}")
  void here(int id, int text);

  /** To be looked at next. */
  @Update("update copy_request set looked = null, system_due = now() where id = #{id}")
  void hurry(int id);

  /** How many days of the calendar a library took, in the zone of the group. */
  record Took(String lender, int days) {}

  /** The newest 200 deliveries of each library. */
  @Select(
      """
      select lender, days from (
        select id, lender,
          (ended at time zone #{zone})::date - (asked at time zone #{zone})::date as days,
          row_number() over (partition by lender order by id desc) as n
        from copy_request
        where grp = #{group} and state in ('delivered', 'expired') and ended is not null
          and not author) r
      where n <= 200 order by lender, id desc
      """)
  List<Took> waits(int group, String zone);

  /** Libraries that said no, or sent what could not be fetched in time. */
  @Select(
      """
      select distinct lender from copy_request
      where grp = #{group} and publication = any(#{publications}) and not author
        and state in ('refused', 'expired')
      order by lender
      """)
  List<String> inVain(int group, Integer[] publications);
}
