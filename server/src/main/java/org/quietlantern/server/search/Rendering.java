package org.quietlantern.server.search;

import java.util.List;
import org.quietlantern.core.query.CqlReader;
import org.quietlantern.core.query.CqlWriter;
import org.quietlantern.core.query.Sentence;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Answer;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.Shelves;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;

/** Strategies in other words: CQL and plain sentences. */
@Service
class Rendering {
  private final Shelves shelves;

  /** A strategy as one line of CQL, and as a sentence. */
  record Rendered(String cql, String sentence) {}

  Rendering(Shelves shelves) {
    this.shelves = shelves;
  }

  Rendered of(Member who, Strategy strategy) {
    return new Rendered(
        CqlWriter.write(strategy), Sentence.of(strategy, name -> shelves.title(who.group(), name)));
  }

  /**
   * What a held strategy is called.
   *
   * @param title its name itself where it is not there any more
   * @param newer the name of a revision that took its place
   */
  record HeldShown(String title, @Nullable String newer) {}

  HeldShown held(Member who, String name) {
    return new HeldShown(
        shelves.title(who.group(), name), shelves.newer(who.group(), name).orElse(null));
  }

  StrategyBody read(String cql) {
    CqlReader.Read read = CqlReader.read(cql);
    if (read.strategy().isEmpty()) {
      List<Answer.Note> problems =
          read.problems().stream()
              .map(
                  p ->
                      new Answer.Note(
                          "", p.code().name(), p.span().column(), p.span(), p.sentence()))
              .toList();
      throw new Matching.NotSearchable(problems);
    }
    return StrategyBody.of(read.strategy().get());
  }
}
