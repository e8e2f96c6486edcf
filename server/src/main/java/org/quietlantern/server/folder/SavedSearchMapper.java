package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.matching.KeptMeanings;

@Mapper
interface SavedSearchMapper {
  record Row(
      String pid,
      String name,
      int folder,
      String folderPid,
      String folderName,
      int revision,
      int n,
      String strategy,
      int count,
      int membership,
      Instant at,
      boolean documented,
      String alertPid) {}

  String ROWS =
      """
      select s.pid, s.name, f.id as folder, f.pid as folder_pid, f.name as folder_name,
        r.id as revision, r.n, r.strategy::text, r.count, r.membership, r.at,
        s.documented is not null as documented, a.pid as alert_pid
      from saved_search s join folder f on f.id = s.folder
      join revision r on r.saved_search = s.id
        and r.n = (select max(n) from revision where saved_search = s.id)
      left join alert a on a.revision = r.id and a.state <> 'ended'
      where f.grp = #{group} and f.owner is null and f.ended is null and s.ended is null
      """;

  @Select(ROWS + " and f.id = #{folder} order by lower(s.name), s.id")
  List<Row> inFolder(int group, int folder);

  /**
   * {@code part}: a pattern that the name or what is said in a line fits; all where it is empty.
   */
  @Select(
      ROWS
          + """
           and (#{part} = '' or s.name ilike #{part} or strategy_says(r.strategy, #{part}))
          order by r.at desc, s.id desc limit #{most}
          """)
  List<Row> latest(int group, String part, int most);

  record Named(String pid, String name) {}

  @Select(
      """
      select s.pid, s.name from saved_search s join folder f on f.id = s.folder
      where f.grp = #{group} and f.owner is null and s.ended is null and s.pid = any(#{searches})
      """)
  List<Named> names(int group, String[] searches);

  record Held(String name, String strategy) {}

  @Select(
      """
      select s.name, r.strategy::text from saved_search s join folder f on f.id = s.folder
      join revision r on r.saved_search = s.id
      where f.grp = #{group} and f.owner is null and s.pid = #{pid} and r.n = #{n}
      """)
  Held held(int group, String pid, int n);

  @Select(ROWS + " and s.pid = #{pid}")
  Row find(int group, String pid);

  @Select(
      """
      select g.pid from saved_search s join folder f on f.id = s.folder join grp g on g.id = f.grp
      where s.pid = #{pid}
      """)
  String groupOf(String pid);

  @Select(
      """
      insert into saved_search (pid, folder, name, at) values (#{pid}, #{folder}, #{name}, #{now})
      on conflict do nothing returning id
      """)
  Integer add(String pid, int folder, String name, Instant now);

  @Insert(
      """
      insert into revision (saved_search, n, strategy, count, as_of, membership, at)
      values (#{search}, 1, #{strategy}::jsonb, #{count}, #{asOf}, #{membership}, #{now})
      """)
  void addRevision(
      int search, String strategy, int count, String asOf, int membership, Instant now);

  /** Those of all groups that may name a heading, after a row number. */
  @Select(
      """
      select id, strategy::text from revision
      where id > #{after} and strategy_says(strategy, '%heading%') order by id limit #{most}
      """)
  List<KeptMeanings.Stored> naming(int after, int most);

  @Update("update revision set strategy = #{strategy}::jsonb where id = #{id}")
  void put(int id, String strategy);

  record RevisionRow(
      int id,
      int n,
      String strategy,
      int count,
      Integer gained,
      Integer lost,
      String comment,
      int membership,
      Instant at) {}

  String REVISIONS =
      """
      select r.id, r.n, r.strategy::text, r.count, r.gained, r.lost, r.comment, r.membership, r.at
      from saved_search s join folder f on f.id = s.folder join revision r on r.saved_search = s.id
      where f.grp = #{group} and f.owner is null and s.pid = #{pid}
      """;

  @Select(REVISIONS + " order by r.n desc limit #{most}")
  List<RevisionRow> revisions(int group, String pid, int most);

  @Select(REVISIONS + " and r.n = #{n}")
  RevisionRow revision(int group, String pid, int n);

  @Select(
      """
      insert into revision (saved_search, n, strategy, count, gained, lost, comment, as_of,
        membership, at)
      select id, #{n}, #{made.strategy}::jsonb, #{made.count}, #{made.gained}, #{made.lost},
        #{made.comment}, #{made.asOf}, #{membership}, #{now}
      from saved_search where pid = #{pid}
      on conflict (saved_search, n) do nothing returning id
      """)
  Integer revise(String pid, int n, Revisions.Made made, int membership, Instant now);

  @Delete("delete from revision where id = #{id}")
  void removeRevision(int id);

  record Documented(Instant at, Integer membership) {}

  @Select(
      """
      select documented as at, documented_by as membership from saved_search
      where pid = #{pid} and documented is not null
      """)
  Documented documented(String pid);

  @Update(
      """
      update saved_search set documented = #{at}, documented_by = #{membership} where pid = #{pid}
      """)
  void document(String pid, Instant at, Integer membership);

  @Delete("delete from saved_search where pid = #{pid}")
  void remove(String pid);

  record Place(int id, String name, int folder) {}

  @Select("select id, name, folder from saved_search where pid = #{pid} and ended is null")
  Place place(String pid);

  /** Where it lies or lay, ended or not. */
  @Select("select folder from saved_search where pid = #{pid}")
  int folderOf(String pid);

  /** Names it and puts it into a folder; 0 where that has one of the name already. */
  @Update(
      """
      update saved_search set name = #{name}, folder = #{folder}
      where pid = #{pid} and not exists (select 1 from saved_search t
        where t.folder = #{folder} and t.ended is null and lower(t.name) = lower(#{name})
          and t.pid <> #{pid})
      """)
  int change(String pid, String name, int folder);

  /** {@code ended} none: it is there again; 0 where its name is taken meanwhile. */
  @Update(
      """
      update saved_search s set ended = #{ended}
      where pid = #{pid} and (#{ended}::timestamptz is not null
        or not exists (select 1 from saved_search t
          where t.folder = s.folder and t.ended is null and lower(t.name) = lower(s.name)))
      """)
  int end(String pid, Instant ended);
}
