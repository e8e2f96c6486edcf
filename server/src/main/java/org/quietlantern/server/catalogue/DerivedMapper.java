package org.quietlantern.server.catalogue;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DerivedMapper {
  @Select("select no from derived where what = #{what} for update")
  long upTo(String what);

  @Update("update derived set no = #{no} where what = #{what}")
  void setUpTo(String what, long no);
}
