package org.quietlantern.server.folder;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;

/**
 * Publications that go from one folder to another, one or many as one act, with what was said when
 * they were kept. From where others do not see it into a folder that the whole group sees it is the
 * verdict <i>keep</i> (rule K1).
 */
@Service
public class Moving implements CommandKinds {
  private final CommandKind<Moved, Before> move =
      new CommandKind<>("item.move", Moved.class, Before.class, this::back);
  private final CommandKind<Moved, Before> copy =
      new CommandKind<>("item.copy", Moved.class, Before.class, this::back);

  private final FolderMapper mapper;
  private final Folders folders;
  private final Items items;
  private final AnnotationsAlong annotations;
  private final Publications publications;
  private final Reviews reviews;
  private final Commands commands;

  /**
   * What it came to.
   *
   * @param to name of the folder in which they are now
   * @param publications that went
   * @param there how many of them were in it before
   */
  public record Moved(String from, String to, int publications, int there) {}

  /**
   * One that went.
   *
   * @param taken out of the first folder; none for a copy
   * @param reasons row numbers of what was added in the second
   * @param event the verdict that it was, if it was one
   */
  record One(
      int publication, List<Items.Taken> taken, List<Integer> reasons, @Nullable Integer event) {}

  /**
   * Row numbers.
   *
   * @param from the folder that they left, 0 for a copy
   * @param to the folder to which they went
   * @param along what is said below their entries; absent in what was noted before that was
   */
  record Before(int from, int to, List<One> all, @Nullable AnnotationsAlong.Along along) {}

  Moving(
      FolderMapper mapper,
      Folders folders,
      Items items,
      AnnotationsAlong annotations,
      Publications publications,
      Reviews reviews,
      Commands commands) {
    this.mapper = mapper;
    this.folders = folders;
    this.items = items;
    this.annotations = annotations;
    this.publications = publications;
    this.reviews = reviews;
    this.commands = commands;
  }

  /** Out of one folder into another. What is not in the first any more is refused. */
  public Moved move(Member who, UUID command, String from, String to, List<String> ids) {
    return commands.run(who, command, move, () -> went(who, command, from, to, ids, true));
  }

  /** Into another folder too. */
  public Moved copy(Member who, UUID command, String from, String to, List<String> ids) {
    return commands.run(who, command, copy, () -> went(who, command, from, to, ids, false));
  }

  private CommandResult<Moved, Before> went(
      Member who, UUID command, String from, String to, List<String> ids, boolean leaves) {
    FolderMapper.Folder first = leaves ? folders.toEdit(who, from) : folders.get(who, from);
    FolderMapper.Folder second = folders.toEdit(who, to);
    if (first.id() == second.id()) {
      throw Refusal.unusable("same-folder", "It is in this folder.");
    }
    List<StoredPublication> works = publications.getAll(Viewer.of(who), ids, Keeping.MOST);
    List<One> all = new ArrayList<>();
    List<String> changes = new ArrayList<>();
    int there = 0;
    for (StoredPublication work : works) {
      List<Items.Taken> held =
          leaves ? items.takeOut(first.id(), work.id()) : items.held(first.id(), work.id());
      if (held.isEmpty()) {
        throw Refusal.conflict(
            "changed-since", "Not all of it is in " + first.name() + " any more.");
      }
      there += mapper.findItem(second.id(), work.id()) == null ? 0 : 1;
      List<Items.Taken> taken = leaves ? held : List.of();
      List<Integer> reasons = items.bring(second.id(), work.id(), held);
      changes.add("item:" + second.id() + ":" + work.id());
      if (leaves) {
        changes.addAll(Items.changes(first.id(), work.id(), taken));
      }
      all.add(new One(work.id(), taken, reasons, verdict(who, command, first, second, work)));
    }
    List<Integer> rows = works.stream().map(StoredPublication::id).toList();
    AnnotationsAlong.Along along = annotations.went(first.id(), second.id(), rows, leaves);
    rows.forEach(work -> changes.add("annotation:" + second.id() + ":" + work));
    return CommandResult.of(
            new Moved(first.name(), second.name(), works.size(), there),
            new Before(leaves ? first.id() : 0, second.id(), all, along))
        .changing(changes)
        .about(Subject.Of.FOLDER, List.of(first.pid(), second.pid()))
        .about(Subject.Of.PUBLICATION, works.stream().map(StoredPublication::pid).toList())
        .toldTo(first.pile() || second.pile() ? Audience.ME : Audience.GROUP);
  }

  private @Nullable Integer verdict(
      Member who,
      UUID command,
      FolderMapper.Folder first,
      FolderMapper.Folder second,
      StoredPublication work) {
    return first.closed() && !second.closed()
        ? reviews.mark(who, command, work.id(), Mark.KEEP, "")
        : null;
  }

  private String back(Member who, UUID command, Before before) {
    for (One one : before.all()) {
      if (one.event() != null) {
        reviews.takeBack(who, command, one.publication(), one.event());
      }
      one.reasons().forEach(mapper::removeReason);
      mapper.removeItem(before.to(), one.publication());
      one.taken().forEach(items::putBack);
    }
    if (before.from() == 0) {
      annotations.forget(before.along());
    } else {
      annotations.back(before.along(), before.to(), before.from());
    }
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(move, copy);
  }
}
