package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** A strategy in plain words, for people who do not read searches. */
public final class Sentence {
  private final UnaryOperator<String> held;

  private Sentence(UnaryOperator<String> held) {
    this.held = held;
  }

  /** {@code held}: what to call a held strategy that has such a name. */
  public static String of(Strategy strategy, UnaryOperator<String> held) {
    return new Sentence(held).of(strategy);
  }

  /** One line: words as typed, what narrows in plain words. */
  public static String ofLine(Line line, UnaryOperator<String> held) {
    if (line instanceof Line.Words words) {
      return words.text();
    }
    return line instanceof Line.Limited limited
        ? limit(limited.limit())
        : (((Line.Held) line).rulesOut() ? "not " : "") + new Sentence(held).held((Line.Held) line);
  }

  private String of(Strategy strategy) {
    List<String> with = new ArrayList<>();
    List<String> without = new ArrayList<>();
    for (Line line : strategy.inForce()) {
      if (line instanceof Line.Words words) {
        Parsed parsed = words.parsed();
        parsed
            .tree()
            .ifPresent(tree -> (parsed.rulesOut() ? without : with).add(words(tree, words)));
      } else if (line instanceof Line.Held holds) {
        (holds.rulesOut() ? without : with).add(held(holds));
      }
    }
    List<String> parts = new ArrayList<>();
    parts.add(with.isEmpty() ? "All publications" : "Publications with " + joined(with));
    if (!without.isEmpty()) {
      parts.add("but not with " + joined(without));
    }
    strategy
        .limits()
        .filter(line -> !line.off())
        .map(line -> limit(line.limit()))
        .forEach(parts::add);
    return String.join("; ", parts) + ".";
  }

  private static String joined(List<String> parts) {
    return String.join(", and with ", parts);
  }

  private static String words(Term tree, Line.Words line) {
    String spoken = tree.match(new Spoken());
    return line.widened().isEmpty() ? spoken : spoken + " (" + widened(line) + ")";
  }

  private static String widened(Line.Words line) {
    return line.widened().stream()
        .sorted()
        .map(
            widening ->
                switch (widening) {
                  case VARIANTS -> "its variants";
                  case NAMES -> "other names of its headings";
                  case NARROWER -> "narrower headings";
                  case RELATED -> "related headings";
                  case TEXT -> "inside the text";
                })
        .collect(Collectors.joining(", ", "and ", ""));
  }

  private String held(Line.Held line) {
    return "what is found by "
        + line.strategies().stream().map(held).collect(Collectors.joining(" or by "));
  }

  private static String limit(Limit limit) {
    List<String> says = new ArrayList<>();
    if (limit.range().isSet()) {
      says.add(range(limit.range()));
    }
    if (!limit.chosen().isEmpty()) {
      says.add(String.join(limit.all() ? " and " : " or ", limit.chosen()));
    }
    if (!limit.ruledOut().isEmpty()) {
      says.add("not " + String.join(", not ", limit.ruledOut()));
    }
    return limit.property().word() + ": " + (says.isEmpty() ? "any" : String.join(" or ", says));
  }

  private static String range(Range range) {
    if (range.last() > 0) {
      return "this year and the " + range.last() + " before it";
    }
    if (range.to().isEmpty()) {
      return "from " + range.from();
    }
    return range.from().isEmpty() ? "up to " + range.to() : range.from() + " to " + range.to();
  }

  private static final class Spoken implements Term.Cases<String> {
    @Override
    public String word(Term.Word word) {
      return word.text();
    }

    @Override
    public String cut(Term.Cut cut) {
      return cut.typed();
    }

    @Override
    public String phrase(Term.Phrase phrase) {
      return phrase.parts().stream()
          .map(part -> part.match(this))
          .collect(Collectors.joining(" ", "“", "”"));
    }

    @Override
    public String and(Term.And and) {
      return joined(and.parts(), " and ");
    }

    @Override
    public String or(Term.Or or) {
      return joined(or.parts(), " or ");
    }

    private String joined(List<Term> parts, String by) {
      return parts.stream().map(this::inside).collect(Collectors.joining(by));
    }

    private String inside(Term term) {
      return term.isLeaf() ? term.match(this) : "(" + term.match(this) + ")";
    }

    @Override
    public String not(Term.Not not) {
      return inside(not.left()) + " but not " + inside(not.right());
    }

    @Override
    public String heading(Term.Heading heading) {
      return "the heading “"
          + heading.name()
          + "”"
          + (heading.narrower() ? " or one below it" : "")
          + (heading.central() ? ", central" : "")
          + (heading.aspects().isEmpty()
              ? ""
              : ", as to " + String.join(" or ", heading.aspects()).replace('-', ' '));
    }

    @Override
    public String in(Term.In in) {
      return inside(in.term())
          + " in "
          + in.fields().stream().map(Field::word).collect(Collectors.joining(" or "));
    }
  }
}
