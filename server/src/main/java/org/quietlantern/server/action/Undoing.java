package org.quietlantern.server.action;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes back what a member did. */
@Service
public class Undoing {
  private final ActionMapper mapper;
  private final Commands commands;
  private final Json json;
  private final Map<String, Undoer<?>> undoers;

  /** What an undo came to; {@code note} is empty when all was taken back. */
  public record Undone(String what, String note) {}

  Undoing(ActionMapper mapper, Commands commands, Json json, List<Undoable> undoable) {
    this.mapper = mapper;
    this.commands = commands;
    this.json = json;
    this.undoers =
        undoable.stream()
            .flatMap(service -> service.undoers().stream())
            .collect(Collectors.toMap(Undoer::what, Function.identity()));
  }

  @Transactional
  public Undone undo(Member who, UUID command, UUID target) {
    return commands.run(who, command, "undo", Undone.class, () -> takeBack(who, command, target));
  }

  private Done<Undone> takeBack(Member who, UUID command, UUID target) {
    ActionMapper.Row action = mapper.find(target);
    if (action == null || action.membership() == null || action.membership() != who.id()) {
      throw Refusal.unknown();
    }
    Undoer<?> undoer = undoers.get(action.what());
    if (undoer == null) {
      throw Refusal.conflict("cannot-be-undone", "This cannot be undone.");
    }
    if (mapper.changedSince(who.group(), action.subjects(), action.no())) {
      throw Refusal.conflict("changed-since", "It was changed again since, so it stays as it is.");
    }
    if (mapper.markUndone(target, command) == 0) {
      throw Refusal.conflict("undone-already", "This was undone already.");
    }
    String note = undo(undoer, who, command, action.before());
    return new Done<>(
        List.of(action.subjects()),
        Map.of("command", target),
        Map.of("what", action.what()),
        new Undone(action.what(), note));
  }

  private <B> String undo(Undoer<B> undoer, Member who, UUID command, String before) {
    return undoer.step().back(who, command, json.read(before, undoer.type()));
  }
}
