package org.quietlantern.server.action;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.activity.Difference;
import org.quietlantern.server.platform.Nullable;

/**
 * What a command did.
 *
 * @param answer what its giver is told
 * @param before what an undo needs to know
 * @param changes names of what was changed; an undo is refused if one of them was changed since
 * @param about what it concerns
 * @param audience who is told of it
 * @param differences what of it is told with how it was before
 */
public record CommandResult<A, B>(
    A answer,
    B before,
    List<String> changes,
    List<Subject> about,
    Audience audience,
    List<Difference> differences) {

  /** Told to the group; nothing else said yet. */
  public static <A, B> CommandResult<A, B> of(A answer, B before) {
    return new CommandResult<>(answer, before, List.of(), List.of(), Audience.GROUP, List.of());
  }

  /** Also about this one, which is what was changed. */
  public CommandResult<A, B> changing(Subject.Of of, String id) {
    Subject subject = new Subject(of, id);
    return changing(List.of(subject.text())).about(of, List.of(id));
  }

  public CommandResult<A, B> changing(List<String> names) {
    return new CommandResult<>(
        answer, before, joined(changes, names), about, audience, differences);
  }

  public CommandResult<A, B> about(Subject.Of of, List<String> ids) {
    return about(ids.stream().map(id -> new Subject(of, id)).toList());
  }

  CommandResult<A, B> about(List<Subject> more) {
    return new CommandResult<>(answer, before, changes, joined(about, more), audience, differences);
  }

  public CommandResult<A, B> toldTo(Audience others) {
    return new CommandResult<>(answer, before, changes, about, others, differences);
  }

  /** Tells how something of it was before and is since, where that is not the same. */
  public CommandResult<A, B> differing(Aspect of, @Nullable Object was, @Nullable Object is) {
    Difference difference = new Difference(of, text(was), text(is));
    return difference.was().equals(difference.is())
        ? this
        : new CommandResult<>(
            answer, before, changes, about, audience, joined(differences, List.of(difference)));
  }

  private static String text(@Nullable Object side) {
    return Objects.toString(side, "");
  }

  private static <T> List<T> joined(List<T> some, List<T> more) {
    return Stream.concat(some.stream(), more.stream()).toList();
  }
}
