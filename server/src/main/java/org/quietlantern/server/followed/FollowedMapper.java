package org.quietlantern.server.followed;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface FollowedMapper {
  /** See the table. */
  record Row(
      int id,
      String pid,
      int grp,
      int source,
      String address,
      String title,
      @Nullable String tag,
      @Nullable String changed,
      int tries) {}

  String ROWS =
      "select id, pid, grp, source, address, title, tag, changed, tries from followed_feed";

  /** One whose time has come, for whoever asks; until then it is nobody else's. */
  @Select(
      """
      update followed_feed set system_due = #{until}
      where id = (select id from followed_feed where ended is null and system_due <= #{now}
        order by system_due, id limit 1 for update skip locked)
      returning id, pid, grp, source, address, title, tag, changed, tries
      """)
  Row take(Instant now, Instant until);

  @Select(ROWS + " where grp = #{group} and pid = #{pid} and ended is null")
  Row find(int group, String pid);

  @Select(ROWS + " where grp = #{group} and address = #{address}")
  Row at(int group, String address);

  @Select(
      """
      select f.pid as id, f.title, f.address, f.site, s.key as source_key, m.name as "by", f.at,
        f.answered, f.error, f.entries, f.unread,
        (select count(*) from source_record r
          where r.source = f.source and not r.deleted)::int as works
      from followed_feed f join source s on s.id = f.source join membership m on m.id = f.membership
      where f.grp = #{group} and f.ended is null order by lower(f.title), f.id
      """)
  List<FollowedFeeds.FollowedLine> lines(int group);

  @Select("select count(*) from followed_feed where grp = #{group} and ended is null")
  int count(int group);

  /** {@code address}: of the feed. */
  record NewFeed(
      String pid,
      int group,
      int source,
      String address,
      String title,
      int membership,
      Instant at,
      Instant due) {}

  @Insert(
      """
      insert into followed_feed (pid, grp, source, address, title, membership, at, system_due)
      values (#{pid}, #{group}, #{source}, #{address}, #{title}, #{membership}, #{at}, #{due})
      """)
  void add(NewFeed row);

  /** One that was followed before, or is followed already. */
  @Update(
      """
      update followed_feed set ended = null, tries = 0, error = '', system_due = #{due}
      where id = #{id} and ended is not null
      """)
  int goOn(int id, Instant due);

  @Update("update followed_feed set ended = #{now} where id = #{id} and ended is null")
  int end(int id, Instant now);

  /** {@code title} and {@code site}: as it says; empty where it says nothing. */
  record Answered(
      int id,
      String title,
      String site,
      @Nullable String tag,
      @Nullable String changed,
      int entries,
      int unread,
      Instant at,
      Instant due) {}

  @Update(
      """
      update followed_feed set title = coalesce(nullif(#{title}, ''), title),
        site = coalesce(nullif(#{site}, ''), site), tag = #{tag}, changed = #{changed},
        entries = #{entries}, unread = #{unread}, answered = #{at}, tries = 0, error = '',
        system_due = #{due}
      where id = #{id}
      """)
  void answered(Answered answer);

  @Update(
      """
      update followed_feed set answered = #{at}, tries = 0, error = '', system_due = #{due}
      where id = #{id}
      """)
  void same(int id, Instant at, Instant due);

  @Update(
      """
      update followed_feed set tries = tries + 1, error = #{error}, system_due = #{due}
      where id = #{id}
      """)
  void failed(int id, String error, Instant due);

  /** Where it has moved to for good, unless the group follows that one, too. */
  @Update(
      """
      update followed_feed set address = #{address}
      where id = #{id} and not exists (select 1 from followed_feed o
        where o.grp = followed_feed.grp and o.address = #{address})
      """)
  void moved(int id, String address);

  /** One that did not answer as it should for some times. */
  record Failing(String pid, int grp, String title, String error) {}

  @Select(
      """
      select pid, grp, title, error from followed_feed
      where ended is null and tries >= #{tries} order by id
      """)
  List<Failing> failing(int tries);
}
