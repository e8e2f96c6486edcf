package org.quietlantern.server.platform.job;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface NightlyMapper {
  @Select("select day from nightly_check where what = #{what}")
  LocalDate lastDay(String what);

  @Insert(
      """
      insert into nightly_check (what, day, differences, at)
      values (#{what}, #{day}, #{differences}, #{at})
      on conflict (what) do update set day = excluded.day, differences = excluded.differences,
        at = excluded.at
      """)
  void note(String what, LocalDate day, int differences, Instant at);

  @Select("select what, differences, at from nightly_check order by what")
  List<NightlyChecks.Outcome> outcomes();
}
