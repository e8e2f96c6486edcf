package org.quietlantern.server.bibliography;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.task.Tasks;
import org.springframework.stereotype.Service;

/**
 * Works that are quoted through an entry: both are named, and the one that nobody has read becomes
 * a task (rule C8), where the whole group sees the folder.
 */
@Service
public class QuotedThrough implements CommandKinds {
  private static final int LONGEST = 600;

  private final CommandKind<Quoted, Noted> note =
      CommandKind.of("entry.quotes", Quoted.class, Noted.class, this::unnote);
  private final CommandKind<Quoted, QuotedMapper.Kept> remove =
      CommandKind.of("entry.quotes-not", Quoted.class, QuotedMapper.Kept.class, this::putBack);

  private final QuotedMapper mapper;
  private final Folders folders;
  private final Publications publications;
  private final Tasks tasks;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /** One that something was done to. */
  public record Quoted(String id, String described) {}

  /** {@code task}: row number of the one that was made; absent where there was one already. */
  record Noted(int id, @Nullable Integer task) {}

  QuotedThrough(
      QuotedMapper mapper,
      Folders folders,
      Publications publications,
      Tasks tasks,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.folders = folders;
    this.publications = publications;
    this.tasks = tasks;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** Notes that a work is quoted through an entry; to read it is noted to be done. */
  public Quoted note(
      Member who, UUID command, String folder, String publication, String described, String doi) {
    String clean = Text.clean(described);
    if (clean.isEmpty() || clean.length() > LONGEST) {
      throw Refusal.unusable("described", "The work is named in between one letter and 600.");
    }
    return commands.run(
        who,
        command,
        note,
        () -> {
          int row = folders.idToEdit(who, folder);
          StoredPublication work = publications.get(Viewer.of(who), publication);
          folders.requireHeld(row, work.id());
          Optional<Integer> open = doi.isEmpty() ? Optional.empty() : tasks.lookingUp(who, doi);
          // Tasks are the group's: what not all of it sees makes none.
          Integer made =
              open.isPresent() || folders.isClosed(who, folder)
                  ? null
                  : task(who, work, clean, doi).id();
          String pid = ids.next();
          int id =
              mapper.add(
                  new QuotedMapper.Kept(
                      pid,
                      row,
                      work.id(),
                      clean,
                      doi,
                      open.orElse(made),
                      who.id(),
                      calendar.now()));
          return told(who, folder, work.pid(), new Quoted(pid, clean), new Noted(id, made));
        });
  }

  private Tasks.Made task(Member who, StoredPublication work, String described, String doi) {
    String text =
        "Read what is quoted through “%s”: %s"
            .formatted(Text.atMost(200, work.publication().title()), described);
    return tasks.note(who, new Tasks.Noted(text, work.pid(), "", doi, "", null));
  }

  /** Takes it away; its task stays. */
  public Quoted remove(Member who, UUID command, String folder, String publication, String quoted) {
    return commands.run(
        who,
        command,
        remove,
        () -> {
          int row = folders.idToEdit(who, folder);
          QuotedMapper.Kept kept =
              Optional.ofNullable(mapper.find(row, quoted)).orElseThrow(Refusal::unknown);
          mapper.remove(quoted);
          return told(who, folder, publication, new Quoted(quoted, kept.described()), kept);
        });
  }

  private <B> CommandResult<Quoted, B> told(
      Member who, String folder, String publication, Quoted answer, B before) {
    return CommandResult.of(answer, before)
        .changing(List.of("quoted:" + answer.id()))
        .about(Subject.Of.FOLDER, List.of(folder))
        .about(Subject.Of.PUBLICATION, List.of(publication))
        .toldTo(folders.audience(who, folder));
  }

  private String unnote(Noted before) {
    mapper.removeRow(before.id());
    if (before.task() == null) {
      return "";
    }
    if (!tasks.removeUntouched(before.task())) {
      return "Somebody changed the task to read it, so that stays.";
    }
    return "";
  }

  private String putBack(QuotedMapper.Kept before) {
    mapper.add(before);
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(note, remove);
  }
}
