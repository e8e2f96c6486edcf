package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A strategy as one line of CQL (OASIS searchRetrieve Part 5: CQL 1.0, the language also known as
 * CQL 2.0). Lines in force stand in brackets, joined by <i>and</i>; those that rule out come last,
 * behind <i>not</i>. Indexes and relations are those of docs/formats.md. {@link CqlReader} reads it
 * back as the same strategy, apart from line ids, lines that are off and the place of lines that
 * rule out.
 */
public final class CqlWriter implements Term.Cases<String> {
  /** What a word without a field is searched in. */
  static final String ANY = "any";

  private final String index;
  private final String modifiers;

  private CqlWriter(String index, String modifiers) {
    this.index = index;
    this.modifiers = modifiers;
  }

  /** The widenings of a line are modifiers of every relation in it. */
  private static CqlWriter of(Set<Widening> widened) {
    String modifiers =
        widened.stream().sorted().map(w -> "/" + w.modifier()).collect(Collectors.joining());
    return new CqlWriter(ANY, modifiers);
  }

  public static String write(Strategy strategy) {
    List<String> with = new ArrayList<>();
    List<String> without = new ArrayList<>();
    for (Line line : strategy.inForce()) {
      line.match(new Lines(with, without));
    }
    if (with.isEmpty()) {
      with.add("cql.allRecords = 1");
    }
    return Stream.concat(
            Stream.of(String.join(" and ", with)), without.stream().map(w -> "not " + w))
        .collect(Collectors.joining(" "));
  }

  private record Lines(List<String> with, List<String> without) implements Line.Cases<Boolean> {
    @Override
    public Boolean words(Line.Words line) {
      Parsed parsed = line.parsed();
      return parsed
          .tree()
          .map(tree -> tree.match(of(line.widened())))
          .map(cql -> (parsed.rulesOut() ? without : with).add("(" + cql + ")"))
          .orElse(false);
    }

    @Override
    public Boolean limit(Line.Limited line) {
      return line.limit().asks() && with.add("(" + limited(line.limit()) + ")");
    }

    @Override
    public Boolean held(Line.Held line) {
      String any =
          line.strategies().stream()
              .map(name -> "held = " + quoted(name))
              .collect(Collectors.joining(" or "));
      return (line.rulesOut() ? without : with).add("(" + any + ")");
    }
  }

  private static String limited(Limit limit) {
    String index = "limit." + limit.property().word();
    List<String> chosen = new ArrayList<>();
    if (limit.range().last() > 0) {
      chosen.add(index + " = " + quoted("last " + limit.range().last() + " years"));
    } else if (limit.range().isSet()) {
      chosen.add(
          index + " within " + quoted(end(limit.range().from()) + " " + end(limit.range().to())));
    }
    limit.chosen().forEach(value -> chosen.add(index + " = " + quoted(value)));
    String asked =
        chosen.isEmpty()
            ? "cql.allRecords = 1"
            : String.join(limit.all() ? " and " : " or ", chosen);
    return Stream.concat(
            Stream.of(chosen.size() > 1 ? "(" + asked + ")" : asked),
            limit.ruledOut().stream().map(value -> "not " + index + " = " + quoted(value)))
        .collect(Collectors.joining(" "));
  }

  /** An open end. */
  private static String end(String end) {
    return end.isEmpty() ? "*" : end;
  }

  static String quoted(String value) {
    return "\"" + value.replace("\\", "\\\\").replace("\"", "\\\"") + "\"";
  }

  @Override
  public String word(Term.Word word) {
    return index + " =" + modifiers + " " + quotedTerm(word.typed());
  }

  @Override
  public String cut(Term.Cut cut) {
    return index + " =" + modifiers + " " + quotedTerm(cut.typed());
  }

  @Override
  public String phrase(Term.Phrase phrase) {
    String words =
        phrase.parts().stream()
            .map(part -> part instanceof Term.Cut cut ? cut.typed() : ((Term.Word) part).typed())
            .collect(Collectors.joining(" "));
    return index + " adj" + modifiers + " " + quotedTerm(words);
  }

  /** Masking signs and their escapes are the same in CQL as on the sheet. */
  private static String quotedTerm(String typed) {
    return "\"" + typed.replace("\"", "\\\"") + "\"";
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

  @Override
  public String not(Term.Not not) {
    return inside(not.left()) + " not " + inside(not.right());
  }

  private String inside(Term term) {
    Term bare = term;
    while (bare instanceof Term.In in) {
      bare = in.term();
    }
    return bare.isLeaf() ? term.match(this) : "(" + term.match(this) + ")";
  }

  /** As {@code heading ==/narrower "Bats"}; what widens the line comes after. */
  @Override
  public String heading(Term.Heading heading) {
    String own =
        heading.modifiers().stream()
            .filter(m -> !m.equals(Term.Heading.EXACT))
            .map(m -> "/" + m)
            .collect(Collectors.joining());
    return "heading ==" + own + modifiers + " " + quotedTerm(heading.name());
  }

  @Override
  public String in(Term.In in) {
    String names = in.fields().stream().map(Field::word).collect(Collectors.joining(","));
    String index = in.fields().size() == 1 ? names : quoted(names);
    return in.term().match(new CqlWriter(index, modifiers));
  }
}
