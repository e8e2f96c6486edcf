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
        case when m.only_folders then '' else g.resolver_address end as resolver,
        g.citation_style, g.citation_language
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

  /** {@code usualLimits}: public id of a set that is still there. */
  record SettingsRow(
      String name,
      String zone,
      boolean membersInvite,
      @Nullable String usualLimits,
      String[] reasons,
      String citationStyle,
      String citationLanguage,
      int version) {}

  @Select(
      """
      select g.name, g.zone, g.invites = 'members' as members_invite, s.pid as usual_limits,
        g.reasons, g.citation_style, g.citation_language, g.settings_version as version
      from grp g left join limit_set s on s.id = g.usual_limits and s.ended is null
      where g.id = #{group}
      """)
  SettingsRow settings(int group);

  @Update(
      """
      update grp set name = #{row.name}, zone = #{row.zone},
        invites = case when #{row.membersInvite} then 'members' else 'coordinators' end,
        usual_limits = (select id from limit_set
          where grp = #{group} and pid = #{row.usualLimits}::text and ended is null),
        reasons = #{row.reasons}::text[], citation_style = coalesce(nullif(#{row.citationStyle}, ''), citation_style),
        citation_language = #{row.citationLanguage}, settings_version = #{row.version}
      where id = #{group}
      """)
  void set(int group, SettingsRow row);

  @Select(
      """
      select pid from membership
      where grp = #{group} and librarian and left_at is null and role <> 'guest' order by id
      """)
  List<String> librarians(int group);

  @Update(
      """
      update membership set librarian = pid = any(#{librarians}::text[])
      where grp = #{group} and librarian <> (pid = any(#{librarians}::text[]))
      """)
  void setLibrarians(int group, String[] librarians);

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

  @Select(
      """
      select left_at from membership
      where grp = #{group} and left_at >= #{since} and role <> 'guest' order by left_at
      """)
  List<Instant> leftSince(int group, Instant since);

  @Update(
      """
      update membership set role = #{role}, only_folders = #{onlyFolders} where id = #{membership}
      """)
  void setRole(int membership, String role, boolean onlyFolders);

  @Update("update membership set left_at = #{at} where id = #{membership}")
  void setLeft(int membership, @Nullable Instant at);

  @Select(
      """
      select a.erased is not null from membership m join account a on a.id = m.account
      where m.id = #{membership}
      """)
  boolean isErased(int membership);

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
