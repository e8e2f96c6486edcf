package org.quietlantern.server.group;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.quietlantern.core.review.Duty;
import org.quietlantern.server.platform.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** On which days members are away, in the group's zone. */
@Service
public class Absences {
  private final AbsenceMapper mapper;
  private final ApplicationEventPublisher events;

  /**
   * Days on which a member is away.
   *
   * @param membership row number
   * @param fromDay the first
   * @param toDay the last; absent: until further notice
   * @param at when it was noted
   */
  public record Away(
      String pid, int membership, LocalDate fromDay, @Nullable LocalDate toDay, Instant at) {
    /** Whether it holds on a day. */
    public boolean holds(LocalDate day) {
      return !day.isBefore(fromDay) && (toDay == null || !day.isAfter(toDay));
    }

    /** In the moments of a zone. */
    public Duty.Absence in(ZoneId zone) {
      return new Duty.Absence(
          fromDay.atStartOfDay(zone).toInstant(),
          toDay == null ? Instant.MAX : toDay.plusDays(1).atStartOfDay(zone).toInstant());
    }
  }

  Absences(AbsenceMapper mapper, ApplicationEventPublisher events) {
    this.mapper = mapper;
    this.events = events;
  }

  /** Of everybody who is in a group, past and to come, in the order of their days. */
  @Transactional(readOnly = true)
  public List<Away> of(int group) {
    return mapper.of(group);
  }

  /** Notes one, as a part of a command. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void add(int group, Away away) {
    mapper.add(away);
    events.publishEvent(new Groups.PeopleChanged(group));
  }

  /** Forgets one, as a part of a command. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void remove(int group, String pid) {
    mapper.remove(pid);
    events.publishEvent(new Groups.PeopleChanged(group));
  }
}
