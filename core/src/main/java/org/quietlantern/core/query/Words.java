package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Turns word and phrase tokens into terms, and refuses cut words that cut too much. */
final class Words {
  private final List<Problem> problems;

  Words(List<Problem> problems) {
    this.problems = problems;
  }

  Optional<Term> word(String typed, Span span) {
    String open = typed.replace("\\*", "xx").replace("\\?", "xx");
    int star = open.indexOf('*');
    int mark = open.indexOf('?');
    if (star < 0 && mark < 0) {
      return Optional.of(new Term.Word(typed, span));
    }
    Optional<Problem.Code> wrong = wrongCut(open, star, mark);
    wrong.ifPresent(code -> problems.add(new Problem(code, span, typed)));
    return wrong.isPresent() ? Optional.empty() : Optional.of(new Term.Cut(typed, span));
  }

  private static Optional<Problem.Code> wrongCut(String open, int star, int mark) {
    long letters =
        (star < 0 ? open : open.substring(0, star))
            .chars()
            .filter(Character::isLetterOrDigit)
            .count();
    if (letters < 3) {
      return Optional.of(Problem.Code.CUT_TOO_SHORT);
    }
    if (star >= 0 && star < open.length() - 1) {
      return Optional.of(Problem.Code.CUT_INSIDE);
    }
    return mark == 0 ? Optional.of(Problem.Code.CUT_LEADING) : Optional.empty();
  }

  /** A phrase; empty when there was something wrong with it. */
  Optional<Term> phrase(Token token) {
    List<Token> tokens = new Scanner(token.text(), false, problems).tokens();
    List<Term> parts = new ArrayList<>();
    int shift = token.span().start() + 1;
    boolean sound = true;
    for (Token part : tokens) {
      if (part.is(Token.Kind.END) || part.is(Token.Kind.OPEN) || part.is(Token.Kind.CLOSE)) {
        continue;
      }
      Optional<Term> word =
          word(part.text(), new Span(part.span().start() + shift, part.span().end() + shift));
      word.ifPresent(parts::add);
      sound &= word.isPresent();
    }
    if (parts.isEmpty() && sound) {
      problems.add(new Problem(Problem.Code.QUOTE_EMPTY, token.span(), token.text()));
    }
    return sound && !parts.isEmpty()
        ? Optional.of(new Term.Phrase(parts, token.span()))
        : Optional.empty();
  }
}
