package org.quietlantern.server.harvest;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.core.publication.SourceRecord;

@Mapper
interface HarvestMapper {
  /** What came of asking a source once. */
  record NewTry(
      int source,
      Instant at,
      int pages,
      int taken,
      int changed,
      int setAside,
      String error,
      String movedTo) {}

  record Source(
      int id,
      String name,
      String baseUrl,
      String format,
      String oaiSet,
      boolean paused,
      int everyHours,
      Integer hourFrom,
      Integer hourTo,
      boolean whole) {}

  record Row(int id, String fromStamp, String token, String firstResponse, int taken) {}

  /** A record as it was supplied. */
  record Kept(
      int id, String identifier, String format, String raw, String datestamp, boolean deleted) {
    SourceRecord record() {
      return new SourceRecord(identifier, format, raw, datestamp, deleted);
    }
  }

  @Select(
      """
      select id, identifier, format, raw, datestamp, deleted from source_record
      where source = #{source} and id > #{after} order by id limit #{most}
      """)
  List<Kept> kept(int source, int after, int most);

  @Select("select reading_edition from installation")
  int readingEdition();

  @Update("update installation set reading_edition = #{edition}")
  void setReadingEdition(int edition);

  String SOURCES =
      """
      select id, name, base_url, format, oai_set, paused, every_hours, hour_from, hour_to, whole
      from source
      """;

  /** Of groups, too. */
  @Select(SOURCES + " order by rank, id")
  List<Source> all();

  /** Those that are asked for what they have. */
  @Select(SOURCES + " where grp is null and not files and ending is null order by rank, id")
  List<Source> sources();

  @Select(
      """
      insert into source (key, name, base_url, format, rank)
      values (#{key}, #{name}, #{baseUrl}, #{format}, #{rank})
      on conflict (key) do update set base_url = excluded.base_url returning id
      """)
  int addSource(String key, String name, String baseUrl, String format, int rank);

  @Update("update source set abstracts_open = #{toAnyone} where key = #{key}")
  void showAbstracts(String key, boolean toAnyone);

  @Select(
      """
      select id, from_stamp, token, first_response, taken from harvest
      where source = #{source} and state <> 'done' order by id desc limit 1
      """)
  Row unfinished(int source);

  @Select(
      """
      select first_response from harvest
      where source = #{source} and state = 'done' order by id desc limit 1
      """)
  String lastResponse(int source);

  /** When a source that had no time may be asked again, of system time; null if at once. */
  @Select(
      """
      select system_not_before from harvest where source = #{source} order by id desc limit 1
      """)
  Instant notBefore(int source);

  /**
   * The last change before any harvest or load that is still running; the last of all without one.
   */
  @Select(
      """
      select coalesce(
        (select min(after_no) from (
          select after_no from harvest where state = 'running'
          union all select after_no from load where state = 'running') under_way),
        (select max(no) from publication_change), 0)
      """)
  long settled();

  /** When the last harvest ended well; null before the first. */
  @Select("select max(ended) from harvest where state = 'done'")
  Instant lastEnded();

  /** Sources whose harvest ended well since. */
  @Select(
      """
      select distinct source from harvest where state = 'done' and ended > #{since} order by 1
      """)
  List<Integer> endedSince(Instant since);

  @Update("update source set format = #{format} where id = #{source}")
  void setFormat(int source, String format);

  @Select(
      """
      select started from harvest where source = #{source} and state = 'done'
      order by id desc limit 1
      """)
  Instant lastStarted(int source);

  @Select(
      """
      insert into harvest (source, from_stamp, state, started, system_started, after_no)
      values (#{source}, #{from}, 'running', #{now}, #{system},
        (select coalesce(max(no), 0) from publication_change)) returning id
      """)
  int start(int source, String from, Instant now, Instant system);

  /** Another try at it. */
  @Update(
      """
      update harvest set state = 'running', system_started = #{system}, before_try = taken
      where id = #{id}
      """)
  void goOn(int id, Instant system);

  @Update("update source set whole = false where id = #{source}")
  void forgetWhole(int source);

  /** Whether a steward lets it be asked on. */
  @Select("select not paused and ending is null from source where id = #{source}")
  boolean mayGoOn(int source);

  @Update(
      """
      update harvest set token = #{token}, taken = taken + #{taken}, changed = changed + #{changed},
        expected = coalesce(#{expected}, expected),
        first_response = coalesce(first_response, #{response}), state = 'running', error = null
      where id = #{id}
      """)
  void progress(Progress row);

  /** How far a harvest is. {@code expected}: null where the source does not say. */
  record Progress(
      int id, String token, int taken, int changed, Integer expected, String response) {}

  @Update("update harvest set token = null, first_response = null where id = #{id}")
  void startOver(int id);

  @Update(
      """
      update harvest set state = 'done', token = null, ended = #{now}, system_not_before = null,
        failures = 0
      where id = #{id}
      """)
  void finish(int id, Instant now);

  /**
   * {@code cameOn}: whether it brought something. Without that it is asked half as often each time,
   * at last every six hours; never before {@code later}.
   */
  @Update(
      """
      update harvest h set state = 'failed', error = #{error}, ended = #{now}, failures = f.n,
        system_not_before = greatest(#{later}::timestamptz,
          #{system}::timestamptz + make_interval(mins => least(2 ^ least(f.n - 1, 9), 360)::int))
      from (select case when #{cameOn} then 1 else failures + 1 end as n
        from harvest where id = #{id}) f
      where h.id = #{id}
      """)
  void fail(int id, String error, boolean cameOn, Instant now, Instant later, Instant system);

  @Update("update source set asked = #{at} where key = #{key} and grp is null and not files")
  int ask(String key, Instant at);

  @Update("update source set asked = null where id = #{source}")
  void forgetAsking(int source);

  @Select("select asked is not null from source where id = #{source}")
  boolean isAskedFor(int source);

  @Select("select exists (select 1 from harvest where source = #{source} and state = 'running')")
  boolean isRunning(int source);

  @Select("select id from source where key = #{key} and grp is null")
  Integer source(String key);

  /** How often it failed on end, and when it may be asked again, of system time. */
  record Failing(int failures, Instant notBefore) {}

  @Select(
      """
      select failures, system_not_before as not_before from harvest
      where source = #{source} and state = 'failed' and id =
        (select max(id) from harvest where source = #{source})
      """)
  Failing failing(int source);

  @Insert(
      """
      insert into harvest_try (source, at, pages, taken, changed, set_aside, error, moved_to)
      values (#{source}, #{at}, #{pages}, #{taken}, #{changed}, #{setAside}, #{error}, #{movedTo})
      """)
  void addTry(NewTry row);

  /**
   * Tries that brought nothing are told for a while only; those since the last good one stay, for
   * they say since when a source fails.
   */
  @Delete(
      """
      delete from harvest_try
      where source = #{source} and at < #{before} and taken = 0 and changed = 0 and set_aside = 0
        and id < (select max(id) from harvest_try where source = #{source} and error is null)
      """)
  void forgetTries(int source, Instant before);

  /** Before the one with a number, the newest first. */
  @Select(
      """
      select id, at, pages, taken, changed, set_aside, error, moved_to from harvest_try
      where source = #{source} and id < #{before} order by id desc limit #{most}
      """)
  List<SourceTries.Try> tries(int source, int before, int most);

  /** How long ago the tries without a good one between them began. */
  @Select(
      """
      select min(at) from harvest_try where source = #{source} and id > coalesce(
        (select max(id) from harvest_try where source = #{source} and error is null), 0)
      """)
  Instant failingSince(int source);

  @Insert(
      """
      insert into record_set_aside (source, identifier, why, raw, at)
      values (#{source}, #{identifier}, #{why}, #{raw}, #{at})
      on conflict (source, identifier) do update set why = excluded.why, raw = excluded.raw,
        at = excluded.at
      """)
  void setAside(int source, String identifier, String why, String raw, Instant at);

  @Delete(
      "delete from record_set_aside where source = #{source} and identifier = any(#{identifiers})")
  void resolve(int source, String[] identifiers);

  @Select("select count(*) from record_set_aside where source = #{source}")
  int countSetAside(int source);

  @Select(
      """
      select identifier, why, raw, at from record_set_aside
      where source = #{source} and identifier > #{after} order by identifier limit #{most}
      """)
  List<SourceTries.RecordSetAside> recordsSetAside(int source, String after, int most);

  /** A source whose last harvest broke off. */
  record FailingNow(String key, String name, String error) {}

  /** Of the shared ones that are asked by themselves. */
  @Select(
      """
      select s.key, s.name, coalesce(h.error, '') as error from source s
      join harvest h on h.id = (select max(id) from harvest where source = s.id and state <> 'running')
      where s.grp is null and not s.paused and not s.files and h.state = 'failed' order by s.id
      """)
  List<FailingNow> failingNow();
}
