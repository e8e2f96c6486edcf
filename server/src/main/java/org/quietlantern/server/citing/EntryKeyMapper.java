package org.quietlantern.server.citing;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface EntryKeyMapper {
  record Row(int publication, String key) {}

  /** Of works by row numbers; one that has none has that of what became one with it first. */
  @Select(
      """
      select distinct on (coalesce(p.canonical, p.id)) coalesce(p.canonical, p.id) as publication,
        k.key
      from publication p join entry_key k on k.publication = p.id and k.grp = #{group}
      where p.id = any(#{publications}) or p.canonical = any(#{publications})
      order by coalesce(p.canonical, p.id), p.canonical is not null, k.id
      """)
  List<Row> keys(int group, Integer[] publications);

  @Select(
      """
      select key from entry_key
      where grp = #{group} and (stem = any(#{stems}::text[]) or key = any(#{stems}::text[]))
      """)
  List<String> taken(int group, String[] stems);

  /** What is taken, or has a key, is left out. */
  @Insert(
      """
      insert into entry_key (grp, publication, stem, key)
      select #{group}, t.publication, t.stem, t.key
      from unnest(#{publications}::integer[], #{stems}::text[], #{keys}::text[])
        as t(publication, stem, key)
      on conflict do nothing
      """)
  void add(int group, Integer[] publications, String[] stems, String[] keys);
}
