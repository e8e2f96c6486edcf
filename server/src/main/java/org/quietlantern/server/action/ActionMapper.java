package org.quietlantern.server.action;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

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
      UUID undoneBy) {}

  /** Held to the end of the transaction: the numbers of a group's actions are in commit order. */
  @Select("select 1 from (select pg_advisory_xact_lock(2, #{group})) l")
  int lock(int group);

  @Select(
      """
      select no, command, grp, membership, what, changes, about, visible_to, before::text,
        answer::text, undone_by
      from action where command = #{command}
      """)
  Row find(UUID command);

  @Insert(
      """
      insert into action
        (command, grp, membership, what, changes, about, visible_to, before, answer, at)
      values (#{row.command}, #{row.grp}, #{row.membership}, #{row.what}, #{row.changes},
        #{row.about}, #{row.visibleTo}, #{row.before}::jsonb, #{row.answer}::jsonb, #{at})
      """)
  void add(Row row, Instant at);

  @Select(
      """
      select exists (select 1 from action
        where grp = #{grp} and changes && #{changes}::text[] and no > #{no} and undone_by is null
          and what <> 'undo')
      """)
  boolean changedSince(int grp, String[] changes, long no);

  @Update("update action set undone_by = #{by} where command = #{command} and undone_by is null")
  int markUndone(UUID command, UUID by);

  @Select("select coalesce(max(no), 0) from action where grp = #{group}")
  long latest(int group);

  @Select(
      """
      select distinct what from action
      where grp = #{group} and no > #{since}
        and (visible_to = 'group' or (visible_to = 'me' and membership = #{membership}))
      order by what
      """)
  List<String> since(int group, int membership, long since);
}
