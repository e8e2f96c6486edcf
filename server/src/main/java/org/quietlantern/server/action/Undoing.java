package org.quietlantern.server.action;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.Zones;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Takes back what a member did. */
@Service
public class Undoing {
  private static final CommandKind<Undone, CommandKind.Nothing> UNDO =
      CommandKind.forGood(
          "undo", Undone.class, "An undo stays; what it took back can be done again.");

  private final ActionMapper mapper;
  private final Commands commands;
  private final Json json;
  private final Map<String, CommandKind<?, ?>> kinds;

  /** What an undo came to; {@code note} is empty when all was taken back. */
  public record Undone(String what, String note) {}

  Undoing(ActionMapper mapper, Commands commands, Json json, List<CommandKinds> services) {
    this.mapper = mapper;
    this.commands = commands;
    this.json = json;
    this.kinds =
        services.stream()
            .flatMap(service -> service.kinds().stream())
            .collect(Collectors.toMap(CommandKind::name, Function.identity()));
  }

  /** Every kind of command that there is, without the undo itself. */
  public Map<String, CommandKind<?, ?>> kinds() {
    return Map.copyOf(kinds);
  }

  public Undone undo(Member who, UUID command, UUID target) {
    return commands.run(who, command, UNDO, () -> takeBack(who, command, target));
  }

  private CommandResult<Undone, CommandKind.Nothing> takeBack(
      Member who, UUID command, UUID target) {
    ActionMapper.Row action = mapper.find(target);
    if (action == null || action.membership() == null || action.membership() != who.id()) {
      throw Refusal.unknown();
    }
    refuseWithoutRight(who, action);
    CommandKind<?, ?> kind = kinds.getOrDefault(action.what(), UNDO);
    ActionMapper.ChangedSince later =
        mapper.changedSince(who.group(), action.changes(), action.no());
    if (later != null) {
      throw Refusal.conflict("changed-since", changedSince(who, later));
    }
    if (mapper.markUndone(target, command) == 0) {
      throw Refusal.conflict("undone-already", "This was undone already.");
    }
    String note = takeBack(kind, who, command, action.before());
    return CommandKind.done(new Undone(action.what(), note))
        .changing(List.of(action.changes()))
        .about(Stream.of(action.about()).map(Subject::of).toList());
  }

  /** Whoever may not change a folder any more does not change it by an undo. */
  private void refuseWithoutRight(Member who, ActionMapper.Row action) {
    // All that guests do; who was a member once takes nothing else back any more.
    if (!who.mayWrite() && !action.what().startsWith("remark.")) {
      throw new Refusal(HttpStatus.FORBIDDEN, "guest", "Guests take back what they said only.");
    }
    String may = mapper.mayDoIn(who.id(), action.about());
    if ("nothing".equals(may)) {
      throw Refusal.unknown();
    }
    if (may != null && !may.equals("edit")) {
      throw new Refusal(
          HttpStatus.FORBIDDEN, "not-yours", "You may only read that folder now, so it stays.");
    }
  }

  private static String changedSince(Member who, ActionMapper.ChangedSince later) {
    String name =
        later.name() == null ? "somebody" : later.name().equals(who.name()) ? "you" : later.name();
    return "It was changed again since, by %s on %s, so it stays as it is."
        .formatted(name, Zones.day(later.at(), who.zoneId()));
  }

  private <B> String takeBack(CommandKind<?, B> kind, Member who, UUID command, String before) {
    return kind.back().back(who, command, json.read(before, kind.before()));
  }
}
