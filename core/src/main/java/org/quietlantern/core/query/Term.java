package org.quietlantern.core.query;

import java.util.ArrayList;
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

    R heading(Heading heading);
  }

  <R> R match(Cases<R> cases);

  /** What it is made of; nothing where it is a whole. */
  default List<Term> parts() {
    return List.of();
  }

  /** Whether it stands for itself: a word, a cut word, a phrase or a heading. */
  default boolean isLeaf() {
    return this instanceof Word
        || this instanceof Cut
        || this instanceof Phrase
        || this instanceof Heading;
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

    @Override
    public List<Term> parts() {
      return List.of(left, right);
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

    @Override
    public List<Term> parts() {
      return List.of(term);
    }
  }

  /**
   * A heading by one of its names (rules H1 to H3). All that is asked has to hold of one and the
   * same heading that a publication carries.
   *
   * @param narrower whether the headings below it will do as well
   * @param central whether the publication has to be mainly about it
   * @param aspects in any of which respects; empty: in whichever
   */
  record Heading(String name, boolean narrower, boolean central, List<String> aspects, Span span)
      implements Term {
    /** Typed for a heading as it is, where nothing else is asked. */
    static final String EXACT = "exact";

    static final String NARROWER = "narrower";
    static final String CENTRAL = "central";

    public Heading {
      aspects = List.copyOf(aspects);
    }

    /** {@code modifiers}: what was typed between the field's name and its colon. */
    static Heading of(String name, List<String> modifiers, Span span) {
      return new Heading(
          name,
          modifiers.contains(NARROWER),
          modifiers.contains(CENTRAL),
          modifiers.stream()
              .filter(m -> !List.of(EXACT, NARROWER, CENTRAL).contains(m))
              .distinct()
              .toList(),
          span);
    }

    /** What tells it from words in a heading; {@code exact} where nothing else does. */
    public List<String> modifiers() {
      List<String> all = new ArrayList<>();
      if (narrower) {
        all.add(NARROWER);
      }
      if (central) {
        all.add(CENTRAL);
      }
      all.addAll(aspects);
      return all.isEmpty() ? List.of(EXACT) : all;
    }

    @Override
    public <R> R match(Cases<R> cases) {
      return cases.heading(this);
    }
  }

  private static List<Term> flat(List<Term> parts, Function<Term, List<Term>> inner) {
    if (parts.size() < 2) {
      throw new IllegalArgumentException("two things to join are needed, not " + parts.size());
    }
    return parts.stream().flatMap(part -> inner.apply(part).stream()).toList();
  }
}
