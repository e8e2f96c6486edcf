package org.quietlantern.server.harvest;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface HarvestMapper {
  record Source(int id, String name, String baseUrl, String format) {}

  record Row(int id, String fromStamp, String token, String firstResponse, int taken) {}

  @Select(
      "select id, name, base_url, format from source where grp is null order by rank, id limit 100")
  List<Source> sources();

  @Select(
      """
      insert into source (key, name, base_url, format, rank)
      values (#{key}, #{name}, #{baseUrl}, #{format}, #{rank})
      on conflict (key) do update set base_url = excluded.base_url returning id
      """)
  int addSource(String key, String name, String baseUrl, String format, int rank);

  @Select(
      """
      select id, from_stamp, token, first_response, taken from harvest
      where source = #{source} and state <> 'done' order by id desc limit 1
      """)
  Row unfinished(int source);

  @Select(
      """
      select first_response from harvest
      where source = #{source} and state = 'done' order by id desc limit 1
      """)
  String lastResponse(int source);

  @Select(
      """
      select started from harvest where source = #{source} and state = 'done'
      order by id desc limit 1
      """)
  Instant lastStarted(int source);

  @Select(
      """
      insert into harvest (source, from_stamp, state, started)
      values (#{source}, #{from}, 'running', #{now}) returning id
      """)
  int start(int source, String from, Instant now);

  @Update(
      """
      update harvest set token = #{token}, taken = taken + #{taken}, changed = changed + #{changed},
        first_response = coalesce(first_response, #{response}), state = 'running', error = null
      where id = #{id}
      """)
  void progress(int id, String token, int taken, int changed, String response);

  @Update("update harvest set token = null, first_response = null where id = #{id}")
  void startOver(int id);

  @Update("update harvest set state = 'done', token = null, ended = #{now} where id = #{id}")
  void finish(int id, Instant now);

  @Update("update harvest set state = 'failed', error = #{error}, ended = #{now} where id = #{id}")
  void fail(int id, String error, Instant now);
}
