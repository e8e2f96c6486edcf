package org.quietlantern.server.harvest;

import java.time.Instant;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SourceMapper {
  /** A source that a steward adds. */
  record NewSource(
      String key,
      String name,
      String address,
      String format,
      String set,
      int rank,
      boolean abstractsOpen,
      Instant now) {}

  @Select(
      """
      select name, rank, abstracts_open, paused from source where key = #{key} and grp is null
      """)
  SourceKeeping.SourceKept find(String key);

  @Select(
      """
      select exists (
        select 1 from source
        where base_url = #{address} and oai_set = #{set} and grp is null)
      """)
  boolean isThere(String address, String set);

  @Insert(
      """
      insert into source (key, name, base_url, format, oai_set, rank, abstracts_open, asked)
      values (#{key}, #{name}, #{address}, #{format}, #{set}, #{rank}, #{abstractsOpen}, #{now})
      """)
  void add(NewSource row);

  @Update(
      """
      update source set name = #{name}, rank = #{rank}, abstracts_open = #{abstractsOpen},
        paused = #{paused}
      where key = #{key} and grp is null
      """)
  void change(String key, String name, int rank, boolean abstractsOpen, boolean paused);
}
