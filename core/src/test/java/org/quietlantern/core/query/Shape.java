package org.quietlantern.core.query;

import java.util.stream.Collectors;

/** A tree without its places in the text, to compare what was read with what was meant. */
final class Shape implements Term.Cases<String> {
  static String of(Term term) {
    return term.match(new Shape());
  }

  @Override
  public String word(Term.Word word) {
    return "word " + word.typed();
  }

  @Override
  public String cut(Term.Cut cut) {
    return "cut " + cut.typed();
  }

  @Override
  public String phrase(Term.Phrase phrase) {
    return "phrase" + phrase.parts().stream().map(Shape::of).toList();
  }

  @Override
  public String and(Term.And and) {
    return and.parts().stream().map(Shape::of).collect(Collectors.joining(", ", "and[", "]"));
  }

  @Override
  public String or(Term.Or or) {
    return or.parts().stream().map(Shape::of).collect(Collectors.joining(", ", "or[", "]"));
  }

  @Override
  public String not(Term.Not not) {
    return "not[" + of(not.left()) + ", " + of(not.right()) + "]";
  }

  @Override
  public String heading(Term.Heading heading) {
    return Printer.print(heading);
  }

  @Override
  public String in(Term.In in) {
    return "in" + in.fields() + of(in.term());
  }
}
