package org.quietlantern.server.limitset;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A group's named sets of limits, put on a sheet in one act. */
@Service
public class LimitSets implements CommandKinds {
  private static final int LONGEST_NAME = 80;
  private final LimitSetMapper mapper;
  private final Commands commands;
  private final Groups groups;
  private final Json json;
  private final PublicIds ids;
  private final Calendar calendar;

  private final CommandKind<LimitSet, Before> add =
      new CommandKind<>(
          "limit-set.add",
          LimitSet.class,
          Before.class,
          (who, command, before) -> end(who, before));

  private final CommandKind<LimitSet, Before> remove =
      new CommandKind<>(
          "limit-set.remove",
          LimitSet.class,
          Before.class,
          (who, command, before) -> restore(who, before));

  /** A set: lines of limits, all in force. */
  public record LimitSet(String id, String name, List<StrategyBody.LineBody> limits, String by) {}

  record Before(String set) {}

  LimitSets(
      LimitSetMapper mapper,
      Commands commands,
      Groups groups,
      Json json,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.commands = commands;
    this.groups = groups;
    this.json = json;
    this.ids = ids;
    this.calendar = calendar;
  }

  @Transactional(readOnly = true)
  public List<LimitSet> all(Member who) {
    Map<Integer, String> names = groups.names(who.group());
    return mapper.all(who.group()).stream().map(row -> read(row, names)).toList();
  }

  private LimitSet read(LimitSetMapper.Row row, Map<Integer, String> names) {
    return new LimitSet(
        row.pid(),
        row.name(),
        json.read(row.limits(), StrategyBody.class).lines(),
        names.getOrDefault(row.membership(), "a former member"));
  }

  /** Keeps the limits in force of a strategy under a name. */
  public LimitSet add(Member who, UUID command, String name, Strategy strategy) {
    return commands.run(who, command, add, () -> added(who, name, strategy));
  }

  private CommandResult<LimitSet, Before> added(Member who, String name, Strategy strategy) {
    String clean = name.strip();
    if (clean.isEmpty() || clean.length() > LONGEST_NAME) {
      throw Refusal.unusable(
          "limit-set-name", "A set needs a name of at most " + LONGEST_NAME + " characters.");
    }
    List<Line> limits =
        strategy.limits().filter(line -> !line.off()).map(Line.class::cast).toList();
    if (limits.isEmpty()) {
      throw Refusal.unusable("limit-set", "No limit is in force that could be kept.");
    }
    return make(who, clean, new Strategy(limits));
  }

  private CommandResult<LimitSet, Before> make(Member who, String name, Strategy limits) {
    StrategyBody body = StrategyBody.of(limits);
    String pid = ids.next();
    Integer id = mapper.add(pid, who.group(), name, json.write(body), who.id(), calendar.now());
    if (id == null) {
      throw Refusal.conflict(
          "limit-set-there", "The group has a set of limits named “" + name + "” already.");
    }
    LimitSet made = new LimitSet(pid, name, body.lines(), who.name());
    return CommandResult.of(made, new Before(pid)).changing(Subject.Of.LIMIT_SET, pid);
  }

  /** Takes a set away; strategies that its limits were put on keep them. */
  public LimitSet remove(Member who, UUID command, String pid) {
    return commands.run(who, command, remove, () -> taken(who, pid));
  }

  private CommandResult<LimitSet, Before> taken(Member who, String pid) {
    LimitSetMapper.Row row =
        Optional.ofNullable(mapper.find(who.group(), pid)).orElseThrow(Refusal::unknown);
    mapper.end(who.group(), pid, calendar.now());
    LimitSet gone = read(row, groups.names(who.group()));
    return CommandResult.of(gone, new Before(pid)).changing(Subject.Of.LIMIT_SET, pid);
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(add, remove);
  }

  private String end(Member who, Before before) {
    mapper.end(who.group(), before.set(), calendar.now());
    return "";
  }

  private String restore(Member who, Before before) {
    if (mapper.end(who.group(), before.set(), null) == 0) {
      throw Refusal.conflict("limit-set-there", "The group has a set of that name again.");
    }
    return "";
  }
}
