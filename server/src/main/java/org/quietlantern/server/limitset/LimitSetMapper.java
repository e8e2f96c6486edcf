package org.quietlantern.server.limitset;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface LimitSetMapper {
  record Row(String pid, String name, String limits, int membership, Instant at) {}

  @Select(
      """
      select pid, name, limits::text, membership, at from limit_set
      where grp = #{group} and ended is null
      order by lower(name), id
      """)
  List<Row> all(int group);

  /** Null where the group has one of that name. */
  @Select(
      """
      insert into limit_set (pid, grp, name, limits, membership, at)
      values (#{pid}, #{group}, #{name}, #{limits}::jsonb, #{membership}, #{now})
      on conflict do nothing returning id
      """)
  Integer add(String pid, int group, String name, String limits, int membership, Instant now);

  @Select(
      """
      select pid, name, limits::text, membership, at from limit_set
      where grp = #{group} and pid = #{pid} and ended is null
      """)
  Row find(int group, String pid);

  /** {@code ended} none: it is there again. Nothing happens where its name is taken meanwhile. */
  @Update(
      """
      update limit_set s set ended = #{ended} where grp = #{group} and pid = #{pid}
        and (#{ended}::timestamptz is not null or not exists (select 1 from limit_set t
          where t.grp = s.grp and t.ended is null and lower(t.name) = lower(s.name)))
      """)
  int end(int group, String pid, Instant ended);
}
