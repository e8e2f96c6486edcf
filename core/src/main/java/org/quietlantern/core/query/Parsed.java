package org.quietlantern.core.query;

import java.util.List;
import java.util.Optional;

/**
 * What reading a line came to: a tree, or problems that refuse it, or a tree with things to point
 * out.
 *
 * @param rulesOut the line began with <i>not</i>: what it finds is taken from the whole
 */
public record Parsed(Optional<Term> tree, boolean rulesOut, List<Problem> problems) {
  public Parsed {
    problems = List.copyOf(problems);
    if (tree.isEmpty() && problems.stream().noneMatch(p -> p.code().refuses())) {
      throw new IllegalArgumentException("no tree and no reason why");
    }
  }

  static Parsed refused(List<Problem> problems) {
    return new Parsed(Optional.empty(), false, problems);
  }
}
