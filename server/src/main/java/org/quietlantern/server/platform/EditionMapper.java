package org.quietlantern.server.platform;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface EditionMapper {
  record Row(String kind, int no) {}

  @Select("select upper(kind) as kind, no from edition order by kind")
  List<Row> all();

  @Update("update edition set no = no + 1 where kind = lower(#{kind})")
  void next(String kind);
}
