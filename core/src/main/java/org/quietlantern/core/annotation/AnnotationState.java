package org.quietlantern.core.annotation;

import java.util.Arrays;
import java.util.Optional;

/** How far an annotation is. */
public enum AnnotationState {
  DRAFT("draft"),
  TO_BE_READ("to be read"),
  AGREED("agreed");

  private final String word;

  AnnotationState(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }

  /** Empty where there is none of that word. */
  public static Optional<AnnotationState> named(String word) {
    return Arrays.stream(values()).filter(one -> one.word.equals(word)).findFirst();
  }

  /** How far it is when its words change: what was agreed is to be read again. */
  public AnnotationState changed() {
    return this == AGREED ? TO_BE_READ : this;
  }
}
