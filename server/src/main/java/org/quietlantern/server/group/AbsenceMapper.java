package org.quietlantern.server.group;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface AbsenceMapper {
  /** Of those who are in the group, in the order of their days. */
  @Select(
      """
      select b.pid, b.membership, b.from_day, b.to_day, b.at
      from absence b join membership m on m.id = b.membership
      where m.grp = #{group} and m.left_at is null order by b.from_day, b.id
      """)
  List<Absences.Away> of(int group);

  @Insert(
      """
      insert into absence (pid, membership, from_day, to_day, at)
      values (#{pid}, #{membership}, #{fromDay}, #{toDay}, #{at})
      """)
  void add(Absences.Away away);

  @Delete("delete from absence where pid = #{pid}")
  int remove(String pid);
}
