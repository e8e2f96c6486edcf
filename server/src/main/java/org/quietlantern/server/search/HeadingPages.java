package org.quietlantern.server.search;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.ToIntFunction;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
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
      boolean retired,
      List<String> replacedBy) {}

  /** A respect in which a heading can be asked for. {@code word}: as it is typed. */
  record AspectShown(String word, String label, String note) {}

  /**
   * How a heading is asked for; all parts hold at once.
   *
   * @param below whether those below it are meant, too
   * @param central whether publications have to be mainly about it
   * @param aspects words of the respects that have to hold
   * @param widened what else the line may find
   */
  record Asked(
      String name, boolean below, boolean central, List<String> aspects, Set<Widening> widened) {
    Asked withBelow(boolean other) {
      return new Asked(name, other, central, aspects, widened);
    }

    Asked withCentral(boolean other) {
      return new Asked(name, below, other, aspects, widened);
    }

    Asked widenedBy(Set<Widening> others) {
      return new Asked(name, below, central, aspects, others);
    }

    Asked and(String aspect) {
      Set<String> more = new LinkedHashSet<>(aspects);
      more.add(aspect);
      return new Asked(name, below, central, List.copyOf(more), widened);
    }

    String modifiers() {
      List<String> modifiers = new ArrayList<>();
      if (below) {
        modifiers.add("narrower");
      }
      if (central) {
        modifiers.add("central");
      }
      modifiers.addAll(aspects);
      return modifiers.isEmpty() ? "exact" : String.join("/", modifiers);
    }
  }

  /** What a way to ask for a heading finds, and what each change of one part of it would find. */
  record AskedShown(
      int count,
      int itOnly,
      int withBelow,
      int anywhere,
      int central,
      int unwidened,
      int names,
      int related,
      List<AspectCount> aspects) {}

  /** What is left with one respect more; for one that is asked for already, what is found now. */
  record AspectCount(String word, int count) {}

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
              headings.aspects(heading).stream()
                  .map(a -> new AspectShown(Headings.aspectWord(a.label()), a.label(), a.note()))
                  .toList(),
              count(look, heading, "exact"),
              count(look, heading, "narrower"),
              heading.fate().retired(),
              heading.fate().replacedBy().stream()
                  .flatMap(uri -> headings.get(uri).stream())
                  .map(Concept::label)
                  .toList());
        });
  }

  /** All in one state; throws a refusal for a name or a respect that there is not. */
  AskedShown asked(Member who, Asked asked) {
    return matching.look(
        who,
        look -> {
          Headings headings = look.circumstances().headings();
          Concept heading = headings.find(asked.name()).orElseThrow(Refusal::unknown).heading();
          List<String> known =
              headings.aspects(heading).stream()
                  .map(aspect -> Headings.aspectWord(aspect.label()))
                  .toList();
          if (!known.containsAll(asked.aspects())) {
            throw Refusal.unknown();
          }
          ToIntFunction<Asked> count = one -> look.count(strategy(heading, one));
          return new AskedShown(
              count.applyAsInt(asked),
              count.applyAsInt(asked.withBelow(false)),
              count.applyAsInt(asked.withBelow(true)),
              count.applyAsInt(asked.withCentral(false)),
              count.applyAsInt(asked.withCentral(true)),
              count.applyAsInt(asked.widenedBy(Set.of())),
              count.applyAsInt(asked.widenedBy(Set.of(Widening.NAMES))),
              count.applyAsInt(asked.widenedBy(Set.of(Widening.RELATED))),
              known.stream()
                  .map(word -> new AspectCount(word, count.applyAsInt(asked.and(word))))
                  .toList());
        });
  }

  private static Strategy strategy(Concept heading, Asked asked) {
    return new Strategy(
        List.of(
            new Line.Words("1", text(heading.label(), asked.modifiers()), false, asked.widened())));
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
    return Strategy.of(text(label, modifier));
  }

  /** A line as it is typed. */
  private static String text(String label, String modifiers) {
    return "heading/" + modifiers + ": \"" + label.replace('"', ' ') + "\"";
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
