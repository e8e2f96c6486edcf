package org.quietlantern.core.reference;

import java.util.List;

/**
 * What was read of a file of references.
 *
 * @param problems what could not be read, and where; the rest was
 */
public record ReadFile(List<Found> references, List<Problem> problems) {
  public ReadFile {
    references = List.copyOf(references);
    problems = List.copyOf(problems);
  }

  /** A reference, and the line on which it begins, from 1; 0 where a file has no lines. */
  public record Found(Reference reference, int line) {}

  /** {@code line}: from 1, 0 where a file has none; {@code sentence}: for people. */
  public record Problem(int line, String sentence) {}
}
