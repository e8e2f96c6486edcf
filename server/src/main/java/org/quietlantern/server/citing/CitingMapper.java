package org.quietlantern.server.citing;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface CitingMapper {
  @Select(
      "select citation_style as style, citation_language as language from grp where id = #{group}")
  StyleChoice ofGroup(int group);
}
