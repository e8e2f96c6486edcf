package org.quietlantern.server.action;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Something that an action is about, by its public id: its activity is found by this. */
public record Subject(Of of, String id) {
  /** What sort of thing. */
  public enum Of {
    PUBLICATION,
    FOLDER,
    SEARCH,
    ALERT,
    FEED,
    LIMIT_SET,
    NOTE,
    REQUEST,
    PERSON,
    TASK,
    QUESTION,
    MEETING;

    /** In lower case, as it is written in records and addresses. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** As it stands in the table of actions. */
  String text() {
    return of.word() + ":" + id;
  }

  /** Empty where it is none. */
  public static Optional<Subject> read(String text) {
    int colon = text.indexOf(':');
    return Stream.of(Of.values())
        .filter(of -> colon > 0 && of.word().equals(text.substring(0, colon)))
        .map(of -> new Subject(of, text.substring(colon + 1)))
        .findFirst();
  }

  static Subject of(String text) {
    return read(text).orElseThrow();
  }
}
