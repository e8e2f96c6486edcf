package org.quietlantern.server.alert;

import java.time.Instant;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.platform.Calendar;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Rounds that gather close by the days of their group (rule N6), wherever those begin. */
@Component
class ZoneOfRounds {
  private final AlertMapper mapper;
  private final Rounds rounds;
  private final Calendar calendar;

  ZoneOfRounds(AlertMapper mapper, Rounds rounds, Calendar calendar) {
    this.mapper = mapper;
    this.rounds = rounds;
    this.calendar = calendar;
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void changed(Groups.ZoneChanged group) {
    Instant now = calendar.now();
    for (int id : mapper.openOf(group.group())) {
      rounds.reschedule(id, mapper.lock(id).nextClosing(now));
    }
  }
}
