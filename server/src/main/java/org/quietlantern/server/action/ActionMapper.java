package org.quietlantern.server.action;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface ActionMapper {
  record Row(
      long no,
      UUID command,
      int grp,
      Integer membership,
      String what,
      String[] changes,
      String[] about,
      String visibleTo,
      String before,
      String answer,
      String differences,
      UUID undoneBy) {}

  /** Held to the end of the transaction: the numbers of a group's actions are in commit order. */
  @Select("select 1 from (select pg_advisory_xact_lock(2, #{group})) l")
  int lock(int group);

  @Select(
      """
      select no, command, grp, membership, what, changes, about, visible_to, before::text,
        answer::text, differences::text, undone_by
      from action where command = #{command}
      """)
  Row find(UUID command);

  @Insert(
      """
      insert into action
        (command, grp, membership, what, changes, about, visible_to, before, answer, differences, at)
      values (#{row.command}, #{row.grp}, #{row.membership}, #{row.what}, #{row.changes},
        #{row.about}, #{row.visibleTo}, #{row.before}::jsonb, #{row.answer}::jsonb,
        #{row.differences}::jsonb, #{at})
      """)
  void add(Row row, Instant at);

  /** What the lantern did by itself to each of several. */
  @Insert(
      """
      insert into action
        (command, grp, what, changes, about, visible_to, before, answer, differences, at)
      select gen_random_uuid(), #{group}, #{what}, array[q.subject], array[q.subject], 'group',
        '{}', '{}', '[]', #{at}
      from unnest(#{subjects}) with ordinality as q (subject, n) order by q.n
      """)
  void addNotes(int group, String what, String[] subjects, Instant at);

  /** {@code name}: of who did it; absent for the lantern and for somebody who left. */
  record ChangedSince(@Nullable String name, Instant at) {}

  /** The last change of the same thing after an action; null where there was none. */
  @Select(
      """
      select case when m.left_at is null then m.name end as name, a.at
      from action a left join membership m on m.id = a.membership
      where a.grp = #{grp} and a.changes && #{changes}::text[] and a.no > #{no}
        and a.undone_by is null and a.what <> 'undo'
      order by a.no desc limit 1
      """)
  ChangedSince changedSince(int grp, String[] changes, long no);

  @Update("update action set undone_by = #{by} where command = #{command} and undone_by is null")
  int markUndone(UUID command, UUID by);

  @Select("select coalesce(max(no), 0) from action where grp = #{group}")
  long latest(int group);

  /** The same of what was done in folders that a member sees. */
  @Select(
      """
      select coalesce(max(no), 0) from action where grp = #{group} and about && (
        select array_agg('folder:' || f.pid) from folder f
        join folders_of(#{membership}) v on v.folder = f.id)
      """)
  long latestInFolders(int group, int membership);

  /** Kinds of what was done in folders that a member sees. */
  @Select(
      """
      select distinct what from action
      where grp = #{group} and no > #{since} and visible_to = 'group' and about && (
        select array_agg('folder:' || f.pid) from folder f
        join folders_of(#{membership}) v on v.folder = f.id)
      order by what
      """)
  List<String> sinceInFolders(int group, int membership, long since);

  /**
   * Whoever could see a folder is told when it was closed to them, so that their page lets it go.
   */
  @Select(
      """
      select distinct what from action
      where grp = #{group} and no > #{since}
        and (visible_to = 'group' or (visible_to <> 'opening' and membership = #{membership})
          or (visible_to = 'those' and about @> array['person:'
            || (select pid from membership where id = #{membership})]))
        and (not (about && (select hidden_from(#{membership})))
          or (what = 'folder.rights' and before ->> 'openTo' is distinct from 'named'))
      order by what
      """)
  List<String> since(int group, int membership, long since);

  /**
   * What was done, as it is told.
   *
   * @param said which mark it was; empty for everything else
   */
  record Done(
      long no,
      UUID command,
      @Nullable Integer membership,
      String what,
      String said,
      String[] about,
      String differences,
      @Nullable UUID undoneBy,
      Instant at) {}

  String DONE =
      """
      select no, command, membership, what, coalesce(answer ->> 'mark', '') as said, about,
        differences::text, undone_by, at
      from action
      where grp = #{group} and what <> all(#{untold}::text[])
        and (visible_to = 'group' or (visible_to <> 'opening' and membership = #{membership})
          or (visible_to = 'those' and about @> array['person:'
            || (select pid from membership where id = #{membership})]))
        and not (about && (select hidden_from(#{membership})))
      """;

  /**
   * What a member may do with all the folders that something is about: {@code edit}, less, or
   * {@code nothing} where one of them is hidden; null where it is about none.
   */
  @Select(
      """
      select case when bool_or(v.may is null) then 'nothing' else min(v.may)::text end
      from folder f left join folders_of(#{membership}) v on v.folder = f.id
      where 'folder:' || f.pid = any(#{about}::text[])
      """)
  String mayDoIn(int membership, String[] about);

  /** By others and by the lantern, the latest first. */
  @Select(
      DONE
          + """
          and at > #{since} and undone_by is null and membership is distinct from #{membership}
          order by no desc limit #{most}
          """)
  List<Done> doneByOthers(int group, int membership, String[] untold, Instant since, int most);

  /** The latest first; {@code about} empty: all; {@code before} 0: from the latest. */
  @Select(
      DONE
          + """
          and (#{about} = '' or about @> array[#{about}]::text[])
          and (#{before} = 0 or no < #{before})
          order by no desc limit #{most}
          """)
  List<Done> done(int group, int membership, String[] untold, String about, long before, int most);

  @Select("select no from action where grp = #{group} and command = #{command}")
  Long number(int group, UUID command);
}
