package org.quietlantern.server.group;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface GroupMapper {
  record Row(int id, String pid, String name, String zone) {}

  String MEMBERS =
      """
      select m.id, m.pid, m.grp as "group", g.pid as group_pid, m.name, m.letters, m.role,
        m.only_folders, g.zone, g.texts,
        case when m.only_folders then '' else g.resolver_name end as library,
        case when m.only_folders then '' else g.resolver_address end as resolver
      from membership m join grp g on g.id = m.grp
      """;

  @Select(
      MEMBERS
          + """
      where g.pid = #{group} and m.account = #{account} and m.left_at is null
      """)
  Member findMember(String group, int account);

  @Select("select id, pid, name, zone from grp where id = #{group}")
  Row get(int group);

  @Select("select exists (select 1 from grp)")
  boolean any();

  @Select(
      MEMBERS
          + """
      where m.grp = #{group} and m.left_at is null
      order by m.id
      """)
  List<Member> members(int group);

  @Select(
      MEMBERS
          + """
      where m.left_at is null order by m.id
      """)
  List<Member> everybody();

  @Select(
      """
      select m.id, m.pid, m.name, m.role, m.only_folders, a.email, m.joined
      from membership m join account a on a.id = m.account
      where m.grp = #{group} and m.left_at is null order by m.id
      """)
  List<Groups.InGroup> people(int group);

  @Update(
      """
      update membership set role = #{role}, only_folders = #{onlyFolders} where id = #{membership}
      """)
  void setRole(int membership, String role, boolean onlyFolders);

  @Update("update membership set left_at = #{at} where id = #{membership}")
  void setLeft(int membership, @Nullable Instant at);

  /** Answers 0 for who was never in the group. */
  @Update(
      """
      update membership set left_at = null, joined = #{now}, role = #{coming.role},
        name = #{coming.name}, only_folders = #{coming.onlyFolders}
      where grp = #{coming.group} and account = #{coming.account}
      """)
  int comeAgain(Groups.Coming coming, Instant now);

  /** The one that something founded; null if it did not. */
  @Select("select id, pid, name, zone from grp where founding = #{founding}")
  Row founded(UUID founding);

  @Select(
      """
      insert into grp (pid, name, zone, founding)
      values (#{pid}, #{name}, #{zone}, #{founding}) on conflict do nothing returning id
      """)
  Integer found(String pid, String name, String zone, UUID founding);

  @Select("insert into grp (pid, name, zone) values (#{pid}, #{name}, #{zone}) returning id")
  int add(String pid, String name, String zone);

  @Select(
      """
      select a.steward from membership m join account a on a.id = m.account
      where m.id = #{membership}
      """)
  boolean isSteward(int membership);

  @Select("select account from membership where id = #{membership}")
  int account(int membership);

  @Select(
      """
      insert into membership (pid, grp, account, role, only_folders, name, letters, joined)
      values (#{pid}, #{coming.group}, #{coming.account}, #{coming.role}, #{coming.onlyFolders},
        #{coming.name}, #{letters}, #{now})
      returning id
      """)
  int join(String pid, Groups.Coming coming, String letters, Instant now);
}
