package org.quietlantern.server.alert;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.core.watch.Rhythm;
import org.quietlantern.core.watch.Tells;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface AlertMapper {
  /** An alert as it is set; {@code hour}: at which its rounds close. */
  record NewAlert(
      String pid,
      int group,
      int revision,
      int folder,
      String rhythm,
      LocalTime hour,
      int asked,
      String covers,
      boolean tellsWidened,
      String tells,
      long number,
      byte[] memory,
      int membership,
      Instant now) {}

  record Row(
      int id,
      String pid,
      int grp,
      String zone,
      int revision,
      String strategy,
      String rhythm,
      LocalTime hour,
      String state,
      long number,
      byte[] memory,
      boolean tellsWidened,
      String tells,
      Instant since,
      Instant ran,
      int version) {

    /** Whether it tells what changes of that which its search finds, and not what is new to it. */
    boolean tellsChanges() {
      return tells.equals(Tells.CHANGES.word());
    }

    /** When a round that gathers at a moment closes; null: as soon as something was found. */
    @Nullable
    Instant nextClosing(Instant now) {
      return Rhythm.of(rhythm).nextClosing(now, ZoneId.of(zone), hour).orElse(null);
    }
  }

  record Named(String pid, String name) {}

  @Select(
      """
      select a.pid, s.name from alert a join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search
      where a.grp = #{group} and a.pid = any(#{alerts})
      """)
  List<Named> names(int group, String[] alerts);

  record Line(
      int id,
      String pid,
      String name,
      String search,
      String folderPid,
      String folderName,
      String rhythm,
      LocalTime hour,
      String state,
      int asked,
      String covers,
      boolean tellsWidened,
      String tells,
      String by,
      Instant at,
      int findings,
      Instant nextCloses,
      Instant ran,
      int setAside,
      String failed) {}

  String LINES =
      """
      select a.id, a.pid, s.name, s.pid as search,
        coalesce(f.pid, '') as folder_pid, coalesce(f.name, '') as folder_name,
        a.rhythm, a.hour, a.state, a.asked,
        alert_covers(a) as covers, a.tells_widened, a.tells, m.name as "by", a.at,
        (select count(*) from finding n where n.alert = a.id)::int as findings,
        (select r.closes from round r where r.alert = a.id and r.closed is null) as next_closes,
        a.ran,
        (select count(*) from set_aside w
          where w.alert = a.id and w.resolved is null)::int as set_aside,
        (select u.error from alert_run u where u.alert = a.id order by u.id desc limit 1) as failed
      from alert a join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search
      left join folder f on f.id = a.folder and not folder_closed(f.id)
      join membership m on m.id = a.membership
      where a.grp = #{group}
      """;

  @Select(LINES + " order by a.state = 'ended', lower(s.name), a.id")
  List<Line> list(int group);

  @Select(LINES + " and a.pid = #{pid}")
  Line find(int group, String pid);

  @Select("select g.pid from alert a join grp g on g.id = a.grp where a.pid = #{pid}")
  String groupOf(String pid);

  @Select(
      """
      insert into alert (pid, grp, revision, folder, rhythm, hour, asked, verdicts, apart,
        tells_widened, tells, state, number, memory, membership, at)
      values (#{pid}, #{group}, #{revision}, #{folder}, #{rhythm}, #{hour}, #{asked},
        #{covers} <> 'mark', case when #{covers} = 'apart' then #{now}::timestamptz end, #{tellsWidened}, #{tells}, 'watching', #{number}, #{memory}, #{membership}, #{now})
      on conflict do nothing returning id
      """)
  Integer add(NewAlert row);

  /** An alert and its group, by row numbers. */
  record Behind(int id, int grp) {}

  /** Those that have not seen a change, or have not looked since a harvest ended. */
  @Select(
      """
      select id, grp from alert where state = 'watching'
        and (number < #{settled} or coalesce(ran, at) < #{harvested}::timestamptz)
      order by number, grp, id
      """)
  List<Behind> behind(long settled, Instant harvested);

  /** Of some alerts those that are well: nothing was set aside, and the last run did not fail. */
  @Select(
      WATCHED
          + """
             where a.id = any(#{alerts}) and a.state = 'watching'
               and not exists (select 1 from set_aside w where w.alert = a.id and w.resolved is null)
               and coalesce((select u.error from alert_run u where u.alert = a.id
                 order by u.id desc limit 1), '') = ''
             order by a.id
            """)
  List<Row> well(Integer[] alerts);

  /**
   * Alerts (row numbers, and of which version) that saw everything from one number to another and
   * found nothing. Answers those that were as they are given.
   */
  @Select(
      """
      with same as (
        select a.id from alert a join unnest(#{alerts}, #{versions}) as q (id, version)
          on q.id = a.id and q.version = a.version
        where a.number = #{after} and a.state = 'watching' order by a.id for update of a)
      update alert a set number = greatest(#{upTo}, a.number),
        ran = coalesce(#{ran}::timestamptz, a.ran), version = a.version + 1
      from same where same.id = a.id returning a.id
      """)
  List<Integer> passed(
      Integer[] alerts, Integer[] versions, long after, long upTo, @Nullable Instant ran);

  /** Runs of some alerts that found nothing. */
  @Insert(
      """
      insert into alert_run (alert, after_no, up_to_no, sources, found, millis, error, at)
      select id, #{after}, #{upTo}, #{sources}, 0, 0, '', #{at} from unnest(#{alerts}) as q (id)
      """)
  void addEmptyRuns(Integer[] alerts, long after, long upTo, Integer[] sources, Instant at);

  record Run(
      int alert,
      long afterNo,
      long upToNo,
      Integer[] sources,
      int found,
      int millis,
      String error,
      Instant at) {}

  @Insert(
      """
      <script>
      insert into alert_run (alert, after_no, up_to_no, sources, found, millis, error, at) values
      <foreach collection="runs" item="run" separator=",">
        (#{run.alert}, #{run.afterNo}, #{run.upToNo}, #{run.sources}, #{run.found}, #{run.millis},
          #{run.error}, #{run.at})
      </foreach>
      </script>
      """)
  void addRuns(List<Run> runs);

  @Select(
      """
      select alert, after_no, up_to_no, sources, found, millis, error, at from alert_run
      where alert = #{alert} order by id desc limit #{most}
      """)
  List<Run> runs(int alert, int most);

  /** Of some alerts those whose last run failed. */
  @Select(
      """
      select q.id from unnest(#{alerts}) as q (id)
      where (select error <> '' from alert_run where alert = q.id order by id desc limit 1)
      """)
  List<Integer> lastFailed(Integer[] alerts);

  /** Runs that found nothing are told for a while only. */
  @Delete("delete from alert_run where found = 0 and error = '' and at < #{before}")
  void forgetRuns(Instant before);

  /** Where a run that fails again and again is told once. */
  @Update(
      """
      update alert_run set error = #{error}, at = #{now}, up_to_no = #{upTo}
      where id = (select max(id) from alert_run where alert = #{alert}) and error <> ''
      """)
  int failAgain(int alert, long upTo, String error, Instant now);

  @Select("select number from alert where id = #{id}")
  long number(int id);

  record SetAsideRow(String pid, String title, String why, Instant at) {}

  @Select(
      """
      select p.pid, p.fields ->> 'title' as title, w.why, w.at
      from set_aside w join publication p on p.id = w.publication
      where w.alert = #{alert} and w.resolved is null order by w.at desc, p.id
      """)
  List<SetAsideRow> setAside(int alert);

  /** What an alert could not deal with; {@code edition}: of the reader of records then. */
  record AsideRow(int alert, int publication, int edition) {}

  @Select(
      """
      select alert, publication, edition from set_aside
      where alert = any(#{alerts}) and resolved is null order by alert, publication
      """)
  List<AsideRow> aside(Integer[] alerts);

  @Update(
      """
      update set_aside set resolved = #{now}
      where alert = #{alert} and resolved is null and publication = any(#{publications})
      """)
  void resolve(int alert, Integer[] publications, Instant now);

  /** A work and a group. */
  record Concerned(int work, int grp) {}

  /** Of some works those that somebody of a group kept or passed, or that it has in a folder. */
  @Select(
      """
      with part as (
        select coalesce(canonical, id) as work, id from publication
        where id = any(#{works}) or canonical = any(#{works}))
      select part.work, m.grp from part join occasion o on o.publication = part.id
      join lamp l on l.occasion = o.id join review_event e on e.id = l.event
      join membership m on m.id = l.membership where e.what in ('keep', 'pass')
      union
      select part.work, f.grp from part join item i on i.publication = part.id
      join folder f on f.id = i.folder where f.owner is null and f.ended is null
      """)
  List<Concerned> concerned(Integer[] works);

  /** What watching needs of an alert. */
  String WATCHED =
      """
      select a.id, a.pid, a.grp, g.zone, a.revision, v.strategy::text, a.rhythm, a.hour, a.state,
        a.number, a.memory, a.tells_widened, a.tells, a.at as since, coalesce(a.ran, a.at) as ran,
        a.version
      from alert a join grp g on g.id = a.grp join revision v on v.id = a.revision
      """;

  @Select(WATCHED + " where a.id = #{id}")
  Row byId(int id);

  @Select(WATCHED + " where a.id = #{id} for update of a")
  Row lock(int id);

  /** Of some alerts those that watch, locked. */
  @Select(
      WATCHED
          + """
             where a.id = any(#{alerts}) and a.state = 'watching' order by a.id for update of a
            """)
  List<Row> lockWatching(Integer[] alerts);

  /** The alert that watches by a revision, locked. */
  @Select(WATCHED + " where a.revision = #{revision} and a.state <> 'ended' for update of a")
  Row lockBy(int revision);

  @Update(
      """
      update alert set revision = #{revision}, memory = #{memory}, compared = '',
        version = version + 1
      where id = #{id}
      """)
  void follow(int id, int revision, byte[] memory);

  @Select("select exists (select 1 from finding where revision = #{revision})")
  boolean hasFound(int revision);

  /**
   * What alerts remember after they ran.
   *
   * @param memories in base 64
   * @param told those whose run is told
   */
  @Update(
      """
      update alert a set memory = decode(q.memory, 'base64'), number = greatest(#{upTo}, a.number),
        ran = case when a.id = any(#{told}) then #{now} else a.ran end, version = a.version + 1
      from unnest(#{alerts}, #{memories}) as q (id, memory) where q.id = a.id
      """)
  void remember(Integer[] alerts, String[] memories, long upTo, Integer[] told, Instant now);

  /** What needs no run: the number stays. */
  @Update("update alert set memory = #{memory}, version = version + 1 where id = #{id}")
  void rememberMore(int id, byte[] memory);

  @Update(
      "update alert set state = #{state}, ended = #{ended}, version = version + 1 where id = #{id}")
  void setState(int id, String state, Instant ended);

  /** What a member chooses of an alert. */
  record Chosen(
      String rhythm, LocalTime hour, int asked, String covers, int folder, boolean tellsWidened) {}

  @Select(
      "select a.rhythm, a.hour, a.asked, "
          + " alert_covers(a) as covers, a.folder, a.tells_widened from alert a where a.id = #{id}")
  Chosen chosen(int id);

  @Update(
      """
      update alert set rhythm = #{chosen.rhythm}, hour = #{chosen.hour}, asked = #{chosen.asked},
        verdicts = coalesce(#{chosen.covers}, 'mark') <> 'mark',
        apart = case when #{chosen.covers} = 'apart' then coalesce(apart, #{now}::timestamptz) end,
        folder = #{chosen.folder}, tells_widened = #{chosen.tellsWidened}, version = version + 1
      where id = #{id}
      """)
  void choose(int id, Chosen chosen, Instant now);

  /** The alert that watches a saved search now, if one does. */
  @Select(
      """
      select a.id from alert a join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search
      where s.pid = #{search} and a.state <> 'ended'
      """)
  Integer watching(String search);

  @Select(
      """
      select count(*) from feed f join alert a on f.subject in ('alert:' || a.pid, 'gathering:' || a.pid)
      where a.id = #{id}
      """)
  int feeds(int id);

  @Select("select count(*) from finding where alert = #{id}")
  int findings(int id);

  /** Whether a round of it was closed with something in it, which feeds and letters then told. */
  @Select(
      """
      select exists (select 1 from finding f join round r on r.id = f.round
        where f.alert = #{id} and r.closed is not null)
      """)
  boolean told(int id);

  @Delete("delete from round where alert = #{id}")
  void removeRounds(int id);

  @Delete("delete from alert where id = #{id}")
  void remove(int id);

  @Select("select id from alert where pid = #{pid}")
  Integer id(String pid);

  @Select("select id from alert where state = 'watching' order by id")
  List<Integer> watched();

  /** Of a group, those that did not end. */
  @Select("select id from alert where grp = #{group} and state <> 'ended' order by id")
  List<Integer> openOf(int group);
}
