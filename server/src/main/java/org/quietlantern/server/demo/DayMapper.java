package org.quietlantern.server.demo;

import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface DayMapper {
  /** Until when the day passes that was begun last; none where it has ended. */
  @Select("select day_begun from installation")
  @Nullable
  Instant begun();

  @Update("update installation set day_begun = #{until}")
  void begin(Instant until);

  @Update("update installation set day_begun = null")
  void end();
}
