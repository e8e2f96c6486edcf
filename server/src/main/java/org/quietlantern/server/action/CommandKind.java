package org.quietlantern.server.action;

import java.util.UUID;
import java.util.function.Function;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;

/**
 * A kind of command: what it answers, what it keeps for an undo, and the way back.
 *
 * @param <A> what is answered, the same again when the command is repeated
 * @param <B> what an undo needs to know; a record that stays readable as JSON for years
 * @param name as it stands in the table of actions, {@code item.keep}
 */
public record CommandKind<A, B>(String name, Class<A> answer, Class<B> before, Back<B> back) {
  /** What is kept for an undo where there is none. */
  public record Nothing() {}

  /** The way back, inside the transaction of the undo. */
  @FunctionalInterface
  public interface Back<B> {
    /**
     * @param command the id of the undo
     * @return a sentence where something could not be taken back whole, else empty
     */
    String back(Member who, UUID command, B before);
  }

  /** One whose way back needs to know what was before, and nothing else. */
  public static <A, B> CommandKind<A, B> of(
      String name, Class<A> answer, Class<B> before, Function<B, String> back) {
    return new CommandKind<>(name, answer, before, (who, command, was) -> back.apply(was));
  }

  /** One that stays. {@code why}: the sentence that an undo is refused with. */
  public static <A> CommandKind<A, Nothing> forGood(String name, Class<A> answer, String why) {
    return new CommandKind<>(
        name,
        answer,
        Nothing.class,
        (who, command, before) -> {
          throw Refusal.conflict("cannot-be-undone", why);
        });
  }

  /** What a command of this kind that stays has done. */
  public static <A> CommandResult<A, Nothing> done(A answer) {
    return CommandResult.of(answer, new Nothing());
  }
}
