package org.quietlantern.core.vocabulary;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
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
    terms.forEach(this::circle);
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

  /** A term that lies under itself loses the link through which it does. */
  private void circle(SkosReader.Reading term) {
    term.broader
        .entrySet()
        .removeIf(
            link -> {
              boolean circle = isUnder(link.getKey(), term.uri);
              if (circle) {
                problem.tell(
                    link.getValue(),
                    "“%s” lies under itself, through “%s”"
                        .formatted(term.label, byUri.get(link.getKey()).label));
              }
              return circle;
            });
  }

  private boolean isUnder(String uri, String above) {
    Set<String> met = new HashSet<>();
    Deque<String> waiting = new ArrayDeque<>(List.of(uri));
    while (!waiting.isEmpty()) {
      String now = waiting.remove();
      if (now.equals(above)) {
        return true;
      }
      if (met.add(now) && byUri.containsKey(now)) {
        waiting.addAll(byUri.get(now).broader.keySet());
      }
    }
    return false;
  }
}
