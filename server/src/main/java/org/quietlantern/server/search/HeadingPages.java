package org.quietlantern.server.search;

import java.util.ArrayList;
import java.util.List;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.Headings;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** Looking headings up, with counts (rule H1). */
@Service
class HeadingPages {
  private static final int LOOKED_UP = 30;
  private final Matching matching;

  /**
   * A heading in a list.
   *
   * @param by the name it was met by, where that is not its preferred one
   * @param count publications that carry it
   * @param withNarrower publications that carry it or one below it
   * @param below how many headings are right below it
   */
  record HeadingLine(
      String label, @Nullable String by, int count, int withNarrower, int below, boolean retired) {}

  /**
   * One heading.
   *
   * @param former names it had before
   * @param note what it is used for; empty where nobody said
   * @param path those above it, from the top; one way where there are several
   * @param central publications that are mainly about it
   * @param replacedBy what took its place
   */
  record HeadingFacts(
      String label,
      String uri,
      List<String> names,
      List<String> former,
      String note,
      List<String> path,
      List<HeadingLine> broader,
      List<HeadingLine> narrower,
      List<HeadingLine> related,
      List<AspectShown> aspects,
      int count,
      int withNarrower,
      int central,
      boolean retired,
      List<String> replacedBy) {}

  /**
   * {@code word}: as it is typed; {@code count}: publications about the heading in this respect.
   */
  record AspectShown(String word, String label, String note, int count) {}

  HeadingPages(Matching matching) {
    this.matching = matching;
  }

  /** For everyday words, best first; without words those that nothing is above. */
  List<HeadingLine> lookUp(Member who, String words) {
    return matching.look(
        who,
        look -> {
          Headings headings = look.circumstances().headings();
          if (words.isBlank()) {
            return headings.tops().stream().map(top -> line(look, top, null)).toList();
          }
          return headings.lookUp(words, LOOKED_UP).stream()
              .map(
                  named ->
                      line(
                          look,
                          named.heading(),
                          named.kind() == Headings.Kind.PREFERRED ? null : named.name()))
              .toList();
        });
  }

  /** By any of its names; throws a refusal for a name that no heading has or had. */
  HeadingFacts get(Member who, String name) {
    return matching.look(
        who,
        look -> {
          Headings headings = look.circumstances().headings();
          Concept heading = headings.find(name).orElseThrow(Refusal::unknown).heading();
          return new HeadingFacts(
              heading.label(),
              heading.uri(),
              heading.names(),
              heading.fate().former(),
              heading.note(),
              path(headings, heading),
              lines(look, headings.broader(heading)),
              lines(look, headings.narrower(heading)),
              lines(look, headings.related(heading)),
              headings.aspects(heading).stream().map(a -> aspect(look, heading, a)).toList(),
              count(look, heading, "exact"),
              count(look, heading, "narrower"),
              count(look, heading, "central"),
              heading.fate().retired(),
              heading.fate().replacedBy().stream()
                  .flatMap(uri -> headings.get(uri).stream())
                  .map(Concept::label)
                  .toList());
        });
  }

  private static AspectShown aspect(Matching.Look look, Concept heading, Concept aspect) {
    String word = Headings.aspectWord(aspect.label());
    return new AspectShown(word, aspect.label(), aspect.note(), count(look, heading, word));
  }

  private static List<HeadingLine> lines(Matching.Look look, List<Concept> headings) {
    return headings.stream().map(heading -> line(look, heading, null)).toList();
  }

  private static HeadingLine line(Matching.Look look, Concept heading, @Nullable String by) {
    return new HeadingLine(
        heading.label(),
        by,
        count(look, heading, "exact"),
        count(look, heading, "narrower"),
        look.circumstances().headings().narrower(heading).size(),
        heading.fate().retired());
  }

  private static int count(Matching.Look look, Concept heading, String modifier) {
    return look.count(asked(heading.label(), modifier));
  }

  /** What carries a heading in one way. */
  static Strategy asked(String label, String modifier) {
    return Strategy.of("heading/" + modifier + ": \"" + label.replace('"', ' ') + "\"");
  }

  /** A circle ends where it began. */
  private static List<String> path(Headings headings, Concept heading) {
    List<String> path = new ArrayList<>();
    List<Concept> above = headings.broader(heading);
    while (!above.isEmpty() && !path.contains(above.get(0).label())) {
      path.add(0, above.get(0).label());
      above = headings.broader(above.get(0));
    }
    return path;
  }
}
