package org.quietlantern.server.today;

import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface VisitMapper {
  /** When the visit before this one ended; when the member joined, where this is the first. */
  @Select("select coalesce(visit_before, joined) from membership where id = #{membership}")
  Instant since(int membership);

  /** Who was not seen since {@code gone} begins another visit. */
  @Update(
      """
      update membership set
        visit_before = case when visit_last < #{gone} then visit_last else visit_before end,
        visit_last = #{now}
      where id = #{membership}
      """)
  void seen(int membership, Instant now, Instant gone);
}
