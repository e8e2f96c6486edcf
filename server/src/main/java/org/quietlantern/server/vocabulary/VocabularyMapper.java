package org.quietlantern.server.vocabulary;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface VocabularyMapper {
  record Row(String scheme, String uri, String label, String[] names, String[] broader) {}

  @Select(
      """
      select scheme, uri, label, names, broader from concept order by scheme, lower(label), id
      limit 200000
      """)
  List<Row> all();

  @Delete("delete from concept where scheme = any(#{schemes})")
  void forget(String[] schemes);

  @Insert(
      """
      insert into concept (scheme, uri, label, names, broader)
      values (#{scheme}, #{uri}, #{label}, #{names}, #{broader})
      on conflict (uri) do nothing
      """)
  void add(String scheme, String uri, String label, String[] names, String[] broader);
}
