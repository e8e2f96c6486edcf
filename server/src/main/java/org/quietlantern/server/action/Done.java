package org.quietlantern.server.action;

import java.util.Map;

/**
 * What a command did.
 *
 * @param subject names the thing changed; an undo is refused if it was changed again since
 * @param before what an undo needs to know
 * @param visibleTo {@code me}, {@code group}, or {@code opening} of a sealed round
 */
public record Done<T>(
    String subject, Map<String, ?> before, Map<String, ?> after, T answer, String visibleTo) {
  public Done(String subject, Map<String, ?> before, Map<String, ?> after, T answer) {
    this(subject, before, after, answer, "group");
  }
}
