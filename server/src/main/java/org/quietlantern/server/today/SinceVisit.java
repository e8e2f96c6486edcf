package org.quietlantern.server.today;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.quietlantern.core.activity.Deed;
import org.quietlantern.core.activity.Folding;
import org.quietlantern.core.activity.Wording;
import org.quietlantern.server.action.Happenings;
import org.quietlantern.server.activity.Activity;
import org.quietlantern.server.activity.DeedShown;
import org.quietlantern.server.activity.Naming;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What others did since a member was here last. */
@Service
public class SinceVisit {
  /** After so long without a sign of the member, a visit has ended. */
  private static final Duration AWAY = Duration.ofHours(1);

  /** Actions that are told, folded into lines; of older ones it is said that they are there. */
  private static final int MOST = 2_000;

  /** Lines that are shown; the activity has all. */
  private static final int LINES = 60;

  private final VisitMapper visits;
  private final Happenings happenings;
  private final Naming naming;
  private final Calendar calendar;

  /**
   * @param since when the last visit ended; when the member joined, if this is the first
   * @param lines folded by person and thing
   * @param more whether there is more than the lines say
   */
  public record DoneSince(Instant since, List<DeedShown> lines, boolean more) {}

  SinceVisit(VisitMapper visits, Happenings happenings, Naming naming, Calendar calendar) {
    this.visits = visits;
    this.happenings = happenings;
    this.naming = naming;
    this.calendar = calendar;
  }

  @Transactional(readOnly = true)
  DoneSince of(Member who) {
    Instant since = visits.since(who.id());
    List<Happenings.Done> done = happenings.byOthers(who, Wording.UNTOLD, since, MOST + 1);
    List<Deed> lines =
        Folding.fold(
            done.stream().limit(MOST).map(Activity::deed).flatMap(Optional::stream).toList());
    return new DoneSince(
        since,
        naming.shown(who, lines.stream().limit(LINES).toList()),
        done.size() > MOST || lines.size() > LINES);
  }

  /** Notes that the member is here; after {@link #AWAY} without that, it begins another visit. */
  @Transactional
  public void visit(Member who) {
    Instant now = calendar.now();
    visits.seen(who.id(), now, now.minus(AWAY));
  }
}
