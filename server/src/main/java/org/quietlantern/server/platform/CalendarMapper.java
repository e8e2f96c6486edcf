package org.quietlantern.server.platform;

import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface CalendarMapper {
  @Select("select calendar_offset from installation")
  long offset();

  @Update("update installation set calendar_offset = #{millis}")
  void setOffset(long millis);

  @Select("select id from installation")
  UUID installation();
}
