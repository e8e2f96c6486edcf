package org.quietlantern.server.annotation;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.annotation.AnnotationState;
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
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/**
 * Annotations are written by one member, read by whoever sees the folder, and agreed by another
 * (rule C7). Whoever changes one says which version of it they saw.
 */
@Service
public class Annotations implements CommandKinds {
  static final int LONGEST = 10_000;

  private final CommandKind<AnnotationGiven, Written> write =
      CommandKind.of("annotation.write", AnnotationGiven.class, Written.class, this::unwrite);
  private final CommandKind<AnnotationGiven, AnnotationMapper.Kept> state =
      changing("annotation.state");
  private final CommandKind<AnnotationGiven, AnnotationMapper.Kept> takeOver =
      changing("annotation.take-over");

  private final AnnotationMapper mapper;
  private final Folders folders;
  private final Publications publications;
  private final Commands commands;
  private final Calendar calendar;

  /** One that something was done to, and which version of it there is since. */
  public record AnnotationGiven(String folder, String publication, int version) {}

  /** {@code before}: absent where there was none; {@code n}: of the wording that came. */
  record Written(@Nullable AnnotationMapper.Kept before, int annotation, int n) {}

  /** What a part of a command knows of where it acts. */
  record At(int folder, StoredPublication work, Optional<AnnotationMapper.Row> row) {
    /** As somebody sees it who acts on it; {@code seen}: the version that they saw, 0 for none. */
    AnnotationMapper.Row seen(int seen) {
      AnnotationMapper.Row found = row.orElseThrow(Refusal::unknown);
      if (found.version() != seen) {
        throw stale();
      }
      return found;
    }
  }

  Annotations(
      AnnotationMapper mapper,
      Folders folders,
      Publications publications,
      Commands commands,
      Calendar calendar) {
    this.mapper = mapper;
    this.folders = folders;
    this.publications = publications;
    this.commands = commands;
    this.calendar = calendar;
  }

  private CommandKind<AnnotationGiven, AnnotationMapper.Kept> changing(String name) {
    return CommandKind.of(name, AnnotationGiven.class, AnnotationMapper.Kept.class, this::putBack);
  }

  static Refusal stale() {
    return Refusal.conflict(
        "stale", "Somebody changed this annotation meanwhile; it is shown as it is now.");
  }

  /** {@code folder}: row number of one that the member may act in. */
  At at(Member who, int folder, String pid) {
    StoredPublication work = publications.get(Viewer.of(who), pid);
    folders.requireHeld(folder, work.id());
    return new At(folder, work, Optional.ofNullable(mapper.find(folder, work.id())));
  }

  /** Writes one, or writes it anew; an empty text takes it away. Its earlier words stay. */
  public AnnotationGiven write(
      Member who, UUID command, String folder, String publication, String text, int seen) {
    String clean = cleaned(text);
    return commands.run(
        who,
        command,
        write,
        () -> {
          At at = at(who, folders.idToEdit(who, folder), publication);
          Instant now = calendar.now();
          if (at.row().isEmpty()) {
            if (seen != 0) {
              throw stale();
            }
            int id = mapper.add(at.folder(), at.work().id(), who.id(), clean, now);
            int n = mapper.addWording(id, who.id(), clean, now);
            return done(who, folder, at, 1, new Written(null, id, n))
                .differing(Aspect.WORDS, "", clean);
          }
          AnnotationMapper.Row row = at.seen(seen);
          if (row.writer() != who.id() && !row.body().isEmpty()) {
            throw Refusal.conflict(
                "not-yours",
                "%s writes it; suggest other words, or go on with it yourself."
                    .formatted(row.name()));
          }
          if (row.body().equals(clean)) {
            throw Refusal.conflict("same", "It reads so already.");
          }
          int n = put(row, who.id(), clean, who.id(), now);
          return done(who, folder, at, seen + 1, new Written(row.kept(), row.id(), n))
              .differing(Aspect.WORDS, row.body(), clean);
        });
  }

  /** Other words for one, whoever proposed them; answers which of its wordings they are. */
  int put(AnnotationMapper.Row row, int writer, String body, int by, Instant now) {
    AnnotationState next = state(row).changed();
    mapper.put(
        new AnnotationMapper.Kept(
            row.id(), writer, body, next.word(), null, now, row.version() + 1));
    return mapper.addWording(row.id(), by, body, now);
  }

  private static AnnotationState state(AnnotationMapper.Row row) {
    return AnnotationState.named(row.state()).orElseThrow();
  }

  private static String cleaned(String text) {
    String clean = text == null ? "" : Text.legal(text).strip();
    if (clean.length() > LONGEST) {
      throw Refusal.unusable("annotation", "An annotation has at most 10,000 letters.");
    }
    return clean;
  }

  /** Says how far it is. The writer asks for it to be read; another member agrees. */
  public AnnotationGiven state(
      Member who, UUID command, String folder, String publication, String wanted, int seen) {
    AnnotationState next =
        AnnotationState.named(wanted)
            .orElseThrow(
                () ->
                    Refusal.unusable("state", "An annotation is a draft, to be read, or agreed."));
    return commands.run(
        who,
        command,
        state,
        () -> {
          At at = at(who, folders.idToEdit(who, folder), publication);
          AnnotationMapper.Row row = at.seen(seen);
          refuse(who, row, next);
          Integer by = next == AnnotationState.AGREED ? who.id() : null;
          AnnotationMapper.Kept kept = row.kept();
          mapper.put(
              new AnnotationMapper.Kept(
                  row.id(), row.writer(), row.body(), next.word(), by, row.at(), seen + 1));
          return done(who, folder, at, seen + 1, kept)
              .differing(Aspect.STATE, row.state(), next.word());
        });
  }

  private static void refuse(Member who, AnnotationMapper.Row row, AnnotationState next) {
    if (row.body().isEmpty()) {
      throw Refusal.unusable("empty", "Nothing is written yet.");
    }
    if (next != AnnotationState.AGREED) {
      return;
    }
    if (row.writer() == who.id()) {
      throw Refusal.unusable(
          "agreed-by-two", "A colleague agrees to what you wrote; ask for it to be read.");
    }
    if (row.open() > 0) {
      throw Refusal.conflict(
          "open", "Something that was said of it is open; it is taken or left first.");
    }
  }

  /** Goes on with what another member has begun. */
  public AnnotationGiven takeOver(
      Member who, UUID command, String folder, String publication, int seen) {
    return commands.run(
        who,
        command,
        takeOver,
        () -> {
          At at = at(who, folders.idToEdit(who, folder), publication);
          AnnotationMapper.Row row = at.seen(seen);
          if (row.writer() == who.id()) {
            throw Refusal.conflict("same", "You write it already.");
          }
          AnnotationState next = state(row).changed();
          mapper.put(
              new AnnotationMapper.Kept(
                  row.id(), who.id(), row.body(), next.word(), null, row.at(), seen + 1));
          return done(who, folder, at, seen + 1, row.kept());
        });
  }

  private <B> CommandResult<AnnotationGiven, B> done(
      Member who, String folder, At at, int version, B before) {
    return told(who, folder, at, new AnnotationGiven(folder, at.work().pid(), version), before)
        .changing(List.of(name(at)));
  }

  /** Told to whoever sees the folder. */
  <A, B> CommandResult<A, B> told(Member who, String folder, At at, A answer, B before) {
    return CommandResult.of(answer, before)
        .about(Subject.Of.FOLDER, List.of(folder))
        .about(Subject.Of.PUBLICATION, List.of(at.work().pid()))
        .toldTo(folders.audience(who, folder));
  }

  /** By which an undo knows that it was changed since. */
  static String name(At at) {
    return "annotation:" + at.folder() + ":" + at.work().id();
  }

  private String unwrite(Written written) {
    if (written.before() == null) {
      if (!mapper.remarks(written.annotation()).isEmpty()) {
        throw Refusal.conflict("remarked", "A colleague said something of it, so it stays.");
      }
      mapper.remove(written.annotation());
      return "";
    }
    mapper.removeWording(written.annotation(), written.n());
    mapper.put(written.before());
    return "";
  }

  private String putBack(AnnotationMapper.Kept before) {
    mapper.put(before);
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(write, state, takeOver);
  }
}
