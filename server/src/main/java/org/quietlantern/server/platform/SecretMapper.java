package org.quietlantern.server.platform;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SecretMapper {
  record Row(byte[] sealed) {}

  @Select("select sealed from installation_secret where name = #{name}")
  Row find(String name);

  @Insert(
      """
      insert into installation_secret (name, sealed) values (#{name}, #{sealed})
      on conflict (name) do nothing
      """)
  void add(String name, byte[] sealed);
}
