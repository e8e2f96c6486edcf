package org.quietlantern.server.alert;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Who gets an alert by mail. */
@Mapper
interface ReceiverMapper {
  /** A member who is here, and whether they get it. */
  record Receiver(int membership, String pid, String name, boolean receives) {}

  @Select(
      """
      select m.id as membership, m.pid, m.name,
        coalesce(c.receives, a.for_all and m.role <> 'guest') as receives
      from alert a join membership m on m.grp = a.grp and m.left_at is null and not m.only_folders
      left join alert_receiver c on c.alert = a.id and c.membership = m.id
      where a.id = #{alert} order by lower(m.name), m.id
      """)
  List<Receiver> receivers(int alert);

  @Select("select for_all from alert where id = #{alert}")
  boolean isForAll(int alert);

  @Insert(
      """
      insert into alert_receiver (alert, membership, receives)
      values (#{alert}, #{membership}, #{receives})
      on conflict (alert, membership) do update set receives = excluded.receives
      """)
  void set(int alert, int membership, boolean receives);

  @Update("update alert set for_all = false where id = #{alert}")
  void forSome(int alert);

  /** Answers 0 where there is no such member, or no such alert in their group. */
  @Insert(
      """
      insert into alert_receiver (alert, membership, receives)
      select a.id, m.id, false from membership m join alert a on a.grp = m.grp
      where m.pid = #{membership} and a.pid = #{alert}
      on conflict (alert, membership) do update set receives = false
      """)
  int stop(String membership, String alert);

  @Select(
      """
      select s.name from alert a join revision v on v.id = a.revision
      join saved_search s on s.id = v.saved_search where a.pid = #{alert}
      """)
  String name(String alert);
}
