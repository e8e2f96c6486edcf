package org.quietlantern.server.group;

import java.time.LocalDate;
import java.util.List;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class GroupController {
  private final Groups groups;
  private final Calendar calendar;
  private final LanternProperties properties;

  /**
   * A member as others see them.
   *
   * @param onlyFolders somebody asked to single folders
   * @param librarian whom the group asks about searching
   */
  record Person(
      String id, String name, String letters, String role, boolean onlyFolders, boolean librarian) {
    static Person of(Member member, GroupSettings settings) {
      return new Person(
          member.pid(),
          member.name(),
          member.letters(),
          member.role(),
          member.onlyFolders(),
          settings.librarians().contains(member.pid()));
    }
  }

  /**
   * The group, who asks, and what day it is there.
   *
   * @param zone in which its times are told
   * @param membersInvite whether not only coordinators ask people in
   * @param reasons for passing, offered to be chosen
   * @param usualLimits the set of limits that new sheets begin with
   */
  record GroupView(
      String id,
      String name,
      Person me,
      List<Person> members,
      LocalDate today,
      String zone,
      boolean membersInvite,
      List<String> reasons,
      @Nullable String usualLimits,
      boolean demo) {}

  GroupController(Groups groups, Calendar calendar, LanternProperties properties) {
    this.groups = groups;
    this.calendar = calendar;
    this.properties = properties;
  }

  /** The group, its members, and what day it is there. */
  @GetMapping
  @FolderGuestsMay
  GroupView group(Member me) {
    GroupSettings settings = groups.settings(me.group());
    List<Member> shown = me.onlyFolders() ? List.of(me) : groups.members(me.group());
    return new GroupView(
        me.groupPid(),
        settings.name(),
        Person.of(me, settings),
        shown.stream().map(member -> Person.of(member, settings)).toList(),
        calendar.today(me.zoneId()),
        me.zone(),
        settings.membersInvite(),
        me.onlyFolders() ? List.of() : settings.reasons(),
        me.onlyFolders() ? null : settings.usualLimits(),
        properties.demo().enabled());
  }
}
