package org.quietlantern.server.limitset;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoable;
import org.quietlantern.server.action.Undoer;
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
public class LimitSets implements Undoable {
  private static final String ADD = "limit-set.add";
  private static final String REMOVE = "limit-set.remove";
  private static final int LONGEST_NAME = 80;
  private final LimitSetMapper mapper;
  private final Commands commands;
  private final Groups groups;
  private final Json json;
  private final PublicIds ids;
  private final Calendar calendar;

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
  @Transactional
  public LimitSet add(Member who, UUID command, String name, Strategy strategy) {
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
    return commands.run(
        who, command, ADD, LimitSet.class, () -> make(who, clean, new Strategy(limits)));
  }

  private Done<LimitSet> make(Member who, String name, Strategy limits) {
    StrategyBody body = StrategyBody.of(limits);
    String pid = ids.next();
    Integer id = mapper.add(pid, who.group(), name, json.write(body), who.id(), calendar.now());
    if (id == null) {
      throw Refusal.conflict(
          "limit-set-there", "The group has a set of limits named “" + name + "” already.");
    }
    LimitSet made = new LimitSet(pid, name, body.lines(), who.name());
    return new Done<>("limit-set:" + pid, new Before(pid), Map.of("name", name), made);
  }

  /** Takes a set away; strategies that its limits were put on keep them. */
  @Transactional
  public LimitSet remove(Member who, UUID command, String pid) {
    return commands.run(who, command, REMOVE, LimitSet.class, () -> taken(who, pid));
  }

  private Done<LimitSet> taken(Member who, String pid) {
    LimitSetMapper.Row row =
        Optional.ofNullable(mapper.find(who.group(), pid)).orElseThrow(Refusal::unknown);
    mapper.end(who.group(), pid, calendar.now());
    LimitSet gone = read(row, groups.names(who.group()));
    return new Done<>("limit-set:" + pid, new Before(pid), Map.of("name", row.name()), gone);
  }

  @Override
  public List<Undoer<?>> undoers() {
    return List.of(
        new Undoer<>(ADD, Before.class, (who, command, before) -> end(who, before)),
        new Undoer<>(REMOVE, Before.class, (who, command, before) -> restore(who, before)));
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
