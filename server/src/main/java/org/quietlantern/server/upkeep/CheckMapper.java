package org.quietlantern.server.upkeep;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface CheckMapper {
  /** A check that somebody asked for. {@code found}: JSON; null until it has ended. */
  record Asked(int id, boolean mend, Instant asked, Instant ended, String found) {}

  @Insert("insert into check_run (mend, asked) values (#{mend}, #{now})")
  void ask(boolean mend, Instant now);

  @Select(
      """
      select id, mend, asked, ended, found::text from check_run where ended is null
      order by id limit 1
      """)
  Asked next();

  @Select(
      """
      select id, mend, asked, ended, found::text from check_run order by id desc limit 1
      """)
  Asked last();

  /** Checks and copies of long ago are told no more; the last of each stays. */
  @Delete(
      """
      with checks as (
        delete from check_run where ended < #{before} and id < (select max(id) from check_run))
      delete from backup where at < #{before} and id < (select max(id) from backup)
      """)
  void forget(Instant before);

  @Update("update check_run set started = #{now} where id = #{id}")
  void start(int id, Instant now);

  @Update(
      """
      update check_run set ended = #{now}, found = #{found}::jsonb where id = #{id}
      """)
  void end(int id, String found, Instant now);
}
