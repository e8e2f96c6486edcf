package org.quietlantern.server.meeting;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.quietlantern.core.review.Unsettled;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.review.OpenPoints;
import org.springframework.stereotype.Component;

/**
 * What a meeting is about. Until it begins: what is raised, then what members disagree on, what has
 * stood longest first. From then on what stood open when it began, and what was taken on since.
 */
@Component
class Agenda {
  /** Works of each sort; the page says how many more there are. */
  static final int MOST = 200;

  private final MeetingMapper mapper;
  private final OpenPoints points;

  /** {@code why}: {@code raised} or {@code disputed}. */
  record Work(OpenPoints.OpenPoint point, Unsettled why) {
    Place place() {
      return new Place(point.work(), point.on());
    }
  }

  /** A work (row number) on an occasion. */
  record Place(int work, Coming on) {}

  Agenda(MeetingMapper mapper, OpenPoints points) {
    this.mapper = mapper;
    this.points = points;
  }

  List<Work> of(Member who, MeetingMapper.Row meeting) {
    return meeting.begun() == null
        ? standing(who)
        : mapper.agenda(meeting.id()).stream()
            .map(
                row ->
                    new Work(
                        new OpenPoints.OpenPoint(
                            row.occasion(),
                            row.work(),
                            Coming.stored(row.kind(), row.key()),
                            row.at(),
                            0),
                        Unsettled.named(row.why()).orElseThrow()))
            .toList();
  }

  /** What stands open now and is not on the agenda of a meeting. */
  List<Work> since(Member who, List<Work> agenda) {
    Set<Place> there = new HashSet<>(agenda.stream().map(Work::place).toList());
    return standing(who).stream().filter(work -> !there.contains(work.place())).toList();
  }

  /** How many stand open beyond those that an agenda holds. */
  int more(Member who) {
    Map<Unsettled, Integer> counts = points.counts(who.group());
    return Math.max(0, counts.getOrDefault(Unsettled.RAISED, 0) - MOST)
        + Math.max(0, counts.getOrDefault(Unsettled.DISPUTED, 0) - MOST);
  }

  /** What stands open now. */
  List<Work> standing(Member who) {
    List<Work> all = new ArrayList<>();
    Set<Place> there = new HashSet<>();
    for (Unsettled why : List.of(Unsettled.RAISED, Unsettled.DISPUTED)) {
      List<OpenPoints.OpenPoint> found = new ArrayList<>(points.page(who.group(), why, 0, MOST));
      Collections.reverse(found);
      found.stream()
          .map(point -> new Work(point, why))
          .filter(work -> there.add(work.place()))
          .forEach(all::add);
    }
    return all;
  }
}
