package org.quietlantern.core.search;

import java.util.List;
import java.util.Optional;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.Query;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Span;

/** What a strategy came to on one state of the catalogue. */
public sealed interface Compiled {

  /** A problem and the line that it stands in. */
  record Placed(String line, Problem problem) {}

  /** How many different words of the catalogue a cut word covers. */
  record Cover(String line, String typed, Span span, int words) {}

  /** Why a limit stands on the sheet without acting (rule L8). */
  enum Inactive {
    /** Nothing was chosen yet. */
    NOTHING_CHOSEN,
    /** No source supplies the property. */
    NOT_SUPPLIED
  }

  /**
   * A line as a query. Lines that are switched off have one too: what they would find alone.
   *
   * @param query what it finds; for a line that rules out, what it takes away
   */
  record Part(Line line, Query query, boolean rulesOut, Optional<Inactive> inactive) {
    /** Whether it takes part in the search. */
    boolean isInForce() {
      return !line.off() && inactive.isEmpty();
    }

    /** Whether its words say how relevant something is. */
    boolean scores() {
      return isInForce() && !rulesOut && !(line instanceof Line.Limited);
    }
  }

  /** Can be searched; {@code notes} are worth pointing out. */
  record Ready(
      SearchContext circumstances, List<Part> parts, List<Placed> notes, List<Cover> covers)
      implements Compiled {
    public Ready {
      parts = List.copyOf(parts);
      notes = List.copyOf(notes);
      covers = List.copyOf(covers);
    }

    List<Part> inForce() {
      return parts.stream().filter(Part::isInForce).toList();
    }

    /** The whole strategy; what only rules out is taken from the whole catalogue. */
    Query query() {
      BooleanQuery.Builder whole = new BooleanQuery.Builder();
      if (inForce().stream().allMatch(Part::rulesOut)) {
        whole.add(new MatchAllDocsQuery(), Occur.FILTER);
      }
      for (Part part : inForce()) {
        Occur occur = part.scores() ? Occur.MUST : Occur.FILTER;
        whole.add(part.query(), part.rulesOut() ? Occur.MUST_NOT : occur);
      }
      return whole.build();
    }

    /** The same without some of its lines. */
    Ready without(java.util.function.Predicate<Part> left) {
      return new Ready(circumstances, parts.stream().filter(left.negate()).toList(), notes, covers);
    }
  }

  /** Cannot be searched; the problems that refuse it come first. */
  record Refused(List<Placed> problems) implements Compiled {
    public Refused {
      problems = List.copyOf(problems);
    }
  }
}
