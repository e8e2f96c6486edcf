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
        "any = \"and\" | \"and\""
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
        "limit.kind = article and limit.kind = review | 1 | two lines limit the kind"
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
