package org.quietlantern.server.folder;

import java.util.List;
import java.util.UUID;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** Why something was kept, written anew by whoever wrote it. */
@Service
public class ItemNotes implements CommandKinds {
  private final CommandKind<NoteGiven, Before> change =
      CommandKind.of("item.note", NoteGiven.class, Before.class, this::back);
  private final FolderMapper mapper;
  private final Folders folders;
  private final Publications publications;
  private final Commands commands;

  /** What a member says of an item; may be empty. */
  public record NoteGiven(String text) {}

  /** Row numbers; {@code was}: what it was, and {@code is}: what it is. */
  record Before(int folder, int publication, int membership, String was, String is) {}

  ItemNotes(FolderMapper mapper, Folders folders, Publications publications, Commands commands) {
    this.mapper = mapper;
    this.folders = folders;
    this.publications = publications;
    this.commands = commands;
  }

  /** {@code was}: by which the note is known; one that is not there any more is refused. */
  public NoteGiven change(
      Member who, UUID command, String folder, String publication, String was, String text) {
    String clean = text.strip();
    if (clean.length() > Keeping.LONGEST_NOTE) {
      throw Refusal.unusable("note", "A note has at most 4,000 characters.");
    }
    return commands.run(who, command, change, () -> changed(who, folder, publication, was, clean));
  }

  private CommandResult<NoteGiven, Before> changed(
      Member who, String pid, String publication, String was, String text) {
    FolderMapper.Folder folder = folders.toEdit(who, pid);
    StoredPublication work = publications.get(Viewer.of(who), publication);
    Before before = new Before(folder.id(), work.id(), who.id(), was, text);
    if (write(before, was, text) == 0) {
      throw Refusal.conflict("changed-since", "The note is not there any more as it was.");
    }
    return CommandResult.of(new NoteGiven(text), before)
        .changing(List.of("note:" + folder.id() + ":" + work.id() + ":" + who.id()))
        .about(Subject.Of.FOLDER, List.of(pid))
        .about(Subject.Of.PUBLICATION, List.of(work.pid()))
        .differing(Aspect.NOTE, was, text)
        .toldTo(folder.audience());
  }

  private int write(Before of, String was, String text) {
    return mapper.writeReason(of.folder(), of.publication(), of.membership(), was, text);
  }

  private String back(Before before) {
    return write(before, before.is(), before.was()) > 0
        ? ""
        : "The note is not there any more as it was.";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(change);
  }
}
