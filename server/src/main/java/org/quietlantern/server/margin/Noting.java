package org.quietlantern.server.margin;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.text.Passage;
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
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Writing at the margin: the writer's alone until it is shared with the group (rule T3). */
@Service
public class Noting implements CommandKinds {
  private static final int LONGEST = 5_000;
  private static final Set<String> KINDS = Set.of("note", "question", "task");
  private final CommandKind<Noted, GoneBefore> write =
      new CommandKind<>("margin.write", Noted.class, GoneBefore.class, this::goneAgain);
  private final CommandKind<Noted, GoneBefore> remove =
      new CommandKind<>("margin.remove", Noted.class, GoneBefore.class, this::goneAgain);
  private final CommandKind<Noted, ChangedBefore> change =
      new CommandKind<>("margin.change", Noted.class, ChangedBefore.class, this::changeBack);
  private final CommandKind<Noted, RemarkBefore> remark =
      new CommandKind<>("margin.remark", Noted.class, RemarkBefore.class, this::unsay);
  private final MarginMapper mapper;
  private final MarginNotes notes;
  private final Publications publications;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /** {@code note}: its id. */
  public record Noted(String note) {}

  /** {@code gone}: whether it was not there before. */
  record GoneBefore(int note, boolean gone) {}

  record ChangedBefore(
      int note, String kind, String body, boolean shared, boolean done, Instant changed) {}

  record RemarkBefore(int remark) {}

  /** What is written. {@code done}: of a task. */
  public record Saying(String kind, @Nullable String text, boolean shared, boolean done) {}

  /** Where it is written: the passage, the number on its page and the version of the text. */
  public record At(Passage passage, String label, String version) {}

  Noting(
      MarginMapper mapper,
      MarginNotes notes,
      Publications publications,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.notes = notes;
    this.publications = publications;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  public Noted write(Member who, UUID command, String pid, At at, Saying saying) {
    if (at.passage().quote().isEmpty()) {
      throw Refusal.unusable("passage", "A note needs a passage.");
    }
    Saying clean = clean(saying);
    return commands.run(
        who,
        command,
        write,
        () -> {
          StoredPublication of = publications.get(Viewer.of(who), pid);
          Passage passage = at.passage();
          String note = ids.next();
          int id =
              mapper.add(
                  new MarginMapper.NewNote(
                      note,
                      who.group(),
                      of.id(),
                      who.id(),
                      clean.kind(),
                      clean.text(),
                      Text.atMost(40, Text.clean(at.version())),
                      Text.atMost(40, Text.clean(at.label())),
                      passage.quote(),
                      passage.before(),
                      passage.after(),
                      passage.page(),
                      passage.start(),
                      clean.shared(),
                      calendar.now()));
          return result(of, note, clean.shared(), new GoneBefore(id, true));
        });
  }

  private static Saying clean(Saying saying) {
    if (!KINDS.contains(saying.kind())) {
      throw Refusal.unusable("kind", "There is no such kind of note.");
    }
    String text = saying.text() == null ? "" : Text.legal(saying.text()).strip();
    if (text.length() > LONGEST) {
      throw Refusal.unusable("too-long", "A note has at most 5,000 characters.");
    }
    return new Saying(
        saying.kind(), text, saying.shared(), saying.done() && saying.kind().equals("task"));
  }

  /** The writer changes it; that a shared task is done, anybody may say. */
  Noted change(Member who, UUID command, String note, Saying saying) {
    Saying clean = clean(saying);
    return commands.run(
        who,
        command,
        change,
        () -> {
          MarginMapper.Row row = notes.row(who, note);
          boolean onlyDone =
              clean.kind().equals(row.kind())
                  && clean.text().equals(row.body())
                  && clean.shared() == row.shared();
          if (!onlyDone) {
            requireWriter(who, row);
          }
          ChangedBefore before =
              new ChangedBefore(
                  row.id(), row.kind(), row.body(), row.shared(), row.done(), row.changed());
          mapper.change(
              row.id(), clean.kind(), clean.text(), clean.shared(), clean.done(), calendar.now());
          return result(of(who, row), note, row.shared() || clean.shared(), before);
        });
  }

  private static void requireWriter(Member who, MarginMapper.Row row) {
    if (row.membership() != who.id()) {
      throw new Refusal(
          HttpStatus.FORBIDDEN, "not-yours", "Whoever wrote a note changes it or takes it away.");
    }
  }

  private StoredPublication of(Member who, MarginMapper.Row row) {
    return publications.byId(Viewer.of(who), List.of(row.publication())).get(0);
  }

  Noted remove(Member who, UUID command, String note) {
    return commands.run(
        who,
        command,
        remove,
        () -> {
          MarginMapper.Row row = notes.row(who, note);
          requireWriter(who, row);
          mapper.setGone(row.id(), calendar.now());
          return result(of(who, row), note, row.shared(), new GoneBefore(row.id(), false));
        });
  }

  /** Says something to a note that is shared. */
  public Noted remark(Member who, UUID command, String note, @Nullable String text) {
    String words = text == null ? "" : Text.legal(text).strip();
    if (words.isEmpty() || words.length() > LONGEST) {
      throw Refusal.unusable("remark", "A remark has some words, and at most 5,000 characters.");
    }
    return commands.run(
        who,
        command,
        remark,
        () -> {
          MarginMapper.Row row = notes.row(who, note);
          if (!row.shared()) {
            throw Refusal.conflict("not-shared", "A note that nobody else sees takes no remarks.");
          }
          int id = mapper.remark(row.id(), who.id(), words, calendar.now());
          return result(of(who, row), note, true, new RemarkBefore(id));
        });
  }

  /** What nobody else sees is nobody else's news. */
  private static <B> CommandResult<Noted, B> result(
      StoredPublication of, String note, boolean shared, B before) {
    return CommandResult.of(new Noted(note), before)
        .changing(List.of("margin:" + note))
        .about(Subject.Of.PUBLICATION, List.of(of.pid()))
        .toldTo(shared ? Audience.GROUP : Audience.ME);
  }

  private String goneAgain(Member who, UUID command, GoneBefore before) {
    mapper.setGone(before.note(), before.gone() ? calendar.now() : null);
    return "";
  }

  private String changeBack(Member who, UUID command, ChangedBefore before) {
    mapper.change(
        before.note(),
        before.kind(),
        before.body(),
        before.shared(),
        before.done(),
        before.changed());
    return "";
  }

  private String unsay(Member who, UUID command, RemarkBefore before) {
    mapper.removeRemark(before.remark());
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(write, change, remove, remark);
  }
}
