package org.quietlantern.server.drive;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface DriveMapper {
  /**
   * @param password sealed
   * @param by name of whoever set it; absent where that is nobody any more
   */
  record Row(String address, String name, byte[] password, @Nullable String by, Instant tried) {}

  @Select(
      """
      select d.address, d.name, d.password, m.name as "by", d.tried
      from drive d left join membership m on m.id = d.membership and m.left_at is null
      where d.grp = #{group}
      """)
  Row find(int group);

  record NewDrive(
      int group, String address, String name, byte[] password, int membership, Instant now) {}

  @Insert(
      """
      insert into drive (grp, address, name, password, membership, tried)
      values (#{group}, #{address}, #{name}, #{password}, #{membership}, #{now})
      on conflict (grp) do update set address = excluded.address, name = excluded.name,
        password = excluded.password, membership = excluded.membership, tried = excluded.tried
      """)
  void set(NewDrive drive);

  @Delete("delete from drive where grp = #{group}")
  void forget(int group);
}
