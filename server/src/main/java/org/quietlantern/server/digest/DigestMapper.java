package org.quietlantern.server.digest;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.core.mail.Patience;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface DigestMapper {
  /**
   * A member and when they are written to.
   *
   * @param days as in ISO 8601, {@code hours} as {@code 07:00:00}, both in the zone
   * @param due the moment that has come; none where it is still to be worked out
   * @param from rounds that closed before are no news to them
   * @param told until when what waits was told, or was there when they joined
   * @param roundsTold when rounds were last told
   * @param mayWrite whether they get letters now: they want them, are here, and letters arrive
   */
  record Reader(
      int membership,
      String pid,
      String group,
      int account,
      String email,
      String zone,
      Integer[] days,
      String[] hours,
      boolean ofNothing,
      @Nullable Instant due,
      Instant from,
      Instant told,
      @Nullable Instant roundsTold,
      boolean mayWrite) {}

  String READERS =
      """
      select m.id as membership, m.pid, g.pid as "group", a.id as account, a.email, a.zone,
        a.letter_days::integer[] as days, a.letter_hours::text[] as hours,
        a.letters_of_nothing as of_nothing, m.digest_due as due,
        coalesce(m.rounds_from, m.joined) as "from",
        coalesce(m.told, m.joined) as told, m.rounds_told,
        a.letters and a.returned <
      """
          + Patience.RETURNS
          + """
             and not exists (select 1 from absence b
          where b.membership = m.id and (#{now}::timestamptz at time zone a.zone)::date
            between b.from_day and coalesce(b.to_day, 'infinity')) as may_write
      from membership m join account a on a.id = m.account join grp g on g.id = m.grp
      where m.left_at is null
      """;

  /** Those whose next moment is not worked out. */
  @Select(READERS + " and m.digest_due is null order by m.id limit #{most}")
  List<Reader> withoutMoment(Instant now, int most);

  @Select(READERS + " and m.digest_due <= #{now} order by m.digest_due, m.id limit #{most}")
  List<Reader> due(Instant now, int most);

  /** Those who want to hear at once, and have a round to hear of. */
  @Select(
      READERS
          + """
             and a.letters and a.letters_at_once and exists (
              select 1 from round d join alert w on w.id = d.alert
              where w.grp = m.grp and d.closed > coalesce(m.rounds_told, m.rounds_from, m.joined))
            order by m.id
            """)
  List<Reader> atOnce(Instant now);

  /** Answers 0 where another process dealt with the moment meanwhile. */
  @Update(
      """
      update membership set digest_due = #{next}
      where id = #{reader.membership} and digest_due is not distinct from #{reader.due}
      """)
  int dealWith(Reader reader, Instant next);

  @Update("update membership set rounds_told = #{now} where id = #{membership}")
  void roundsTold(int membership, Instant now);

  @Update("update membership set told = #{now} where id = #{membership}")
  void told(int membership, Instant now);

  /** Answers none where there is one of that moment already. */
  @Select(
      """
      insert into digest (membership, day, moment, at)
      values (#{membership}, #{day}, #{moment}, #{now}) on conflict do nothing returning id
      """)
  Long add(int membership, LocalDate day, String moment, Instant now);

  @Update("update digest set letter = #{letter} where id = #{digest}")
  void wrote(long digest, long letter);

  @Insert(
      """
      insert into digest_item (membership, arrival, digest)
      select #{membership}, a, #{digest} from unnest(#{arrivals}) a on conflict do nothing
      """)
  void addItems(int membership, long digest, Integer[] arrivals);

  /** Whoever the member (public id) is, gets no letter of any group; 0: there is nobody. */
  @Update(
      """
      update account set letters = false
      where id = (select account from membership where pid = #{membership})
      """)
  int stopAll(String membership);

  /** An arrival that a member was not told of yet, as an alert found it. */
  record Untold(
      int arrival,
      int occasion,
      String kind,
      String key,
      int publication,
      String findingClass,
      String words,
      String round,
      String alert,
      String alertName,
      String strategy) {
    Coming on() {
      return Coming.stored(kind, key);
    }
  }

  /**
   * Of rounds that closed after a moment.
   *
   * @param all whether the member gets what was set for everybody
   */
  @Select(
      """
      select r.id as arrival, r.occasion, o.kind, o.key,
        coalesce(p.canonical, p.id) as publication,
        n.class as finding_class, n.words::text, d.pid as round, a.pid as alert,
        s.name as alert_name, v.strategy::text
      from round d join alert a on a.id = d.alert join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search
      join finding n on n.round = d.id join arrival r on r.id = n.arrival
      join occasion o on o.id = r.occasion join publication p on p.id = o.publication
      left join alert_receiver c on c.alert = a.id and c.membership = #{membership}
      where a.grp = #{group} and d.closed > #{since}
        and coalesce(c.receives, a.for_all and #{all})
        and not exists (select 1 from digest_item i
          where i.membership = #{membership} and i.arrival = r.id)
      order by lower(s.name), a.id, r.came desc, n.id desc
      """)
  List<Untold> untold(int group, int membership, boolean all, Instant since);
}
