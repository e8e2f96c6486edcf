package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.util.BytesRef;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.query.Term;
import org.quietlantern.core.vocabulary.Headings;

/**
 * Headings in the index. A heading that a publication carries is indexed under everything that can
 * be asked of it at once, so that what is asked holds of one and the same heading (rule H3).
 */
final class HeadingUses {
  private static final char THEN = '\n';
  private static final String CENTRAL = "!";

  private HeadingUses() {}

  /** All that can be asked of a heading and holds. */
  static List<String> words(HeadingUse use) {
    List<String> words = new ArrayList<>();
    for (String central : use.central() ? List.of("", CENTRAL) : List.of("")) {
      words.add(word(use.uri(), central, ""));
      use.aspects()
          .forEach(aspect -> words.add(word(use.uri(), central, Headings.aspectWord(aspect))));
    }
    return words;
  }

  /** What carries any of some headings as asked. */
  static List<String> sought(Set<String> uris, Term.Heading asked) {
    List<String> aspects = asked.aspects().isEmpty() ? List.of("") : asked.aspects();
    return uris.stream()
        .flatMap(
            uri ->
                aspects.stream().map(aspect -> word(uri, asked.central() ? CENTRAL : "", aspect)))
        .toList();
  }

  static Query query(List<String> words) {
    return new TermInSetQuery(IndexFields.HEADING_USE, words.stream().map(BytesRef::new).toList());
  }

  private static String word(String uri, String central, String aspect) {
    return uri + THEN + central + THEN + aspect;
  }
}
