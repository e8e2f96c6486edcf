package org.quietlantern.server.action;

import java.util.List;
import java.util.Map;

/**
 * What a command did.
 *
 * @param subjects name the things changed; an undo is refused if one of them was changed since
 * @param before what an undo needs to know; read again as the type of its {@link Undoer}
 * @param visibleTo {@code me}, {@code group}, or {@code opening} of a sealed round
 */
public record Done<T>(
    List<String> subjects, Object before, Map<String, ?> after, T answer, String visibleTo) {
  public Done(String subject, Object before, Map<String, ?> after, T answer) {
    this(List.of(subject), before, after, answer, "group");
  }

  public Done(String subject, Object before, Map<String, ?> after, T answer, String visibleTo) {
    this(List.of(subject), before, after, answer, visibleTo);
  }

  public Done(List<String> subjects, Object before, Map<String, ?> after, T answer) {
    this(subjects, before, after, answer, "group");
  }
}
