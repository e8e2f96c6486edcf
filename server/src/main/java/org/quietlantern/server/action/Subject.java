package org.quietlantern.server.action;

import java.util.Locale;

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
    PERSON
  }

  /** As it stands in the table of actions. */
  String text() {
    return of.name().toLowerCase(Locale.ROOT) + ":" + id;
  }

  static Subject of(String text) {
    int colon = text.indexOf(':');
    return new Subject(
        Of.valueOf(text.substring(0, colon).toUpperCase(Locale.ROOT)), text.substring(colon + 1));
  }
}
