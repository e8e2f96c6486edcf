package org.quietlantern.server.feed;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface FeedMapper {
  /**
   * A feed of a member who is here.
   *
   * @param subject of what it is, as {@code alert:ID}
   * @param groupPid and {@code account} say who the member is
   * @param fetchedBy what the reader called itself that asked last
   */
  record Row(
      int id,
      String pid,
      String subject,
      String groupPid,
      String groupName,
      int account,
      int generation,
      @Nullable Instant revoked,
      boolean marksSeen,
      Instant at,
      @Nullable Instant fetched,
      @Nullable String fetchedBy) {}

  String ROWS =
      """
      select f.id, f.pid, f.subject, g.pid as group_pid, g.name as group_name, m.account,
        f.generation, f.revoked, f.marks_seen, f.at, f.fetched, f.fetched_by
      from feed f join membership m on m.id = f.membership and m.left_at is null
      join grp g on g.id = m.grp
      """;

  @Select(ROWS + " where f.pid = #{pid}")
  Row byPid(String pid);

  @Select(ROWS + " where f.membership = #{membership} and f.revoked is null order by f.id")
  List<Row> live(int membership);

  @Select(
      ROWS + " where f.membership = #{membership} and f.subject = #{subject} and f.revoked is null")
  Row findLive(int membership, String subject);

  /** A member's own. */
  @Select(ROWS + " where f.membership = #{membership} and f.pid = #{pid} and f.revoked is null")
  Row mine(int membership, String pid);

  @Update("update feed set marks_seen = #{marksSeen} where pid = #{pid}")
  void choose(String pid, boolean marksSeen);

  /** The last change of the catalogue, and the last act in a group. */
  @Select(
      """
      select coalesce((select max(no) from publication_change), 0) || '.'
        || coalesce((select max(no) from action where grp = #{group}), 0)
      """)
  String latest(int group);

  @Insert(
      """
      insert into feed (pid, membership, subject, generation, at)
      values (#{pid}, #{membership}, #{subject}, 1 + (select coalesce(max(generation), 0) from feed
        where membership = #{membership} and subject = #{subject}), #{now})
      on conflict do nothing
      """)
  void add(String pid, int membership, String subject, Instant now);

  @Update(
      """
      update feed set revoked = #{now}
      where pid = #{pid} and membership = #{membership} and revoked is null
      """)
  int revoke(String pid, int membership, Instant now);

  /** At most once a minute, unless another reader asks. */
  @Update(
      """
      update feed set fetched = #{now}, fetched_by = #{by}
      where pid = #{pid} and (fetched is null or fetched_by <> #{by}
        or fetched not between #{now}::timestamptz - interval '1 minute' and #{now})
      """)
  void fetched(String pid, String by, Instant now);
}
