package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface CatalogueMapper {
  /** Something that the index or an alert could not deal with. */
  record NewSetAside(
      int publication, long no, String what, Integer alert, int edition, String why, Instant now) {}

  /** A record that is kept, and the publication it stands under. */
  record Kept(
      int work,
      byte[] hash,
      boolean withdrawn,
      int id,
      int source,
      String identifier,
      String format,
      String raw,
      String datestamp,
      boolean deleted,
      long supply,
      int rank) {}

  /** {@code asked}: what was asked for; the rest is of what it was merged into, if it was. */
  record Row(
      int asked,
      String askedPid,
      int id,
      String pid,
      int grp,
      Instant came,
      boolean withdrawn,
      String fields,
      long digest) {}

  /** A publication that is here, in which state. */
  record Digest(int id, long digest) {}

  record Change(long no, int publication, String[] kinds) {}

  /** Held to the end of the transaction: the numbers of changes are in commit order. */
  @Select("select 1 from (select pg_advisory_xact_lock(1)) l")
  int lock();

  @Select(
      """
      with touched as (
        select coalesce(p.canonical, p.id) as work
        from source_record r join publication p on p.id = r.publication
        where r.source = #{source} and r.identifier = any(#{identifiers})
        union
        select coalesce(p.canonical, p.id)
        from work_key k join source_record r on r.id = k.source_record
        join publication p on p.id = r.publication
        where k.value = any(#{keys})),
      parts as (
        select work, work as part from touched
        union
        select t.work, p.id from touched t join publication p on p.canonical = t.work)
      select t.work, c.hash, c.withdrawn is not null as withdrawn, r.id, r.source, r.identifier,
        r.format, r.raw, r.datestamp, r.deleted, r.supply, s.rank
      from parts t join publication c on c.id = t.work
      join source_record r on r.publication = t.part join source s on s.id = r.source
      where coalesce(c.grp, 0) = #{group} and coalesce(s.grp, 0) = #{group}
      order by r.id
      """)
  List<Kept> kept(int group, int source, String[] identifiers, String[] keys);

  /** {@code grp}: whose it is; 0: everybody's. */
  record Supplier(int rank, int grp) {}

  @Select("select rank, coalesce(grp, 0) as grp from source where id = #{source}")
  Supplier supplier(int source);

  record Standing(String identifier, int work) {}

  /** Records of a group's source that stand under a shared publication. */
  @Select(
      """
      select r.identifier, c.id as work
      from source_record r join publication p on p.id = r.publication
      join publication c on c.id = coalesce(p.canonical, p.id)
      where r.source = #{source} and r.identifier = any(#{identifiers}) and c.grp is null
      order by r.id
      """)
  List<Standing> standing(int source, String[] identifiers);

  /** What was taken back stands under no shared publication any more. */
  @Update(
      """
      update source_record r set publication = null
      from publication p join publication c on c.id = coalesce(p.canonical, p.id)
      where p.id = r.publication and r.source = #{source}
        and r.identifier = any(#{identifiers}) and r.deleted and c.grp is null
      """)
  void letGo(int source, String[] identifiers);

  /** A record of a source, and the publication that it stands under now. */
  record Placed(String identifier, int work) {}

  /** Of records that are not taken back. */
  @Select(
      """
      select r.identifier, coalesce(p.canonical, p.id) as work
      from source_record r join publication p on p.id = r.publication
      where r.source = #{source} and r.identifier = any(#{identifiers}) and not r.deleted
      """)
  List<Placed> placed(int source, String[] identifiers);

  /** The work that a record stands under now, taken back or not; none where it never came. */
  @Select(
      """
      select coalesce(p.canonical, p.id) from source_record r join publication p
        on p.id = r.publication
      where r.source = #{source} and r.identifier = #{identifier}
      """)
  Integer under(int source, String identifier);

  /** A record that a person said is not of a work; {@code publication}: as that is known now. */
  record KeptApart(int source, String identifier, int publication) {}

  @Select(
      """
      select a.source, a.identifier, coalesce(p.canonical, p.id) as publication
      from kept_apart a join source s on s.id = a.source join publication p on p.id = a.publication
      where s.grp = #{group}
      """)
  List<KeptApart> keptApart(int group);

  @Insert(
      """
      insert into kept_apart (source, identifier, publication)
      select #{source}, #{identifier}, unnest(#{publications}::integer[]) on conflict do nothing
      """)
  void keepApart(int source, String identifier, Integer[] publications);

  /** Groups that alone have a publication with one of the keys. */
  @Select(
      """
      select distinct p.grp
      from work_key k join source_record r on r.id = k.source_record
      join publication p on p.id = r.publication
      where k.value = any(#{keys}) and p.grp is not null and p.canonical is null
      order by 1
      """)
  List<Integer> groupsWith(String[] keys);

  /** Those that one group alone has, without what a feed that it follows told it. */
  @Select(
      """
      select id from publication where id = any(#{ids}) and grp is not null and not exists (
        select 1 from source_record r join source s on s.id = r.source
        where r.publication = publication.id and s.format = 'feed' and not r.deleted)
      order by id
      """)
  List<Integer> own(Integer[] ids);

  @Update("update publication set canonical = #{into} where id = #{from} or canonical = #{from}")
  void merge(int from, int into);

  @Insert(
      """
      insert into work_join (part, whole, source, at)
      values (#{part}, #{whole}, #{source}, #{now})
      """)
  void noteJoin(int part, int whole, int source, Instant now);

  @Insert(
      """
      insert into doubtful_pair (publication, other, at) values (#{one}, #{other}, #{now})
      on conflict do nothing
      """)
  void doubt(int one, int other, Instant now);

  @Select("select count(*) from doubtful_pair")
  int doubtful();

  @Update(
      """
      update publication set fields = #{fields}::jsonb, hash = #{hash}, withdrawn = null
      where id = #{id}
      """)
  void change(int id, String fields, byte[] hash);

  @Update("update publication set withdrawn = #{now} where id = #{id}")
  void withdraw(int id, Instant now);

  @Insert(
      """
      insert into publication_change (publication, kinds, at)
      values (#{publication}, #{kinds}, #{now})
      """)
  void number(int publication, String[] kinds, Instant now);

  @Select("select fields::text from publication where id = #{id}")
  String fields(int id);

  @Insert(
      """
      insert into set_aside (publication, no, what, alert, edition, why, at)
      values (#{publication}, #{no}, #{what}, #{alert}, #{edition}, #{why}, #{now})
      """)
  void setAside(NewSetAside row);

  @Select(
      """
      select p.pid as id, case when p.grp is null then coalesce(p.fields ->> 'title', '') else ''
        end as title, w.what, w.why, w.at
      from set_aside w join publication p on p.id = w.publication
      where w.resolved is null order by w.at desc, p.id
      """)
  List<Publications.SetAside> allSetAside();

  @Select("select distinct publication from set_aside where what = 'index' and resolved is null")
  List<Integer> setAsideByIndex();

  /** The index took it in after all, or it is not there any more. */
  @Update(
      """
      update set_aside set resolved = #{now}
      where what = 'index' and resolved is null and publication = any(#{publications})
      """)
  int resolveIndex(Integer[] publications, Instant now);

  @Select("select coalesce(max(no), 0) from publication_change")
  long latest();

  @Select(
      """
      select no, publication, kinds from publication_change
      where no > #{after} and no <= #{upTo} order by no limit #{most}
      """)
  List<Change> changes(long after, long upTo, int most);

  /** {@code work}: as it is known now. */
  record ComesAgain(long no, int work, String[] kinds, Instant at) {}

  /** Changes of some kinds; {@code since}: none earlier than this moment. */
  @Select(
      """
      select c.no, coalesce(p.canonical, p.id) as work, c.kinds, c.at
      from publication_change c join publication p on p.id = c.publication
      where c.no > #{after} and c.no <= #{upTo} and c.at >= #{since} and c.kinds && #{kinds}::text[]
      order by c.no
      """)
  List<ComesAgain> comeAgain(long after, long upTo, Instant since, String[] kinds);

  record ChangeRow(Instant at, String[] kinds) {}

  /** Of a work and of what was joined with it, the latest first. */
  @Select(
      """
      select c.at, c.kinds from publication p join publication_change c on c.publication = p.id
      where (p.id = #{publication} or p.canonical = #{publication})
        and (p.grp is null or p.grp = #{viewer})
      order by c.no desc
      """)
  List<ChangeRow> history(int viewer, int publication);

  /** The first eight bytes of the hash of a publication {@code p}, as a number. */
  String DIGEST = "('x' || encode(substring(p.hash, 1, 8), 'hex'))::bit(64)::bigint as digest";

  /** Publications by what was asked for. */
  String ROWS =
      """
      select a.id as asked, a.pid as asked_pid, p.id, p.pid, coalesce(p.grp, 0) as grp, p.came,
        p.withdrawn is not null as withdrawn, p.fields::text,
      """
          + DIGEST
          + " from publication a join publication p on p.id = coalesce(a.canonical, a.id)";

  @Select("select coalesce(max(id), 0) from publication")
  int lastRow();

  /** Those that can be found, by row number. */
  @Select(
      "select p.id, "
          + DIGEST
          + """
           from publication p
          where p.canonical is null and p.withdrawn is null and p.id > #{after}
          order by p.id limit #{most}
          """)
  List<Digest> digests(int after, int most);

  record StateRow(int id, String pid, long digest) {}

  @Select(
      "select p.id, p.pid, " + DIGEST + " from publication p where p.pid = any(#{pids}::text[])")
  List<StateRow> states(String[] pids);

  @Select(ROWS + " where a.id = any(#{ids}) and (a.grp is null or a.grp = #{viewer}) order by a.id")
  List<Row> byId(int viewer, Integer[] ids);

  @Select(ROWS + " where a.id = any(#{ids}) order by a.id")
  List<Row> ofAnybody(Integer[] ids);

  @Select(
      ROWS + " where a.pid = any(#{pids}) and (a.grp is null or a.grp = #{viewer}) order by a.id")
  List<Row> byPid(int viewer, String[] pids);

  @Select(
      """
      select count(*) from publication
      where pid = any(#{pids}) and (grp is null or grp = #{viewer})
      """)
  int existing(int viewer, String[] pids);

  /** {@code source}: its name. */
  record RecordRow(
      String source, String identifier, String format, String raw, boolean deleted, Instant came) {}

  /** What sources supplied of a work, and of what was merged into it. */
  @Select(
      """
      select s.name as source, r.identifier, r.format, r.raw, r.deleted, r.came
      from publication p join source_record r on r.publication = p.id
      join source s on s.id = r.source
      where (p.id = #{publication} or p.canonical = #{publication}) and r.raw <> ''
        and (s.grp is null or s.grp = #{viewer})
      order by s.rank, r.id
      """)
  List<RecordRow> records(int viewer, int publication);

  record OpenRecord(String format, String raw) {}

  /** What sources that let their abstracts be shown supply of a work now. */
  @Select(
      """
      select r.format, r.raw from publication p join source_record r on r.publication = p.id
      join source s on s.id = r.source
      where (p.id = #{publication} or p.canonical = #{publication}) and not r.deleted
        and s.abstracts_open and s.grp is null
      order by r.id
      """)
  List<OpenRecord> openRecords(int publication);

  /** A key, and the work that has it now. */
  record WithKey(String value, int publication) {}

  /** The works that have one of the keys, in the order in which they came. */
  @Select(
      """
      select distinct k.value, coalesce(p.canonical, p.id) as publication from work_key k
      join source_record r on r.id = k.source_record
      join publication p on p.id = r.publication
      where k.value = any(#{keys}) and not r.deleted and (p.grp is null or p.grp = #{viewer})
      order by publication
      """)
  List<WithKey> withKeys(int viewer, String[] keys);

  /** What they are now that have a record with one of the keys. */
  @Select(
      ROWS
          + """
          where a.canonical is null and (a.grp is null or a.grp = #{viewer}) and a.id in (
            select coalesce(p.canonical, p.id) from work_key k
            join source_record r on r.id = k.source_record
            join publication p on p.id = r.publication
            where k.value = any(#{keys}) and not r.deleted)
          order by a.id
          """)
  List<Row> byKeys(int viewer, String[] keys);

  /** Those that were merged into one of the publications: part and whole. */
  @Select(
      """
      select id as part, canonical as whole from publication
      where canonical = any(#{ids}) order by id
      """)
  List<Part> parts(Integer[] ids);

  record Part(int part, int whole) {}

  @Select(
      """
      select c.pid from publication p join publication c on c.id = p.canonical
      where p.pid = #{pid} and (p.grp is null or p.grp = #{viewer})
      """)
  String canonicalOf(int viewer, String pid);
}
