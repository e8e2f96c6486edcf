package org.quietlantern.core.query;

import java.util.List;
import java.util.stream.Collectors;

/**
 * Prints a tree as text that reads back as the same tree: with brackets wherever reading from left
 * to right would say something else.
 */
public final class Printer implements Term.Cases<String> {
  private static final Printer INSIDE = new Printer();

  private Printer() {}

  /** A whole line. */
  public static String print(Term tree) {
    if (tree instanceof Term.In in) {
      return fields(in) + in.term().match(INSIDE);
    }
    return tree.match(INSIDE);
  }

  @Override
  public String word(Term.Word word) {
    return word.typed();
  }

  @Override
  public String cut(Term.Cut cut) {
    return cut.typed();
  }

  @Override
  public String phrase(Term.Phrase phrase) {
    return phrase.parts().stream()
        .map(part -> part.match(this))
        .collect(Collectors.joining(" ", "\"", "\""));
  }

  @Override
  public String and(Term.And and) {
    return join(and.parts(), " and ");
  }

  @Override
  public String or(Term.Or or) {
    return join(or.parts(), " or ");
  }

  @Override
  public String not(Term.Not not) {
    return bracketed(not.left()) + " not " + bracketed(not.right());
  }

  @Override
  public String in(Term.In in) {
    return fields(in) + bracketed(in.term());
  }

  @Override
  public String heading(Term.Heading heading) {
    return "heading/" + String.join("/", heading.modifiers()) + ": \"" + heading.name() + "\"";
  }

  private String join(List<Term> parts, String operator) {
    return parts.stream().map(this::bracketed).collect(Collectors.joining(operator));
  }

  /** A field always gets a bracket: at the start of a line it would hold for all of it. */
  private String bracketed(Term term) {
    return term.isLeaf() ? term.match(this) : "(" + term.match(this) + ")";
  }

  private static String fields(Term.In in) {
    return in.fields().stream().map(Field::word).collect(Collectors.joining(",")) + ": ";
  }
}
