package org.quietlantern.server.search;

import org.quietlantern.core.search.Comparison;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** Counts of two strategies beside each other, all of one state of the catalogue (rule O2). */
@Service
class Comparing {
  private final Matching matching;

  /** What the second gained, what it lost, what both have; {@code asOf} names the state. */
  record CompareShown(int first, int second, int gained, int lost, int common, String asOf) {}

  Comparing(Matching matching) {
    this.matching = matching;
  }

  CompareShown of(Member who, String one, String other) {
    return matching.look(
        who,
        look -> {
          Comparison found =
              Comparison.of(look.snapshot(), compiled(look, one), compiled(look, other), 0);
          int gained = found.gained().count();
          int lost = found.lost().count();
          return new CompareShown(
              found.common() + lost,
              found.common() + gained,
              gained,
              lost,
              found.common(),
              look.asOf());
        });
  }

  private static Compiled.Ready compiled(Matching.Look look, String name) {
    return look.compile(look.library().find(name).orElseThrow(Refusal::unknown));
  }
}
