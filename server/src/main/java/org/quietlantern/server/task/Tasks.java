package org.quietlantern.server.task;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/**
 * What a group has to look up. A task is somebody's or waits for somebody to take it; it is done,
 * or given up with the reason. Whoever changes one says which state of it they saw.
 */
@Service
public class Tasks implements CommandKinds {
  /** Letters of what a task says. */
  public static final int LONGEST = 1_000;

  private static final int LONGEST_DOI = 300;
  static final String OPEN = "open";
  static final String DONE = "done";
  static final String GIVEN_UP = "given up";

  private final CommandKind<TaskGiven, TaskAdded> add =
      CommandKind.of("task.add", TaskGiven.class, TaskAdded.class, this::takeBack);
  private final CommandKind<TaskGiven, TaskMapper.Changeable> change = changing("task.change");
  private final CommandKind<TaskGiven, TaskMapper.Changeable> take = changing("task.take");
  private final CommandKind<TaskGiven, TaskMapper.Changeable> give = changing("task.give");
  private final CommandKind<TaskGiven, TaskMapper.Changeable> leave = changing("task.leave");
  private final CommandKind<TaskGiven, TaskMapper.Changeable> done = changing("task.done");
  private final CommandKind<TaskGiven, TaskMapper.Changeable> giveUp = changing("task.give-up");
  private final CommandKind<TaskGiven, TaskMapper.Changeable> open = changing("task.open");

  private final TaskMapper mapper;
  private final Publications publications;
  private final Groups groups;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /** A task that something was done to. */
  public record TaskGiven(String id) {}

  /** For an undo. */
  record TaskAdded(int id) {}

  /**
   * What is to be looked up.
   *
   * @param publication that it is about, or that cites it; empty for one by hand
   * @param remark that it comes from; empty for any other
   * @param doi of a work that the publication cites; empty for any other
   * @param owner public id of the member who does it; empty: whoever takes it
   */
  public record Noted(
      String text,
      String publication,
      String remark,
      String doi,
      String owner,
      @Nullable LocalDate due) {}

  Tasks(
      TaskMapper mapper,
      Publications publications,
      Groups groups,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.publications = publications;
    this.groups = groups;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  private CommandKind<TaskGiven, TaskMapper.Changeable> changing(String name) {
    return CommandKind.of(name, TaskGiven.class, TaskMapper.Changeable.class, this::putBack);
  }

  /** Notes something to be looked up; a cited work is looked up once at a time. */
  public TaskGiven add(Member who, UUID command, Noted noted) {
    requireUsable(noted);
    return commands.run(
        who,
        command,
        add,
        () -> {
          Made made = note(who, noted);
          CommandResult<TaskGiven, TaskAdded> result =
              CommandResult.of(new TaskGiven(made.task()), new TaskAdded(made.id()))
                  .changing(Subject.Of.TASK, made.task());
          return made.publication().isEmpty()
              ? result
              : result.about(Subject.Of.PUBLICATION, List.of(made.publication()));
        });
  }

  private static void requireUsable(Noted noted) {
    cleaned(noted.text());
    if (noted.doi().length() > LONGEST_DOI) {
      throw Refusal.unusable("doi", "A DOI has 300 characters at most.");
    }
  }

  /**
   * A task that was made.
   *
   * @param id its row number
   * @param publication public id of the one that it is about; empty for one by hand
   */
  public record Made(int id, String task, String publication) {}

  /** The same as a part of another command. */
  public Made note(Member who, Noted noted) {
    requireUsable(noted);
    Optional<StoredPublication> about =
        noted.publication().isEmpty()
            ? Optional.empty()
            : Optional.of(publications.get(Viewer.of(who), noted.publication()));
    if (!noted.doi().isEmpty() && lookingUp(who, noted.doi()).isPresent()) {
      throw Refusal.conflict("looked-up", "The group has a task for this work already.");
    }
    String task = ids.next();
    int id =
        mapper.add(
            new TaskMapper.New(
                task,
                who.group(),
                about.map(StoredPublication::id).orElse(null),
                remark(who, noted.remark()),
                noted.doi(),
                cleaned(noted.text()),
                owner(who, noted.owner()),
                noted.due(),
                who.id(),
                calendar.now()));
    return new Made(id, task, about.map(StoredPublication::pid).orElse(""));
  }

  /** The open task for a cited work, by its DOI; its row number. */
  public Optional<Integer> lookingUp(Member who, String doi) {
    return Optional.ofNullable(mapper.lookingUp(who.group(), doi));
  }

  /** Takes one back that a command made, where nobody did anything to it since. */
  public boolean removeUntouched(int task) {
    return mapper.removeUntouched(task) > 0;
  }

  private @Nullable Integer remark(Member who, String remark) {
    if (remark.isEmpty()) {
      return null;
    }
    return Optional.ofNullable(mapper.remark(who.group(), remark)).orElseThrow(Refusal::unknown);
  }

  private @Nullable Integer owner(Member who, String owner) {
    if (owner.isEmpty()) {
      return null;
    }
    Member member = groups.member(who.group(), owner);
    if (!member.mayWrite()) {
      throw Refusal.unusable("owner", "A guest has no tasks; choose a member.");
    }
    return member.id();
  }

  private static String cleaned(String text) {
    String clean = text == null ? "" : Text.legal(text).strip();
    if (clean.isEmpty() || clean.length() > LONGEST) {
      throw Refusal.unusable("text", "A task has between one letter and 1,000.");
    }
    return clean;
  }

  /** Writes anew what is to be looked up, and until when. */
  public TaskGiven change(
      Member who, UUID command, String task, int version, String text, @Nullable LocalDate due) {
    String clean = cleaned(text);
    return put(who, command, change, task, version, was -> was.reading(clean, due), List.of());
  }

  /** Says whose it is; {@code owner} empty: whoever takes it. */
  public TaskGiven give(Member who, UUID command, String task, int version, String owner) {
    boolean toOther = !owner.isEmpty() && !owner.equals(who.pid());
    CommandKind<TaskGiven, TaskMapper.Changeable> kind =
        owner.isEmpty() ? leave : toOther ? give : take;
    return put(
        who,
        command,
        kind,
        task,
        version,
        was -> was.of(owner(who, owner)),
        toOther ? List.of(owner) : List.of());
  }

  /** Ends it or opens it again; whoever gives up says why. */
  public TaskGiven state(
      Member who, UUID command, String task, int version, String state, String word) {
    String clean = Text.legal(word).strip();
    if (clean.length() > LONGEST) {
      throw Refusal.unusable("word", "What came of it is said in 1,000 letters at most.");
    }
    if (state.equals(GIVEN_UP) && clean.isEmpty()) {
      throw Refusal.unusable("word", "Say in a word why it is given up.");
    }
    CommandKind<TaskGiven, TaskMapper.Changeable> kind =
        switch (state) {
          case OPEN -> open;
          case DONE -> done;
          case GIVEN_UP -> giveUp;
          default -> throw Refusal.unusable("state", "A task is open, done or given up.");
        };
    return put(
        who,
        command,
        kind,
        task,
        version,
        was -> was.being(state, state.equals(OPEN) ? "" : clean, who.id(), calendar.now()),
        List.of());
  }

  private TaskGiven put(
      Member who,
      UUID command,
      CommandKind<TaskGiven, TaskMapper.Changeable> kind,
      String task,
      int version,
      UnaryOperator<TaskMapper.Changeable> next,
      List<String> people) {
    return commands.run(
        who,
        command,
        kind,
        () -> {
          TaskMapper.Row row =
              Optional.ofNullable(mapper.find(who.group(), task)).orElseThrow(Refusal::unknown);
          if (row.version() != version) {
            throw Refusal.conflict(
                "stale", "Somebody changed this task meanwhile; it is shown as it is now.");
          }
          TaskMapper.Changeable was = row.changeable();
          TaskMapper.Changeable now = next.apply(was);
          mapper.put(now);
          CommandResult<TaskGiven, TaskMapper.Changeable> result =
              CommandResult.of(new TaskGiven(task), was)
                  .changing(Subject.Of.TASK, task)
                  .about(Subject.Of.PERSON, people)
                  .differing(Aspect.WORDS, was.body(), now.body())
                  .differing(Aspect.UNTIL, was.due(), now.due())
                  .differing(Aspect.OWNER, pid(who, was.owner()), pid(who, now.owner()))
                  .differing(Aspect.STATE, was.state(), now.state())
                  .differing(Aspect.OUTCOME, was.word(), now.word());
          return row.publication() == null
              ? result
              : result.about(Subject.Of.PUBLICATION, pids(who, row.publication()));
        });
  }

  /** Of a member; null for nobody and for somebody who left. */
  private @Nullable String pid(Member who, @Nullable Integer owner) {
    return groups.members(who.group()).stream()
        .filter(member -> owner != null && member.id() == owner)
        .map(Member::pid)
        .findFirst()
        .orElse(null);
  }

  private List<String> pids(Member who, int publication) {
    return publications.byId(Viewer.of(who), List.of(publication)).stream()
        .map(StoredPublication::pid)
        .toList();
  }

  private String takeBack(TaskAdded before) {
    mapper.remove(before.id());
    return "";
  }

  private String putBack(TaskMapper.Changeable before) {
    mapper.put(before);
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(add, change, take, give, leave, done, giveUp, open);
  }
}
