package org.quietlantern.core.review;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a member says of an arrival. */
public enum Mark {
  KEEP(Lamp.LIT),
  PASS(Lamp.LIT),
  /** Brings it to the group with a question. */
  RAISE(Lamp.LIT),
  /** Unsure: still owed. */
  HOLD(Lamp.DIM),
  /** Cannot say without its text: still owed. */
  HOLD_FOR_TEXT(Lamp.DIM),
  SEEN(Lamp.LIT),
  /** Lets it rest: what came during an absence, and is not to be made up for. */
  REST(Lamp.RESTED);

  private final Lamp lamp;

  Mark(Lamp lamp) {
    this.lamp = lamp;
  }

  /** What one says of a work that one has looked at: all but to let it rest. */
  public static List<Mark> ofOneWork() {
    return Arrays.stream(values()).filter(mark -> mark != REST).toList();
  }

  public Lamp lamp() {
    return lamp;
  }

  /** Whether it decides on the work (rule V2). */
  public boolean isVerdict() {
    return this == KEEP || this == PASS;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  public static Optional<Mark> named(String word) {
    return Arrays.stream(values()).filter(mark -> mark.word().equals(word)).findFirst();
  }
}
