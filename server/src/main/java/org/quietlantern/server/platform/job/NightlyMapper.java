package org.quietlantern.server.platform.job;

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
      insert into nightly_check (what, day, differences, mended, at)
      values (#{outcome.what}, #{day}, #{outcome.differences}, #{outcome.mended}, #{outcome.at})
      on conflict (what) do update set day = excluded.day, differences = excluded.differences,
        mended = excluded.mended, at = excluded.at
      """)
  void note(NightlyChecks.Outcome outcome, LocalDate day);

  @Select("select what, differences, mended, at from nightly_check order by what")
  List<NightlyChecks.Outcome> outcomes();
}
