package org.quietlantern.server.matching;

import java.util.List;
import java.util.Map;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.Found;
import org.quietlantern.core.search.Lighter;
import org.quietlantern.core.search.Order;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.search.Why;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Searching the catalogue for people. */
@Service
public class Matching {
  private final IndexKeeper index;
  private final Calendar calendar;

  Matching(IndexKeeper index, Calendar calendar) {
    this.index = index;
    this.calendar = calendar;
  }

  /** Matching a state that holds at least the change {@code waitFor}. */
  public Answer search(Member who, Strategy strategy, Order order, long waitFor) {
    try (Snapshot snapshot = index.snapshot(waitFor)) {
      Compiled.Ready ready = compile(snapshot, strategy);
      Found found = snapshot.search(ready, order);
      return new Answer(
          found.count(),
          new AsOf(snapshot.number(), calendar.today(who.zoneId())).token(),
          snapshot.number(),
          found.publicIds(),
          ready.notes().stream().map(Matching::note).toList(),
          ready.covers().stream()
              .map(c -> new Answer.Cut(c.line(), c.typed(), c.words()))
              .toList());
    }
  }

  /** A strategy that can be searched in this state; refused with places otherwise. */
  public static Compiled.Ready compile(Snapshot snapshot, Strategy strategy) {
    Compiled compiled = snapshot.compile(strategy);
    if (compiled instanceof Compiled.Refused refused) {
      List<Answer.Note> problems = refused.problems().stream().map(Matching::note).toList();
      throw new Refusal(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "search-problem",
          problems.get(0).sentence(),
          Map.of("problems", problems));
    }
    return (Compiled.Ready) compiled;
  }

  /** Which words a publication was met by, and where. */
  public List<Why> why(Strategy strategy, int publication) {
    try (Snapshot snapshot = index.snapshot(0)) {
      return snapshot.why(strategy, publication);
    }
  }

  /** Where matched words stand in a shown text. */
  public static List<Span> lit(Strategy strategy, Field field, String text) {
    return new Lighter(strategy).lit(field, text);
  }

  private static Answer.Note note(Compiled.Placed placed) {
    Problem problem = placed.problem();
    return new Answer.Note(
        placed.line(),
        problem.code().name(),
        problem.span().column(),
        problem.span(),
        problem.sentence());
  }
}
