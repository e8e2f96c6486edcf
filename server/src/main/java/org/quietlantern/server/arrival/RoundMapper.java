package org.quietlantern.server.arrival;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.core.review.Coverage;
import org.quietlantern.core.review.Covers;
import org.quietlantern.core.watch.Coming;

@Mapper
interface RoundMapper {
  record Row(
      int id,
      String pid,
      int n,
      Instant opens,
      Instant closes,
      Instant closed,
      int alert,
      String alertPid,
      String alertName,
      int folder,
      String folderPid,
      String folderName,
      int asked,
      String covers,
      int arrivals,
      int covered,
      int nobody,
      Instant waitingSince) {
    Coverage.Asked wanted() {
      return RoundMapper.wanted(asked, covers);
    }
  }

  private static Coverage.Asked wanted(int asked, String covers) {
    return new Coverage.Asked(asked, Covers.named(covers).orElseThrow());
  }

  record FoundRow(
      int round,
      int occasion,
      int publication,
      String kind,
      String key,
      String findingClass,
      String words,
      boolean hereSince,
      Instant came) {
    Coming on() {
      return Coming.stored(kind, key);
    }

    /** Whether lamps are to be lit for it: not what another alert found, or what is only told. */
    boolean isOwed() {
      return !hereSince && on().occasion().isToReview();
    }
  }

  record Due(int id, int alert) {}

  String ROUNDS =
      """
      select r.id, r.pid, r.n, r.opens, r.closes, r.closed, a.id as alert, a.pid as alert_pid,
        s.name as alert_name, a.folder, coalesce(f.pid, '') as folder_pid,
        coalesce(f.name, '') as folder_name, a.asked, alert_covers(a) as covers,
        r.arrivals, r.covered, r.nobody, r.waiting_since
      from round r join alert a on a.id = r.alert join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search
      left join folder f on f.id = a.folder and not folder_closed(f.id)
      where a.grp = #{group}
      """;

  String FOUND =
      """
      select n.round, r.occasion, coalesce(p.canonical, p.id) as publication, o.kind, o.key,
        n.class as finding_class, n.words::text, n.here_since, r.came
      from finding n join arrival r on r.id = n.arrival join occasion o on o.id = r.occasion
      join publication p on p.id = o.publication
      """;

  /** Rounds with something in them: those that gather, then the latest closed. */
  @Select(ROUNDS + " and r.found " + AFTER)
  List<Row> page(int group, int before, int most);

  @Select(ROUNDS + " and r.id = any(#{rounds})")
  List<Row> rows(int group, Integer[] rounds);

  /** Rounds with something in them that closed in a stretch of time, the first of them first. */
  @Select(
      ROUNDS
          + """
            and r.found and (#{alert}::text is null or a.pid = #{alert})
            and (r.closed >= #{from} and r.closed < #{to} or #{gathering} and r.closed is null)
            order by r.closed nulls last, r.opens, r.id
            """)
  List<Row> between(int group, String alert, Instant from, Instant to, boolean gathering);

  /** When the first round with something in it closed. */
  @Select(
      """
      select min(r.closed) from round r join alert a on a.id = r.alert
      where a.grp = #{group} and r.found
      """)
  Instant firstClosed(int group);

  /** {@code waiting}: how many arrivals; {@code whole}: in all rounds together. */
  record Waits(int round, int waiting, int whole) {}

  /** In the order of the list of rounds. */
  String AFTER =
      """
      and (#{before} = 0 or
        (coalesce(r.closed, 'infinity'), r.opens, r.id) <
        (select coalesce(closed, 'infinity'), opens, id from round where id = #{before}))
      order by r.closed desc nulls first, r.opens desc, r.id desc limit #{most}
      """;

  String WAITS =
      """
      select r.id as round, r.waiting, (select sum(waiting)::int from those) as whole
      from those r where true
      """;

  /** Rounds in which a member owes something. */
  @Select(
      """
      with those as (
        select r.id, r.opens, r.closed,
          r.arrivals - coalesce(m.reviewed + m.spared, 0) as waiting
        from round r join alert a on a.id = r.alert
        left join round_member m on m.round = r.id and m.membership = #{membership}
        where a.grp = #{group} and r.found and r.arrivals > coalesce(m.reviewed + m.spared, 0))
      """
          + WAITS
          + AFTER)
  List<Waits> owedIn(int group, int membership, int before, int most);

  /** Rounds in which something rests for a member. */
  @Select(
      """
      with those as (
        select r.id, r.opens, r.closed, m.rested as waiting
        from round r join alert a on a.id = r.alert
        join round_member m on m.round = r.id and m.membership = #{membership}
        where a.grp = #{group} and r.found and m.rested > 0)
      """
          + WAITS
          + AFTER)
  List<Waits> restedIn(int group, int membership, int before, int most);

  /** How much rests for a member in all rounds together. */
  @Select(
      """
      select coalesce(sum(m.rested), 0)::int from round r join alert a on a.id = r.alert
      join round_member m on m.round = r.id and m.membership = #{membership}
      where a.grp = #{group} and r.found
      """)
  int rested(int group, int membership);

  /** Rounds with something that nobody has seen. */
  @Select(
      """
      with those as (
        select r.id, r.opens, r.closed, r.nobody as waiting
        from round r join alert a on a.id = r.alert
        where a.grp = #{group} and r.found and r.nobody > 0)
      """
          + WAITS
          + AFTER)
  List<Waits> unseenIn(int group, int before, int most);

  @Select(
      """
      select coalesce(sum(r.nobody), 0)::int from round r join alert a on a.id = r.alert
      where a.grp = #{group} and r.found
      """)
  int unseen(int group);

  /** Whatever rounds of a group works stand in, the latest first. */
  @Select(
      FOUND
          + """
             where r.grp = #{group}
              and (p.id = any(#{publications}) or p.canonical = any(#{publications}))
            order by n.id desc
            """)
  List<FoundRow> foundOf(int group, Integer[] publications);

  /** What came to a group again, on occasions of some kinds, the latest first. */
  @Select(
      FOUND
          + """
             where r.grp = #{group} and o.kind <> 'first coming' and o.kind = any(#{kinds})
            order by r.came desc, n.id desc
            """)
  List<FoundRow> foundAgain(int group, String[] kinds);

  /** How many come after a round in that list. */
  @Select(
      """
      select count(*) from round r join alert a on a.id = r.alert
      where a.grp = #{group} and r.found
        and (coalesce(r.closed, 'infinity'), r.opens, r.id) <
          (select coalesce(closed, 'infinity'), opens, id from round where id = #{round})
      """)
  int after(int group, int round);

  /** What a member owes in all rounds together. */
  @Select(
      """
      select coalesce(sum(r.arrivals - coalesce(m.reviewed + m.spared, 0)), 0)::int
      from round r join alert a on a.id = r.alert
      left join round_member m on m.round = r.id and m.membership = #{membership}
      where a.grp = #{group} and r.found
      """)
  int owed(int group, int membership);

  /** The first round in the order of the list in which a member owes something. */
  @Select(
      """
      select r.pid from round r join alert a on a.id = r.alert
      left join round_member m on m.round = r.id and m.membership = #{membership}
      where a.grp = #{group} and r.found and r.arrivals > coalesce(m.reviewed + m.spared, 0)
      order by r.closed desc nulls first, r.opens desc, r.id desc limit 1
      """)
  String firstOwed(int group, int membership);

  /**
   * What a member owes, by alert; {@code round}: the first of its rounds in the order of the list.
   */
  @Select(
      """
      select a.pid as alert, s.name, count(*)::int as rounds,
        sum(r.arrivals - coalesce(m.reviewed + m.spared, 0))::int as owed, sum(r.nobody)::int as nobody,
        (array_agg(r.pid order by r.closed desc nulls first, r.opens desc, r.id desc))[1] as round
      from round r join alert a on a.id = r.alert join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search
      left join round_member m on m.round = r.id and m.membership = #{membership}
      where a.grp = #{group} and r.found and r.arrivals > coalesce(m.reviewed + m.spared, 0)
      group by a.pid, s.name order by owed desc, lower(s.name), a.pid
      """)
  List<Arrivals.AlertOwed> owing(int group, int membership);

  /**
   * First comings of a group by day of its zone, each work once.
   *
   * @param zone of the group, by its name in the IANA database
   */
  @Select(
      """
      select day, count(*)::int as came, count(*) filter (where lit)::int as lit
      from (
        select min((r.came at time zone #{zone})::date) as day, bool_or(coalesce(
          e.what in ('keep', 'pass', 'raise', 'seen'), false)) as lit
        from arrival r join occasion o on o.id = r.occasion
        join publication p on p.id = o.publication
        left join lamp l on l.occasion = o.id and l.membership = #{membership}
        left join review_event e on e.id = l.event
        where r.grp = #{group} and r.came >= #{since} and o.kind <> all(#{onlyTold})
        group by coalesce(p.canonical, p.id), o.kind, o.key) works
      group by day order by day
      """)
  List<Arrivals.DayCame> cameOn(
      int group, int membership, String zone, Instant since, String[] onlyTold);

  record Reviewed(int round, int membership, int reviewed, int spared) {}

  @Select(
      """
      select round, membership, reviewed, spared from round_member
      where round = any(#{rounds}) order by round, membership
      """)
  List<Reviewed> reviewed(Integer[] rounds);

  record Counted(int id, int grp, int asked, String covers) {
    Coverage.Asked wanted() {
      return RoundMapper.wanted(asked, covers);
    }
  }

  @Select(
      """
      select r.id, a.grp, a.asked, alert_covers(a) as covers from round r join alert a on a.id = r.alert
      where r.id = any(#{rounds}) order by r.id
      """)
  List<Counted> counted(Integer[] rounds);

  /** {@code waitingSince}: moments, or empty. Answers the rounds that were not counted so. */
  @Select(
      """
      with counted as (
        select q.id, q.found, q.arrivals, q.covered, q.nobody,
          nullif(q.since, '')::timestamptz as waiting_since
        from unnest(#{rounds}, #{found}, #{arrivals}, #{covered}, #{nobody}, #{waitingSince})
          as q (id, found, arrivals, covered, nobody, since)),
        other as (
          select r.id from round r join counted q on q.id = r.id
          where (r.found, r.arrivals, r.covered, r.nobody, r.waiting_since)
            is distinct from (q.found, q.arrivals, q.covered, q.nobody, q.waiting_since)
          order by r.id for update of r)
      update round r set found = q.found, arrivals = q.arrivals, covered = q.covered,
        nobody = q.nobody, waiting_since = q.waiting_since
      from counted q join other o on o.id = q.id where r.id = q.id returning r.id
      """)
  List<Integer> count(
      Integer[] rounds,
      Boolean[] found,
      Integer[] arrivals,
      Integer[] covered,
      Integer[] nobody,
      String[] waitingSince);

  /** A member who reviewed nothing yet has no row. Answers the rounds that were not counted so. */
  @Select(
      """
      insert into round_member (round, membership, reviewed, spared, rested)
      select q.round, q.membership, q.reviewed, q.spared, q.rested
      from unnest(#{rounds}, #{members}, #{reviewed}, #{spared}, #{rested})
        as q (round, membership, reviewed, spared, rested)
      where q.reviewed + q.spared > 0 or exists (
        select 1 from round_member m where m.round = q.round and m.membership = q.membership)
      order by q.round, q.membership
      on conflict (round, membership) do update
        set reviewed = excluded.reviewed, spared = excluded.spared, rested = excluded.rested
        where (round_member.reviewed, round_member.spared, round_member.rested)
          <> (excluded.reviewed, excluded.spared, excluded.rested)
      returning round
      """)
  List<Integer> countMembers(
      Integer[] rounds, Integer[] members, Integer[] reviewed, Integer[] spared, Integer[] rested);

  /** What was counted of those who are no members any more, or guests now; group 0: of all. */
  @Update(
      """
      delete from round_member m using membership s
      where s.id = m.membership and (s.left_at is not null or s.role = 'guest')
        and (#{group} = 0 or s.grp = #{group})
      """)
  int forgetOthers(int group);

  @Select(
      """
      select r.id from round r join alert a on a.id = r.alert where a.grp = #{group} order by r.id
      """)
  List<Integer> ofGroup(int group);

  /** Rounds of a group in which a work stands, be it as something merged into it. */
  @Select(
      """
      select distinct n.round from publication p join occasion o on o.publication = p.id
      join arrival r on r.occasion = o.id join finding n on n.arrival = r.id
      where r.grp = #{group} and (p.id = any(#{publications}) or p.canonical = any(#{publications}))
      order by 1
      """)
  List<Integer> roundsWith(int group, Integer[] publications);

  /** Rounds of all groups in which works stand that became one by changes up to a number. */
  @Select(
      """
      select distinct n.round
      from publication_change c join publication a on a.id = c.publication
      join publication p on coalesce(p.canonical, p.id) = coalesce(a.canonical, a.id)
      join occasion o on o.publication = p.id
      join arrival r on r.occasion = o.id join finding n on n.arrival = r.id
      where c.no > #{after} and c.no <= #{upTo} and 'joined' = any(c.kinds)
      order by 1
      """)
  List<Integer> roundsOfMerged(long after, long upTo);

  @Select("select id from round where id > #{after} order by id limit #{most}")
  List<Integer> all(int after, int most);

  @Select("select id from round where alert = #{alert} order by id")
  List<Integer> ofAlert(int alert);

  @Select(ROUNDS + " and r.pid = #{pid}")
  Row find(int group, String pid);

  /** By what the alert of a round searches now. */
  @Select(
      """
      select v.strategy::text from round r join alert a on a.id = r.alert
      join revision v on v.id = a.revision where r.id = #{round}
      """)
  String strategy(int round);

  @Select(ROUNDS + " and a.id = #{alert} and r.closed is not null order by r.n desc limit #{most}")
  List<Row> closed(int group, int alert, int most);

  @Select(
      """
      select g.pid from round r join alert a on a.id = r.alert join grp g on g.id = a.grp
      where r.pid = #{pid}
      """)
  String groupOf(String pid);

  @Select(FOUND + " where n.round = any(#{rounds}) order by r.came desc, n.id desc")
  List<FoundRow> found(Integer[] rounds);

  @Select("select id from round where alert = any(#{alerts}) and closed is null order by id")
  List<Integer> gatheringOf(Integer[] alerts);

  @Select(
      """
      insert into round (pid, alert, n, opens, closes)
      values (#{pid}, #{alert}, 1 + (select coalesce(max(n), 0) from round where alert = #{alert}),
        #{opens}, #{closes}) returning id
      """)
  int open(String pid, int alert, Instant opens, Instant closes);

  @Select(
      """
      select r.id, r.alert from round r join alert a on a.id = r.alert
      where r.closed is null and r.closes <= #{now} and a.state = 'watching'
      order by r.closes, r.id
      """)
  List<Due> due(Instant now);

  @Update("update round set closes = #{closes} where alert = #{alert} and closed is null")
  void reschedule(int alert, Instant closes);

  @Select("select id as round, closes from round where alert = #{alert} and closed is null")
  Rounds.Gathering gathering(int alert);

  @Update("update round set closed = null, closes = #{closes} where id = #{round}")
  void goOn(Rounds.Gathering gathering);

  @Delete("delete from round_source where round = #{round}")
  void forgetSources(int round);

  @Update("update round set closed = #{now} where id = #{round} and closed is null")
  int close(int round, Instant now);

  @Insert(
      """
      insert into round_source (round, source, checked)
      select r.id, h.source, max(h.ended) from round r join harvest h
        on h.state = 'done' and h.ended >= r.opens and h.ended <= r.closed
      where r.id = #{round} group by r.id, h.source
      """)
  void noteSources(int round);

  /** Answers the occasions that came to the group with this. */
  @Select(
      """
      insert into arrival (grp, occasion, came)
      select #{group}, o, #{now} from unnest(#{occasions}) o order by o
      on conflict (grp, occasion) do nothing returning occasion
      """)
  List<Integer> arrive(int group, Integer[] occasions, Instant now);

  /**
   * Why arrivals stand in the rounds that gather; those of an alert that are there already stay as
   * they are.
   */
  @Insert(
      """
      insert into finding (arrival, alert, round, revision, class, words, here_since, at)
      select r.id, q.alert, o.id, q.revision, q.class, q.words::jsonb, q.here_since, #{now}
      from unnest(#{alerts}, #{revisions}, #{occasions}, #{classes}, #{words}, #{hereSince})
        with ordinality as q (alert, revision, occasion, class, words, here_since, n)
      join round o on o.alert = q.alert and o.closed is null
      join arrival r on r.grp = #{group} and r.occasion = q.occasion order by q.n
      on conflict (arrival, alert) do nothing
      """)
  int addFindings(
      int group,
      Integer[] alerts,
      Integer[] revisions,
      Integer[] occasions,
      String[] classes,
      String[] words,
      Boolean[] hereSince,
      Instant now);

  @Select(
      """
      select exists (
        select 1 from finding f join arrival a on a.id = f.arrival
        join review_event e on e.occasion = a.occasion
        join membership m on m.id = e.membership and m.grp = a.grp
        where f.alert = #{alert} and e.at >= f.at)
      """)
  boolean isMarked(int alert);

  @Delete(
      """
      with gone as (delete from finding where alert = #{alert} returning arrival)
      delete from arrival a using gone
      where a.id = gone.arrival and not exists (
        select 1 from finding f where f.arrival = a.id and f.alert <> #{alert})
      """)
  void takeBack(int alert);
}
