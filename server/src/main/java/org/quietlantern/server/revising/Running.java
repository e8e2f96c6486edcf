package org.quietlantern.server.revising;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.LineCounts;
import org.quietlantern.core.search.Order;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;

/** Runs of saved searches: each is a step; those of a documented search are kept with it. */
@Service
public class Running implements CommandKinds {
  private static final CommandKind<Trail.StepMade, CommandKind.Nothing> RUN =
      CommandKind.forGood(
          "search.run", Trail.StepMade.class, "What was searched stays on the trail.");

  private static final Ordering NEWEST_HERE = new Ordering(Order.HERE, false);
  private final RevisingMapper mapper;
  private final Revisions revisions;
  private final Matching matching;
  private final Trail trail;
  private final Commands commands;
  private final Json json;
  private final Calendar calendar;

  /** What a line found in a run; {@code left} none for a line that rules out. */
  record LineRun(String line, int alone, Optional<Integer> left) {}

  Running(
      RevisingMapper mapper,
      Revisions revisions,
      Matching matching,
      Trail trail,
      Commands commands,
      Json json,
      Calendar calendar) {
    this.mapper = mapper;
    this.revisions = revisions;
    this.matching = matching;
    this.trail = trail;
    this.commands = commands;
    this.json = json;
    this.calendar = calendar;
  }

  /** Settles what the newest revision says, as a step of the member. */
  public Trail.StepMade run(Member who, UUID command, String search) {
    return commands.run(
        who,
        command,
        RUN,
        () -> {
          Revisions.Revision revision = revisions.latest(who, search);
          return new Ran(revision, matching.look(who, look -> found(who, revision, look)));
        },
        ran -> make(who, search, ran));
  }

  private record Ran(Revisions.Revision revision, RevisingMapper.Run run) {}

  private CommandResult<Trail.StepMade, CommandKind.Nothing> make(
      Member who, String search, Ran ran) {
    Strategy strategy = ran.revision().strategy().strategy();
    Trail.StepMade step =
        trail.add(who, strategy, NEWEST_HERE, ran.run().count(), ran.run().asOf());
    if (revisions.documented(search).isPresent() && who.mayWrite()) {
      mapper.addRun(ran.run());
    }
    return CommandKind.done(step)
        .changing(List.of("run:" + step.step()))
        .about(Subject.Of.SEARCH, List.of(search))
        .toldTo(Audience.ME);
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(RUN);
  }

  private RevisingMapper.Run found(Member who, Revisions.Revision revision, Matching.Look look) {
    var ready = look.compile(revision.strategy().strategy());
    List<LineRun> lines =
        new LineCounts(look.snapshot(), ready)
            .all().stream()
                .map(line -> new LineRun(line.line(), line.alone(), line.left()))
                .toList();
    return new RevisingMapper.Run(
        revision.row(),
        who.id(),
        look.snapshot().count(ready),
        json.write(lines),
        look.asOf(),
        calendar.now());
  }
}
