package org.quietlantern.core.query;

import java.util.List;
import java.util.function.Function;

/** A typed line as a tree. Immutable; printed back by {@link Printer}. */
public sealed interface Term {

  /** One method a node, so that the compiler finds every place when a node is added. */
  interface Cases<R> {
    R word(Word word);

    R cut(Cut cut);

    R phrase(Phrase phrase);

    R and(And and);

    R or(Or or);

    R not(Not not);

    R in(In in);
  }

  <R> R match(Cases<R> cases);

  /** Whether it stands for itself: a word, a cut word or a phrase. */
  default boolean isLeaf() {
    return this instanceof Word || this instanceof Cut || this instanceof Phrase;
  }

  /** One word as typed; signs that were escaped still carry their backslash. */
  record Word(String typed, Span span) implements Term {
    @Override
    public <R> R match(Cases<R> cases) {
      return cases.word(this);
    }

    /** The word without the backslashes of escaped signs. */
    public String text() {
      return typed.replace("\\*", "*").replace("\\?", "?");
    }
  }

  /** A word with any ending ({@code *}) or with single open letters ({@code ?}). */
  record Cut(String typed, Span span) implements Term {
    @Override
    public <R> R match(Cases<R> cases) {
      return cases.cut(this);
    }
  }

  /** Words next to each other in this order; its parts are words and cut words. */
  record Phrase(List<Term> parts, Span span) implements Term {
    public Phrase {
      parts = List.copyOf(parts);
      if (parts.isEmpty() || !parts.stream().allMatch(p -> p instanceof Word || p instanceof Cut)) {
        throw new IllegalArgumentException("a phrase is made of words: " + parts);
      }
    }

    @Override
    public <R> R match(Cases<R> cases) {
      return cases.phrase(this);
    }
  }

  /** All of them; an <i>and</i> inside an <i>and</i> is the same one. */
  record And(List<Term> parts) implements Term {
    public And {
      parts = flat(parts, part -> part instanceof And and ? and.parts : List.of(part));
    }

    @Override
    public <R> R match(Cases<R> cases) {
      return cases.and(this);
    }
  }

  /** Any of them; an <i>or</i> inside an <i>or</i> is the same one. */
  record Or(List<Term> parts) implements Term {
    public Or {
      parts = flat(parts, part -> part instanceof Or or ? or.parts : List.of(part));
    }

    @Override
    public <R> R match(Cases<R> cases) {
      return cases.or(this);
    }
  }

  /** What the left finds and the right does not. */
  record Not(Term left, Term right) implements Term {
    @Override
    public <R> R match(Cases<R> cases) {
      return cases.not(this);
    }
  }

  /** Searched in these fields only; an inner one overrides an outer one. */
  record In(List<Field> fields, Term term) implements Term {
    public In {
      fields = List.copyOf(fields);
      if (fields.isEmpty()) {
        throw new IllegalArgumentException("no field");
      }
    }

    @Override
    public <R> R match(Cases<R> cases) {
      return cases.in(this);
    }
  }

  private static List<Term> flat(List<Term> parts, Function<Term, List<Term>> inner) {
    if (parts.size() < 2) {
      throw new IllegalArgumentException("two things to join are needed, not " + parts.size());
    }
    return parts.stream().flatMap(part -> inner.apply(part).stream()).toList();
  }
}
