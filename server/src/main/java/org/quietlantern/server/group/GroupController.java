package org.quietlantern.server.group;

import java.time.LocalDate;
import java.util.List;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class GroupController {
  private final Groups groups;
  private final Calendar calendar;
  private final LanternProperties properties;

  /** A member as others see them; {@code onlyFolders}: somebody asked to single folders. */
  record Person(String id, String name, String letters, String role, boolean onlyFolders) {
    static Person of(Member member) {
      return new Person(
          member.pid(), member.name(), member.letters(), member.role(), member.onlyFolders());
    }
  }

  /** The group, who asks, and what day it is there; {@code zone}: in which its times are told. */
  record GroupView(
      String id,
      String name,
      Person me,
      List<Person> members,
      LocalDate today,
      String zone,
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
    return new GroupView(
        me.groupPid(),
        groups.name(me.group()),
        Person.of(me),
        me.onlyFolders()
            ? List.of(Person.of(me))
            : groups.members(me.group()).stream().map(Person::of).toList(),
        calendar.today(me.zoneId()),
        me.zone(),
        properties.demo().enabled());
  }
}
