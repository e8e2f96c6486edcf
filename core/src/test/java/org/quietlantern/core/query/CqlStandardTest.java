package org.quietlantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.antlr.runtime.RecognitionException;
import org.antlr.v4.runtime.BaseErrorListener;
import org.antlr.v4.runtime.CharStreams;
import org.antlr.v4.runtime.CommonTokenStream;
import org.antlr.v4.runtime.LexerInterpreter;
import org.antlr.v4.runtime.ParserInterpreter;
import org.antlr.v4.runtime.Recognizer;
import org.antlr.v4.tool.Grammar;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Our CQL against the grammar of the standard, read by a parser that is made from it alone. */
class CqlStandardTest {
  private static final Grammar STANDARD = grammar();
  private final Random random = new Random(1206);

  private static Grammar grammar() {
    try (InputStream file = CqlStandardTest.class.getResourceAsStream("/Cql.g4")) {
      return new Grammar(new String(file.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (RecognitionException wrong) {
      throw new IllegalStateException(wrong);
    }
  }

  /** Whether the standard takes it for CQL. */
  private static boolean isCql(String text) {
    Errors errors = new Errors();
    LexerInterpreter lexer = STANDARD.createLexerInterpreter(CharStreams.fromString(text));
    lexer.removeErrorListeners();
    lexer.addErrorListener(errors);
    ParserInterpreter parser = STANDARD.createParserInterpreter(new CommonTokenStream(lexer));
    parser.removeErrorListeners();
    parser.addErrorListener(errors);
    parser.parse(STANDARD.getRule("query").index);
    return errors.none;
  }

  private static final class Errors extends BaseErrorListener {
    private boolean none = true;

    @Override
    public void syntaxError(
        Recognizer<?, ?> recognizer,
        Object symbol,
        int line,
        int column,
        String message,
        org.antlr.v4.runtime.RecognitionException wrong) {
      none = false;
    }
  }

  @DisplayName("What we print is CQL")
  @Test
  void printed() {
    RandomSheets sheets = new RandomSheets(random);
    for (int n = 0; n < 1_000; n++) {
      String cql = CqlWriter.write(sheets.next());
      assertThat(cql.isEmpty() || isCql(cql)).as(cql).isTrue();
    }
  }

  @DisplayName("What is no CQL is refused, however near it comes")
  @Test
  void damaged() {
    RandomSheets sheets = new RandomSheets(random);
    int refused = 0;
    for (int n = 0; n < 3_000; n++) {
      String cql = damaged(CqlWriter.write(sheets.next()));
      if (!cql.isBlank() && !isCql(cql)) {
        refused++;
        assertThat(CqlReader.read(cql).problems()).as(cql).isNotEmpty();
      }
    }
    assertThat(refused).as("cases that say something").isGreaterThan(500);
  }

  /** With a sign struck, doubled or put in. */
  private String damaged(String cql) {
    if (cql.isEmpty()) {
      return cql;
    }
    int at = random.nextInt(cql.length());
    String signs = "()\"=/< ";
    return switch (random.nextInt(3)) {
      case 0 -> cql.substring(0, at) + cql.substring(at + 1);
      case 1 -> cql.substring(0, at) + cql.charAt(at) + cql.substring(at);
      default ->
          cql.substring(0, at) + signs.charAt(random.nextInt(signs.length())) + cql.substring(at);
    };
  }

  @DisplayName("CQL that others write is taken, or refused by the name of what is not understood")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "dc.title = moths",
        "dc.title == \"moths\"",
        "dc.title exact moths",
        "dc.creator any \"olm vance\"",
        "moths and (bats or owls) not bridges",
        "bib.dateIssued >= 2016",
        "date within \"2016 2020\"",
        "moths prox/distance<3 lamps",
        "moths sortby dc.date/sort.descending",
        "> dc = \"info:srw/context-sets/1/dc-v1.1\" dc.title = moths",
        "title = ^moths",
      })
  void others(String cql) {
    assertThat(isCql(cql)).isTrue();
    CqlReader.Read read = CqlReader.read(cql);
    assertThat(read.strategy().isPresent() || !read.problems().isEmpty()).isTrue();
    read.problems()
        .forEach(
            problem ->
                assertThat(problem.sentence())
                    .as("no complaint of the form")
                    .doesNotContain("something is missing"));
  }
}
