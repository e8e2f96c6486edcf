package org.quietlantern.core.search;

import java.util.List;
import org.apache.lucene.search.Query;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Span;

/** What a strategy came to on one state of the catalogue. */
public sealed interface Compiled {

  /** A problem and the line that it stands in. */
  record Placed(String line, Problem problem) {}

  /** How many different words of the catalogue a cut word covers. */
  record Cover(String line, String typed, Span span, int words) {}

  /** Can be searched; {@code notes} are worth pointing out. */
  record Ready(Query query, List<Placed> notes, List<Cover> covers) implements Compiled {
    public Ready {
      notes = List.copyOf(notes);
      covers = List.copyOf(covers);
    }
  }

  /** Cannot be searched; the problems that refuse it come first. */
  record Refused(List<Placed> problems) implements Compiled {
    public Refused {
      problems = List.copyOf(problems);
    }
  }
}
