package org.quietlantern.server.arrival;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Duty;
import org.quietlantern.server.group.Absences;
import org.quietlantern.server.group.Groups;
import org.springframework.stereotype.Component;

/** What of the arrivals is whose to review. */
@Component
class Duties {
  private final Groups groups;
  private final Absences absences;

  Duties(Groups groups, Absences absences) {
    this.groups = groups;
    this.absences = absences;
  }

  /** Everybody who has lamps, in a fixed order. */
  List<Groups.InGroup> reviewers(int group) {
    return groups.people(group).stream().filter(one -> !one.role().equals("guest")).toList();
  }

  /** By row number. */
  Map<Integer, Duty> of(int group) {
    ZoneId zone = ZoneId.of(groups.settings(group).zone());
    return of(group, reviewers(group), zone);
  }

  /** {@code zone}: of the group. */
  Map<Integer, Duty> of(int group, List<Groups.InGroup> reviewers, ZoneId zone) {
    Map<Integer, List<Duty.Absence>> away =
        absences.of(group).stream()
            .collect(
                Collectors.groupingBy(
                    Absences.Away::membership,
                    Collectors.mapping(one -> one.in(zone), Collectors.toList())));
    return reviewers.stream()
        .collect(
            Collectors.toMap(
                Groups.InGroup::id,
                one -> new Duty(one.joined(), away.getOrDefault(one.id(), List.of()))));
  }
}
