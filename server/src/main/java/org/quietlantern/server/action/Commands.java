package org.quietlantern.server.action;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Every write of a member is a command with an id that the client makes. A command is carried out
 * once; repeating it gives the first answer again. What it did is recorded as an action.
 */
@Service
public class Commands {
  private static final Duration LONGEST_WAIT = Duration.ofSeconds(20);
  private final Turns turns = new Turns(LONGEST_WAIT);
  private final ActionMapper mapper;
  private final TransactionTemplate transactions;
  private final Json json;
  private final Calendar calendar;

  Commands(ActionMapper mapper, TransactionTemplate transactions, Json json, Calendar calendar) {
    this.mapper = mapper;
    this.transactions = transactions;
    this.json = json;
    this.calendar = calendar;
  }

  /**
   * Carries out a command in a transaction of its own, one at a time in a group.
   *
   * @param perform looks at what is there and changes it, inside the transaction
   */
  public <A, B> A run(
      Member who, UUID command, CommandKind<A, B> kind, Supplier<CommandResult<A, B>> perform) {
    return inTurn(who, command, kind, perform);
  }

  /**
   * The same where something has to be computed first.
   *
   * @param prepare computes, before anything is locked and without a connection
   * @param perform changes; what {@code prepare} looked at may have changed meanwhile
   */
  public <P, A, B> A run(
      Member who,
      UUID command,
      CommandKind<A, B> kind,
      Supplier<P> prepare,
      Function<P, CommandResult<A, B>> perform) {
    Optional<A> before = earlier(who, command, kind);
    if (before.isPresent()) {
      return before.get();
    }
    P prepared = prepare.get();
    return inTurn(who, command, kind, () -> perform.apply(prepared));
  }

  private <A, B> A inTurn(
      Member who, UUID command, CommandKind<A, B> kind, Supplier<CommandResult<A, B>> perform) {
    return turns.take(
        who.group(), () -> transactions.execute(status -> carryOut(who, command, kind, perform)));
  }

  private <A, B> A carryOut(
      Member who, UUID command, CommandKind<A, B> kind, Supplier<CommandResult<A, B>> perform) {
    mapper.lock(who.group());
    Optional<A> meanwhile = earlier(who, command, kind);
    if (meanwhile.isPresent()) {
      return meanwhile.get();
    }
    CommandResult<A, B> done = perform.get();
    write(
        new ActionMapper.Row(
            0,
            command,
            who.group(),
            who.id(),
            kind.name(),
            done.changes().toArray(String[]::new),
            texts(done.about()),
            done.audience().word(),
            json.write(done.before()),
            json.write(done.answer()),
            json.write(done.differences()),
            null));
    return done.answer();
  }

  private <A> Optional<A> earlier(Member who, UUID command, CommandKind<A, ?> kind) {
    ActionMapper.Row earlier = mapper.find(command);
    if (earlier == null) {
      return Optional.empty();
    }
    boolean same =
        earlier.grp() == who.group()
            && earlier.membership() != null
            && earlier.membership() == who.id()
            && earlier.what().equals(kind.name());
    if (!same) {
      throw Refusal.conflict("command-used", "This command was given before, for something else.");
    }
    return Optional.of(json.read(earlier.answer(), kind.answer()));
  }

  /** Records something that the lantern did by itself; inside the caller's transaction. */
  @Transactional
  public void note(int group, String what, Subject subject) {
    note(group, what, List.of(subject));
  }

  /** The same of several, each as an act of its own. */
  @Transactional
  public void note(int group, String what, List<Subject> subjects) {
    mapper.lock(group);
    mapper.addNotes(group, what, texts(subjects), calendar.now());
  }

  /** Keeps the acts of a group waiting to the end of the caller's transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void holdTurn(int group) {
    mapper.lock(group);
  }

  /** Records something that somebody did by another way than a command. */
  @Transactional
  public void note(Member who, String what, Subject subject) {
    note(who.group(), who.id(), what, subject);
  }

  private void note(int group, @Nullable Integer membership, String what, Subject subject) {
    mapper.lock(group);
    String[] about = texts(List.of(subject));
    write(
        new ActionMapper.Row(
            0,
            UUID.randomUUID(),
            group,
            membership,
            what,
            about,
            about,
            Audience.GROUP.word(),
            "{}",
            "{}",
            "[]",
            null));
  }

  private void write(ActionMapper.Row row) {
    mapper.add(row, calendar.now());
  }

  private static String[] texts(List<Subject> about) {
    return about.stream().map(Subject::text).toArray(String[]::new);
  }
}
