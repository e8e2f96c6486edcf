package org.quietlantern.server.folder;

import java.util.ArrayList;
import java.util.LinkedHashSet;
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
import org.quietlantern.server.review.ReadersApart;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeping from a list: one act, of one publication or several, confirmed with the folder's name,
 * undoable. In a folder that the whole group sees it is the verdict <i>keep</i>; in a pile, or a
 * folder for some only, others see that the member has seen it, nothing else (rule K1).
 */
@Service
public class Keeping implements CommandKinds {
  /** Publications that one act keeps. */
  static final int MOST = 500;

  /** Letters of a note. */
  public static final int LONGEST_NOTE = 4000;

  private final FolderMapper mapper;
  private final Folders folders;
  private final Piles piles;
  private final Items items;
  private final Publications publications;
  private final Reviews reviews;
  private final ReadersApart apart;
  private final Trail trail;
  private final Commands commands;

  private final CommandKind<KeepResult, Before> keep =
      new CommandKind<>("item.keep", KeepResult.class, Before.class, this::takeBack);

  private final CommandKind<KeepResult, Before> keepInPile =
      new CommandKind<>("pile.keep", KeepResult.class, Before.class, this::takeBack);

  /**
   * What is kept.
   *
   * @param step the step of the member's trail that led to it, if one did
   */
  public record ToKeep(List<String> publications, String note, @Nullable String step) {}

  /** One of what was kept; {@code reason} and {@code event} where something was added. */
  record One(int publication, @Nullable Integer reason, @Nullable Integer event) {}

  /** {@code folder}: its row number. */
  record Before(int folder, List<One> kept) {}

  Keeping(
      FolderMapper mapper,
      Folders folders,
      Piles piles,
      Items items,
      Publications publications,
      Reviews reviews,
      ReadersApart apart,
      Trail trail,
      Commands commands) {
    this.mapper = mapper;
    this.folders = folders;
    this.piles = piles;
    this.items = items;
    this.publications = publications;
    this.reviews = reviews;
    this.apart = apart;
    this.trail = trail;
    this.commands = commands;
  }

  /** Keeps in a folder that the member may change. */
  public KeepResult keep(Member who, UUID command, String folder, ToKeep wanted) {
    return folders.isPile(who, folder)
        ? keepInPile(who, command, wanted)
        : commands.run(
            who,
            command,
            keep,
            () -> {
              FolderMapper.Folder into = folders.toEdit(who, folder);
              return kept(who, command, into.id(), into.closed(), wanted);
            });
  }

  /** Keeps in the member's own pile, which is made when it is first needed. */
  public KeepResult keepInPile(Member who, UUID command, ToKeep wanted) {
    return commands.run(
        who,
        command,
        keepInPile,
        () -> kept(who, command, piles.of(who), true, wanted).toldTo(Audience.ME));
  }

  private CommandResult<KeepResult, Before> kept(
      Member who, UUID command, int folder, boolean closed, ToKeep wanted) {
    if (wanted.note().length() > LONGEST_NOTE) {
      throw Refusal.unusable("note", "A note has at most 4,000 characters.");
    }
    List<StoredPublication> works =
        publications.getAll(Viewer.of(who), wanted.publications(), MOST);
    Integer step = trail.findStep(who, wanted.step()).orElse(null);
    String note = wanted.note().strip();
    List<One> kept = new ArrayList<>();
    Items.Placed last = null;
    int added = 0;
    for (StoredPublication work : works) {
      last =
          closed
              ? items.put(who, folder, work, note, step)
              : items.place(who, command, folder, work, note, step);
      Integer event = closed ? seen(who, command, work) : last.event();
      kept.add(new One(work.id(), last.reason(), event));
      added += last.already() ? 0 : 1;
    }
    KeepResult answer =
        new KeepResult(
            last.folderId(),
            last.folder(),
            works.size(),
            added,
            added == 0,
            last.keeper(),
            last.elsewhere());
    return CommandResult.of(answer, new Before(folder, kept))
        .changing(works.stream().map(work -> Items.keep(folder, work.id(), who.id())).toList())
        .about(Subject.Of.FOLDER, List.of(last.folderId()))
        .about(Subject.Of.PUBLICATION, works.stream().map(StoredPublication::pid).toList());
  }

  /** A folder that a longer act keeps in. */
  public record Into(int folder, boolean closed) {}

  /** What keeping a work came to, for taking it back. */
  public record Along(boolean already, @Nullable Integer reason, @Nullable Integer event) {}

  /** A folder (row number) that is there and that the member may change. */
  @Transactional(readOnly = true)
  public Into into(Member who, int folder) {
    folders.requireEdit(who, folder);
    folders.requireThere(folder);
    return new Into(folder, mapper.byId(who.id(), folder).closed());
  }

  /**
   * Keeps a work as a part of a longer act; what it says is what keeping it by hand says, but where
   * the group decides on it apart: there it says nothing.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public Along along(Member who, UUID command, Into into, StoredPublication work, String note) {
    Items.Added added = items.add(who.id(), into.folder(), work, note, null);
    Integer event =
        into.closed() || apart.isFirstAmong(who.group(), work.id())
            ? seen(who, command, work)
            : Integer.valueOf(reviews.mark(who, command, work.id(), Mark.KEEP, note));
    return new Along(added.already(), added.reason(), event);
  }

  /**
   * Takes back what a longer act kept; what others kept stays.
   *
   * @param folder row number; absent where it is not there any more
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void back(
      Member who, UUID command, @Nullable Integer folder, int publication, Along along) {
    if (along.event() != null) {
      reviews.takeBack(who, command, publication, along.event());
    }
    if (along.reason() != null && folder != null) {
      items.removeReason(who, folder, publication, along.reason());
    }
  }

  /** Others see that the member has seen it; who said something before says nothing new. */
  private @Nullable Integer seen(Member who, UUID command, StoredPublication work) {
    return reviews.of(who, work.id()).isPresent()
        ? null
        : reviews.mark(who, command, work.id(), Mark.SEEN, "");
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(keep, keepInPile);
  }

  private String takeBack(Member who, UUID command, Before before) {
    LinkedHashSet<String> notes = new LinkedHashSet<>();
    boolean pile = mapper.byId(who.id(), before.folder()).pile();
    for (One one : before.kept()) {
      if (one.event() != null) {
        reviews.takeBack(who, command, one.publication(), one.event());
      }
      notes.add(
          one.reason() != null
              ? items.removeReason(who, before.folder(), one.publication(), one.reason())
              : "It was in the " + (pile ? "pile" : "folder") + " before, and stays there.");
    }
    notes.remove("");
    return String.join(" ", notes);
  }
}
