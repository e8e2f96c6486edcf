package org.quietlantern.server.limitset;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface LimitSetMapper {
  record Row(String pid, String name, String limits, int membership, Instant at) {}

  @Select(
      """
      select pid, name, limits::text, membership, at from limit_set where grp = #{group}
      order by lower(name), id limit 200
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
      where grp = #{group} and pid = #{pid}
      """)
  Row find(int group, String pid);

  @Delete("delete from limit_set where grp = #{group} and pid = #{pid}")
  int remove(int group, String pid);
}
