package org.quietlantern.server.loading;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface LoadMapper {
  /** A file that is to be read. {@code records}: of it that were taken already. */
  record Open(int id, String file, String sourceName, int records, Instant asked) {}

  /** How far a file is. */
  record Progress(int id, long readBytes, int records, int changed, int setAside) {}

  @Insert(
      """
      insert into load (name, file, source_name, bytes, asked)
      values (#{name}, #{file}, #{into}, #{bytes}, #{now})
      """)
  void add(String name, String file, String into, long bytes, Instant now);

  @Select(
      """
      select id, file, source_name, records, asked from load
      where state in ('waiting', 'running') order by id
      """)
  List<Open> open();

  @Update(
      """
      update load set state = 'running', started = coalesce(started, #{now}), error = null,
        after_no = coalesce(after_no, (select coalesce(max(no), 0) from publication_change))
      where id = #{id} and state in ('waiting', 'running')
      """)
  int start(int id, Instant now);

  /** Answers 0 if somebody stopped it. */
  @Update(
      """
      update load set read_bytes = #{readBytes}, records = records + #{records},
        changed = changed + #{changed}, set_aside = set_aside + #{setAside}
      where id = #{id} and state = 'running'
      """)
  int progress(Progress row);

  @Update(
      """
      update load set state = #{state}, error = #{error}, ended = #{now}
      where id = #{id} and state in ('waiting', 'running')
      """)
  int end(int id, String state, String error, Instant now);

  /** What was read long ago is told no more; the last one stays. */
  @Delete(
      """
      delete from load where ended < #{before} and id < (select max(id) from load)
      """)
  void forget(Instant before);

  @Select("select file from load where id = #{id}")
  String file(int id);

  @Select(
      """
      select id, name, source_name, state, bytes, read_bytes, records, changed, set_aside, error,
        asked, started, ended
      from load where id < #{before} order by id desc limit #{most}
      """)
  List<Loads.LoadShown> newest(int before, int most);
}
