package org.quietlantern.server.group;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
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
  private final Absences absences;
  private final Calendar calendar;
  private final LanternProperties properties;

  /**
   * A member as others see them.
   *
   * @param onlyFolders somebody asked to single folders
   * @param librarian whom the group asks about searching
   * @param away present while they are away
   */
  record Person(
      String id,
      String name,
      String letters,
      String role,
      boolean onlyFolders,
      boolean librarian,
      @Nullable AwayNow away) {
    static Person of(Member member, GroupSettings settings, Map<Integer, AwayNow> away) {
      return new Person(
          member.pid(),
          member.name(),
          member.letters(),
          member.role(),
          member.onlyFolders(),
          settings.librarians().contains(member.pid()),
          away.get(member.id()));
    }
  }

  /** {@code to}: the last day; absent: until further notice. */
  record AwayNow(@Nullable LocalDate to) {}

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

  GroupController(
      Groups groups, Absences absences, Calendar calendar, LanternProperties properties) {
    this.groups = groups;
    this.absences = absences;
    this.calendar = calendar;
    this.properties = properties;
  }

  /** The group, its members, and what day it is there. */
  @GetMapping
  @FolderGuestsMay
  GroupView group(Member me) {
    GroupSettings settings = groups.settings(me.group());
    LocalDate today = calendar.today(me.zoneId());
    Map<Integer, AwayNow> away =
        absences.of(me.group()).stream()
            .filter(one -> one.holds(today))
            .collect(
                Collectors.toMap(
                    Absences.Away::membership,
                    one -> new AwayNow(one.toDay()),
                    GroupController::longer));
    List<Member> shown = me.onlyFolders() ? List.of(me) : groups.members(me.group());
    return new GroupView(
        me.groupPid(),
        settings.name(),
        Person.of(me, settings, away),
        shown.stream().map(member -> Person.of(member, settings, away)).toList(),
        today,
        me.zone(),
        settings.membersInvite(),
        me.onlyFolders() ? List.of() : settings.reasons(),
        me.onlyFolders() ? null : settings.usualLimits(),
        properties.demo().enabled());
  }

  private static AwayNow longer(AwayNow one, AwayNow other) {
    if (one.to() == null || other.to() == null) {
      return new AwayNow(null);
    }
    return other.to().isBefore(one.to()) ? one : other;
  }
}
