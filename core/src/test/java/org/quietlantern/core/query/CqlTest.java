package org.quietlantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CqlTest {
  private final Random random = new Random(7);
  private final RandomSheets sheets = new RandomSheets(random);

  /** A strategy without what CQL does not carry: ids, lines that are off, places of rule-outs. */
  private static List<String> carried(Strategy strategy) {
    return strategy.inForce().stream()
        .filter(line -> !(line instanceof Line.Limited limited) || limited.limit().asks())
        .sorted(Comparator.comparing(CqlTest::rulesOut))
        .map(CqlTest::shape)
        .toList();
  }

  private static boolean rulesOut(Line line) {
    return line instanceof Line.Words words
        ? words.parsed().rulesOut()
        : line instanceof Line.Held held && held.rulesOut();
  }

  private static String shape(Line line) {
    if (line instanceof Line.Words words) {
      Parsed parsed = words.parsed();
      return parsed.rulesOut()
          + " "
          + Fields.pushedDown(parsed.tree().orElseThrow())
          + words.widened();
    }
    return line instanceof Line.Limited limited
        ? limited.limit().toString()
        : ((Line.Held) line).strategies() + " " + ((Line.Held) line).rulesOut();
  }

  private static Strategy read(String cql) {
    CqlReader.Read read = CqlReader.read(cql);
    assertThat(read.problems()).as(cql).isEmpty();
    return read.strategy().orElseThrow();
  }

  @DisplayName("what is printed as CQL reads back as the same strategy")
  @Test
  void theLaw() {
    for (int n = 0; n < 3000; n++) {
      Strategy strategy = sheets.next();
      String cql = CqlWriter.write(strategy);
      Strategy back = read(cql);
      assertThat(carried(back)).as(cql).isEqualTo(carried(strategy));
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "moth | moth",
        "moth and bat | moth; bat",
        "(moth and bat) | moth and bat",
        "moth or bat and verge | moth or bat; verge",
        "title = \"street lights\" | title: street and lights",
        "title any \"street lamp\" | title: street or lamp",
        "cql.serverChoice adj \"street lights\" | \"street lights\"",
        "year within \"2016 2020\" | year: 2016-2020",
        "moth not bat | moth; not bat",
        "any = \"and\" | \"and\"",
        "MOTH AND bat | MOTH; bat",
        "(((moth))) | moth",
        "title = \"not moth\" | title: \"not\" and moth",
        "title = \"moth\\^\" | title: moth",
        "title scr moth | title: moth",
        "title =/stem moth | title: moth",
        "\"title,author\" = x | title,author: x",
        "kind == \"field study\" | kind: \"field study\"",
        "kind,language exact de | kind,language: \"de\"",
        "dc.subject = bats | heading,keyword: bats",
        "year = 2020 | year: 2020",
        "year any 2020 | year: 2020",
        "year > 2020 | year: 2021-",
        "dc.date >= 2020 | year: 2020-",
        "bib.dateIssued < 2020 | year: -2019",
        "year within \"* 2024\" | year: -2024",
        "year within \"2020 *\" | year: 2020-",
        "cql.allRecords = 1 not moth | not moth",
        "cql.allRecords = 1 and moth | moth",
        "heading = bats | heading: bats",
        "heading == Bats | heading/exact: \"Bats\"",
        "heading exact Bats | heading/exact: \"Bats\"",
        "heading ==/narrower \"Bats\" | heading/narrower: \"Bats\"",
        "heading ==/narrower/central Bats | heading/narrower/central: \"Bats\"",
        "heading == \"a \\\" b\" | heading/exact: \"a   b\"",
        "bib.subjectTopical ==/central Bats | heading/central: \"Bats\""
      })
  void asOthersWriteIt(String cql, String lines) {
    assertThat(read(cql).lines())
        .extracting(line -> ((Line.Words) line).text())
        .containsExactly(lines.split("; "));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "moth and | 9 | something is missing here",
        "(moth | 1 | this bracket is never closed",
        "moth) | 5 | this bracket closes nothing",
        "colour = red | 1 | “colour” is no index",
        "limit.colour = red | 1 | “limit.colour” is no index",
        "(moth or limit.kind = article) | 2 | limits and held strategies stand in brackets",
        "limit.date within \"2016 May\" | 1 | cannot be read as a year",
        "title adj \"moth | 11 | this quotation mark is never closed",
        "moth prox bat | 6 | is a part of CQL that is not understood",
        "limit.kind = article and limit.kind = review | 1 | two lines limit the kind",
        "moth bat | 9 | something is missing",
        "moth = | 7 | something is missing",
        "moth = ) | 8 | something is missing",
        "moth =/ bat | 12 | something is missing",
        "title = = x | 9 | something is missing",
        "title = \"\" | 9 | something is missing",
        "heading == \"\" | 1 | something is missing",
        "= moth | 1 | “=” cannot stand here",
        "moth and or | 10 | “or” cannot stand here",
        ") moth | 1 | “)” cannot stand here",
        "moth = \"a\" \"b\" | 12 | “b” cannot stand here",
        "moth sortby title | 6 | “sortby” is a part of CQL",
        "moth / | 7 | something is missing",
        "title /x | 7 | “/” is a part of CQL",
        "\"moth | 1 | quotation mark is never closed",
        "moth and \"bat | 10 | quotation mark is never closed",
        "title = \"^moth\" | 9 | “^” is a part of CQL",
        "title = \"moth^\" | 9 | “^” is a part of CQL",
        "title =/fuzzy moth | 7 | “/fuzzy” is a part of CQL",
        "title =/stem/fuzzy moth | 7 | “/fuzzy” is a part of CQL",
        "heading ==/no2 Bats | 9 | “/no2” is a part of CQL",
        "any == moth | 5 | “==” is a part of CQL",
        "dc.subject == Bats | 12 | “==” is a part of CQL",
        "kind,title exact de | 12 | “exact” is a part of CQL",
        "title > 2020 | 7 | “>” is a part of CQL",
        "title within \"2020 2024\" | 7 | “within” is a part of CQL",
        "year within \"2020\" | 13 | is not a year",
        "year < x | 8 | is not a year",
        "\"title,foo\" = x | 1 | “title,foo” is no index",
        "held = \"My search\" | 1 | no strategy is named “My search”",
        "moth and (held = \"a\" and held = \"b\") | 11 | limits and held strategies",
        "moth and (held = \"a\" or bat) | 11 | limits and held strategies",
        "(limit.kind = article or limit.language = de) | 2 | limits and held strategies",
        "(limit.kind = a and limit.kind = b or limit.kind = c) | 2 | limits and held",
        "moth not (limit.kind = a not limit.kind = b) | 11 | limits and held",
        "moth not cql.allRecords = 1 | 10 | limits and held",
        "(cql.allRecords = 1 or moth) | 2 | limits and held",
        "limit.heard = x | 1 | “limit.heard” is no index",
        "(limit.date = \"last 5 years\" or limit.date within \"2020 2024\") | 2 | one range"
      })
  void problemsHavePlaces(String cql, int column, String says) {
    CqlReader.Read read = CqlReader.read(cql);
    assertThat(read.strategy()).isEmpty();
    Problem first = read.problems().get(0);
    assertThat(first.sentence()).contains(says);
    assertThat(first.span().column()).as(first.sentence()).isEqualTo(column);
  }

  @Test
  void noiseIsAnsweredNotThrown() {
    String signs = "moth()\"=/<>\\ andornot*?:,.limit.kinduncql.";
    for (int n = 0; n < 20_000; n++) {
      StringBuilder noise = new StringBuilder();
      for (int i = random.nextInt(40); i > 0; i--) {
        noise.append(signs.charAt(random.nextInt(signs.length())));
      }
      CqlReader.Read read = CqlReader.read(noise.toString());
      assertThat(read.strategy().isPresent() || !read.problems().isEmpty()).isTrue();
    }
    assertThat(CqlReader.read("(".repeat(5000) + "moth").problems()).isNotEmpty();
    assertThat(CqlReader.read("a or ".repeat(20_000)).problems())
        .extracting(Problem::code)
        .containsExactly(Problem.Code.CQL_TOO_LONG);
    for (String operator : List.of(" or ", " and ", " not ")) {
      assertThat(CqlReader.read("a" + (operator + "a").repeat(9_000)).problems())
          .extracting(Problem::code)
          .containsExactly(Problem.Code.CQL_TOO_MANY);
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "cql.allRecords = 1", "cql.allRecords = 1 and cql.allRecords = 1"})
  void nothingIsAskedOf(String cql) {
    assertThat(CqlReader.read(cql).strategy().map(Strategy::lines).orElse(List.of())).isEmpty();
  }

  /** Fields pushed down to the words, which is how CQL has them. */
  private static final class Fields implements Term.Cases<Term> {
    private final List<Field> fields;

    private Fields(List<Field> fields) {
      this.fields = fields;
    }

    static String pushedDown(Term tree) {
      return Shape.of(tree.match(new Fields(List.of())));
    }

    private Term here(Term term) {
      return fields.isEmpty() ? term : new Term.In(fields, term);
    }

    @Override
    public Term word(Term.Word word) {
      return here(word);
    }

    @Override
    public Term cut(Term.Cut cut) {
      return here(cut);
    }

    @Override
    public Term phrase(Term.Phrase phrase) {
      return here(phrase);
    }

    @Override
    public Term heading(Term.Heading heading) {
      return heading;
    }

    private List<Term> each(List<Term> parts) {
      return Stream.of(parts.toArray(Term[]::new)).map(part -> part.match(this)).toList();
    }

    @Override
    public Term and(Term.And and) {
      return new Term.And(each(and.parts()));
    }

    @Override
    public Term or(Term.Or or) {
      return new Term.Or(each(or.parts()));
    }

    @Override
    public Term not(Term.Not not) {
      return new Term.Not(not.left().match(this), not.right().match(this));
    }

    @Override
    public Term in(Term.In in) {
      return in.term().match(new Fields(in.fields()));
    }
  }
}
