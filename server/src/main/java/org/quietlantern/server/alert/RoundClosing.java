package org.quietlantern.server.alert;

import java.time.Instant;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.arrival.Rounds;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Closes one round and opens the next, in one transaction under the lock of its alert. */
@Component
class RoundClosing {
  private final AlertMapper mapper;
  private final Rounds rounds;
  private final Commands actions;
  private final Calendar calendar;
  private final Checkpoint checkpoint;

  RoundClosing(
      AlertMapper mapper,
      Rounds rounds,
      Commands actions,
      Calendar calendar,
      Checkpoint checkpoint) {
    this.mapper = mapper;
    this.rounds = rounds;
    this.actions = actions;
    this.calendar = calendar;
    this.checkpoint = checkpoint;
  }

  @Transactional
  public void close(Rounds.Due due) {
    AlertMapper.Row alert = mapper.lock(due.alert());
    Instant now = calendar.now();
    if (!rounds.close(due.round(), now)) {
      return;
    }
    checkpoint.pass("round: closed, next not opened");
    rounds.open(alert.id(), now, alert.nextClosing(now));
    actions.note(alert.grp(), "round.closed", new Subject(Subject.Of.ALERT, alert.pid()));
    checkpoint.pass("round: closed, not committed");
  }
}
