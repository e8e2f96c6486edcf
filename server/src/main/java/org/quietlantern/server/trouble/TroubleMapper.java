package org.quietlantern.server.trouble;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface TroubleMapper {
  /** {@code lasts}: for longer than passing ones do; {@code told}: by mail. */
  record Row(
      int id,
      String key,
      @Nullable Integer grp,
      String title,
      String place,
      String why,
      Instant since,
      @Nullable Instant mended,
      boolean told,
      boolean lasts) {}

  @Select(
      """
      select id, key, grp, title, place, why, since, mended, told is not null as told,
        system_since < #{lasting} as lasts
      from trouble where mended is null order by id
      """)
  List<Row> open(Instant lasting);

  @Insert(
      """
      insert into trouble (key, grp, title, place, why, since, system_since)
      values (#{it.key}, #{it.group}, #{it.title}, #{it.place}, #{it.why}, #{now},
        #{system})
      on conflict (key) where mended is null do nothing
      """)
  void add(TroubleTeller.TroubleNow it, Instant now, Instant system);

  @Update("update trouble set why = #{why}, title = #{title} where id = #{id}")
  void say(int id, String title, String why);

  /** Answers 0 where another process did. */
  @Update("update trouble set told = #{now} where id = #{id} and told is null")
  int tell(int id, Instant now);

  @Update("update trouble set mended = #{now} where id = #{id} and mended is null")
  int mend(int id, Instant now);

  @Delete("delete from trouble where mended < #{before}")
  void forget(Instant before);

  /** Open ones first, then those that were mended since; of a group, or with none of all. */
  @Select(
      """
      select title, place, why, since, mended from trouble
      where grp is not distinct from #{group} and (mended is null or (mended >= #{mendedSince} and told is not null))
      order by mended is not null, since desc, id
      """)
  List<Troubles.TroubleShown> of(@Nullable Integer group, Instant mendedSince);

  /** Who gets a letter. {@code grp}: public id of a group of theirs, for links. */
  record Reader(String email, String grp, String name) {}

  @Select(
      """
      select a.email, g.pid as grp, g.name from membership m join account a on a.id = m.account
      join grp g on g.id = m.grp
      where m.grp = #{group} and m.left_at is null and a.letters
        and m.role = 'coordinator'
      order by m.id
      """)
  List<Reader> coordinators(int group);

  /** Stewards of the installation, each once. */
  @Select(
      """
      select distinct on (a.id) a.email, g.pid as grp, g.name
      from account a join membership m on m.account = a.id and m.left_at is null
      join grp g on g.id = m.grp
      where a.steward and a.letters order by a.id, m.id
      """)
  List<Reader> stewards();
}
