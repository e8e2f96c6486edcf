package org.quietlantern.core.watch;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.search.Library;

/** Why a search may find more although no record that it finds has changed (rule N2). */
public enum Cause {
  /** Headings and trees were taken in anew. */
  HEADINGS,
  /** What the group may read. */
  HOLDINGS,
  /** What is known of journals. */
  JOURNALS,
  /** A day has passed. */
  CALENDAR,
  /** Another record tells what it cites. */
  CITATIONS,
  /** A text that the group may read was added or read. */
  TEXTS,
  /** Something was kept in a folder that a line follows. */
  FOLDERS;

  private static final Map<Property, Cause> OF_LIMITS =
      Map.of(
          Property.STUDY, HEADINGS,
          Property.TAXON, HEADINGS,
          Property.REGION, HEADINGS,
          Property.STAGE, HEADINGS,
          Property.PEER_REVIEWED, JOURNALS,
          Property.ACCESS, HOLDINGS);

  /** As it is stored and shown. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** By which of these what a strategy finds can grow; of most strategies none. */
  public static Set<Cause> of(Strategy strategy, Library library) {
    Set<Cause> causes = EnumSet.noneOf(Cause.class);
    collect(strategy, library, causes, new HashSet<>());
    return causes;
  }

  private static void collect(
      Strategy strategy, Library library, Set<Cause> into, Set<String> seen) {
    for (Line line : strategy.inForce()) {
      line.match(
          new Line.Cases<Void>() {
            @Override
            public Void words(Line.Words words) {
              ofWords(words, into);
              return null;
            }

            @Override
            public Void limit(Line.Limited limited) {
              ofLimit(limited.limit(), into);
              return null;
            }

            @Override
            public Void held(Line.Held held) {
              for (String name : held.strategies()) {
                if (Line.Held.followsFolder(name)) {
                  into.add(FOLDERS);
                } else if (seen.add(name)) {
                  library.find(name).ifPresent(one -> collect(one, library, into, seen));
                }
              }
              return null;
            }
          });
    }
  }

  private static void ofWords(Line.Words words, Set<Cause> into) {
    words.parsed().tree().ifPresent(term -> ofTerm(term, into));
    for (Widening widening : words.widened()) {
      switch (widening) {
        case NAMES, NARROWER, RELATED -> into.add(HEADINGS);
        case TEXT -> into.add(TEXTS);
        case VARIANTS -> {
          // Forms of words are looked up in a list that ships with the program.
        }
      }
    }
  }

  private static void ofLimit(Limit limit, Set<Cause> into) {
    if (OF_LIMITS.containsKey(limit.property())) {
      into.add(OF_LIMITS.get(limit.property()));
    }
    if (limit.property() == Property.ACCESS
        || (limit.property() == Property.DATE && limit.range().last() > 0)) {
      // Embargoes end, and years roll on.
      into.add(CALENDAR);
    }
  }

  private static void ofTerm(Term term, Set<Cause> into) {
    if (term instanceof Term.Heading) {
      into.add(HEADINGS);
    }
    if (term instanceof Term.In in) {
      if (in.fields().contains(Field.CITEDBY)) {
        into.add(CITATIONS);
      }
      if (in.fields().contains(Field.TEXT)) {
        into.add(TEXTS);
      }
    }
    term.parts().forEach(part -> ofTerm(part, into));
  }
}
