package org.quietlantern.core.vocabulary;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.quietlantern.core.publication.Fold;

/**
 * Looks through the terms of a file for what cannot be: ends that are missing, circles, one name
 * for two. Links that cannot be are taken out; of two with one name both stay.
 */
final class SkosChecks {
  private final List<SkosReader.Reading> terms;
  private final Map<String, SkosReader.Reading> byUri = new HashMap<>();
  private final Telling problem;

  /** Is told what is wrong, and in which line. */
  interface Telling {
    void tell(long line, String sentence);
  }

  SkosChecks(List<SkosReader.Reading> terms, Telling problem) {
    this.terms = terms;
    this.problem = problem;
    terms.forEach(term -> byUri.put(term.uri, term));
  }

  void run() {
    for (SkosReader.Reading term : terms) {
      ends(term, term.broader, "broader");
      ends(term, term.related, "related");
      ends(term, term.replacedBy, "replaced by");
    }
    names();
    circles();
  }

  private void ends(SkosReader.Reading term, Map<String, Long> links, String how) {
    links
        .entrySet()
        .removeIf(
            link -> {
              boolean missing = !byUri.containsKey(link.getKey());
              if (missing) {
                problem.tell(
                    link.getValue(),
                    "“%s” is %s %s, which is not there"
                        .formatted(
                            term.label, how.equals("broader") ? "under" : how, link.getKey()));
              }
              return missing;
            });
  }

  private void names() {
    Map<String, SkosReader.Reading> met = new LinkedHashMap<>();
    for (SkosReader.Reading term : terms) {
      String name = term.scheme + "\n" + Fold.letters(term.label);
      SkosReader.Reading first = met.putIfAbsent(name, term);
      if (first != null) {
        problem.tell(
            term.line,
            "“%s” is the preferred name of %s and of %s"
                .formatted(term.label, first.uri, term.uri));
      }
    }
  }

  /**
   * Goes up from every term, each once, in the order of the file: a link that leads back to where
   * it came from is taken out. Takes as many steps as there are links, however deep they go.
   */
  private void circles() {
    Set<SkosReader.Reading> done = new HashSet<>();
    for (SkosReader.Reading term : terms) {
      if (!done.contains(term)) {
        goUp(term, done);
      }
    }
  }

  private record Step(SkosReader.Reading term, Iterator<Map.Entry<String, Long>> above) {
    Step(SkosReader.Reading term) {
      this(term, term.broader.entrySet().iterator());
    }
  }

  private void goUp(SkosReader.Reading from, Set<SkosReader.Reading> done) {
    Deque<Step> way = new ArrayDeque<>(List.of(new Step(from)));
    Set<SkosReader.Reading> onTheWay = new HashSet<>(Set.of(from));
    while (!way.isEmpty()) {
      Step step = way.peek();
      if (!step.above().hasNext()) {
        way.pop();
        onTheWay.remove(step.term());
        done.add(step.term());
        continue;
      }
      Map.Entry<String, Long> link = step.above().next();
      SkosReader.Reading above = byUri.get(link.getKey());
      if (onTheWay.contains(above)) {
        problem.tell(
            link.getValue(),
            "“%s” lies under itself, through “%s”".formatted(step.term().label, above.label));
        step.above().remove();
      } else if (!done.contains(above)) {
        way.push(new Step(above));
        onTheWay.add(above);
      }
    }
  }
}
