package org.quietlantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ParserTest {

  @DisplayName("M3: what is typed reads as")
  @ParameterizedTest(name = "{0} -> {1}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      textBlock =
          """
          moth                        | moth
          moth lamp                   | moth and lamp
          a or b c                    | a or (b and c)
          a and b or c                | (a and b) or c
          a or b and c                | (a or b) and c
          a OR b Or c                 | a or b or c
          a not b                     | a not b
          a and not b                 | a not b
          a not b not c               | (a not b) not c
          (a or b) (c or d)           | (a or b) and (c or d)
          "part night lighting"       | "part night lighting"
          “curly quotes” moth         | "curly quotes" and moth
          "and or not"                | "and or not"
          moth title: aquarium        | moth and (title: aquarium)
          title: aquarium or tank     | title: aquarium or tank
          (title: aquarium) or tank   | (title: aquarium) or tank
          title,abstract: (a or b)    | title,abstract: a or b
          TITLE:moth                  | title: moth
          moth, lamp; night.          | moth and lamp and night
          what is it ? moth           | what and is and it and moth
          moth* wom?n dimm??          | moth* and wom?n and dimm??
          "moth* light"               | "moth* light"
          c\\*                        | c\\*
          doi: 10.5555/ql.1           | doi: 10.5555/ql.1
          part-night                  | part-night
          title : moth                | title: moth
          title , abstract: moth      | title,abstract: moth
          title,abstract : (a or b)   | title,abstract: a or b
          year: 2021-                 | year: 2021-
          year: >2020                 | year: 2021-
          year:>= 2020 or 1999        | year: 2020- or 1999
          moth year: (<2000 or 2020-) | moth and (year: (-1999 or 2020-))
          year: <2020                 | year: -2019
          moth year : 2020 – 2024     | moth and (year: 2020-2024)
          year: -2019                 | year: -2019
          year: (2020-)               | year: 2020-
          moth year: (2020-) 2019-    | moth and (year: 2020-) and 2019
          year: 2020 moth >2019       | year: 2020 and moth and 2020-
          moth year: 2020- >2019      | moth and (year: 2020-) and 2019
          moth (a) >2020              | moth and a and 2020
          moth year: ((2020-) or -9) -2019 | moth and (year: (2020- or 9)) and 2019
          title,year: >2020           | title,year: 2020
          heading/narrower: Bats      | heading/narrower: "Bats"
          HEADING/Narrower: "Bats" or moth | heading/narrower: "Bats" or moth
          heading/narrower/central: "Bats" | heading/narrower/central: "Bats"
          heading/sun/narrower: moth  | heading/narrower/sun: "moth"
          http://moth                 | http://moth
          title://moth                | title://moth
          :moth                       | moth
          ,title: moth                | title: moth
          wom?                        | wom?
          abc*                        | abc*
          "one (two) three"           | "one two three"
          """)
  void reads(String typed, String meant) {
    Parsed parsed = Parser.parse(typed);
    assertThat(parsed.tree().map(Printer::print)).hasValue(meant);
    assertThat(parsed.rulesOut()).isFalse();
  }

  @DisplayName("M3, M4: a mistake is told with its place")
  @ParameterizedTest(name = "{0} -> {1}")
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      textBlock =
          """
          moth or lamp "dim  | column 14: this quotation mark is never closed
          (moth or lamp      | column 1: this bracket is never closed
          moth)              | column 5: this bracket closes nothing
          moth ()            | column 6: there is nothing between these brackets
          (                  | column 1: this bracket is never closed
          and                | column 1: “and” needs something before it
          or moth            | column 1: “or” needs something before it
          moth or            | column 6: “or” needs something after it
          moth and or lamp   | column 10: “or” follows another joining word; one of them has to go
          moth or not lamp   | column 9: “not” follows another joining word; one of them has to go
          moth not not lamp  | column 10: “not” is said twice; say it once
          not not moth       | column 5: “not” is said twice; say it once
          (not moth)         | column 2: “not” needs something before it
          title:             | column 1: “title” needs a word, a phrase or a bracket after it
          title: author: x   | column 1: “title” needs a word, a phrase or a bracket after it
          m*                 | column 1: “m*”: a cut word needs at least three letters before its *
          moth or "a l*"     | column 12: “l*”: a cut word needs at least three letters before its *
          *                  | column 1: “*”: a cut word needs at least three letters before its *
          col*r              | column 1: “col*r”: * may only end a word
          ?oth*              | column 1: “?oth*”: a word may not start with an open letter
          ab*                | column 1: “ab*”: a cut word needs at least three letters before its *
          abc**              | column 1: “abc**”: * may only end a word
          "one (two) xyz*z"  | column 12: “xyz*z”: * may only end a word
          heading/narrower:  | column 1: “heading/narrower” needs the name of a heading after it, in quotation marks
          moth heading/narrower: (a or b) | column 6: “heading/narrower” needs the name of a heading after it, in quotation marks
          ""                 | column 1: there is no word between these quotation marks
          ~~                 | column 1: there is nothing to search for yet
          """)
  void refuses(String typed, String sentence) {
    Parsed parsed = Parser.parse(typed);
    assertThat(parsed.tree()).isEmpty();
    assertThat(parsed.problems()).extracting(Problem::sentence).first().isEqualTo(sentence);
  }

  @DisplayName("M3: a line that begins with not rules out")
  @Test
  void rulesOut() {
    Parsed parsed = Parser.parse("not title: aquarium");
    assertThat(parsed.rulesOut()).isTrue();
    assertThat(parsed.tree().map(Printer::print)).hasValue("title: aquarium");
  }

  @DisplayName("M3: and/or without brackets is pointed out once, with its place")
  @Test
  void mixedJoins() {
    Parsed parsed = Parser.parse("a and b or c and d");
    assertThat(parsed.tree()).isPresent();
    assertThat(parsed.problems())
        .containsExactly(
            new Problem(Problem.Code.MIXED_JOINS, new Span(8, 10), "((a and b) or c) and d"));
    assertThat(Parser.parse("a or b c").problems()).isEmpty();
  }

  @Test
  void aPastedTitleIsSearchedAndTheColonPointedOut() {
    Parsed parsed = Parser.parse("Dimming: what works?");
    assertThat(parsed.tree().map(Printer::print)).hasValue("Dimming and what and works?");
    assertThat(parsed.problems())
        .extracting(Problem::code)
        .containsExactly(Problem.Code.UNKNOWN_FIELD);
  }

  @DisplayName(
      "A field that does not exist is pointed out at its place, with a blank before the colon too")
  @ParameterizedTest
  @CsvSource({
    "colour: red, 0, 7",
    "moth colour : red, 5, 13",
    "tit1e: red, 0, 6",
    "'a,b: x', 0, 4"
  })
  void noSuchField(String typed, int start, int end) {
    assertThat(Parser.parse(typed).problems())
        .extracting(Problem::code, Problem::span)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(Problem.Code.UNKNOWN_FIELD, new Span(start, end)));
  }

  @ParameterizedTest
  @ValueSource(ints = {2001, 4000, 200_000})
  void aLineThatIsTooLongIsRefusedAtItsBound(int length) {
    Parsed parsed = Parser.parse("moth ".repeat(length / 5 + 1).substring(0, length));
    assertThat(parsed.problems()).extracting(Problem::code).containsExactly(Problem.Code.TOO_LONG);
    assertThat(parsed.problems().get(0).span().start()).isEqualTo(2000);
  }

  @Test
  void bracketsHaveADepthLimit() {
    assertThat(Parser.parse("(".repeat(900) + "a" + ")".repeat(900)).problems())
        .extracting(Problem::code)
        .containsExactly(Problem.Code.TOO_DEEP);
  }

  @Test
  void noiseNeverThrowsAndWhatReadsPrintsBackTheSame() {
    List<String> pieces =
        List.of(
            "moth",
            "lamp*",
            "wom?n",
            "\"",
            "“",
            "(",
            ")",
            " ",
            " ",
            " and ",
            " or ",
            " not ",
            "title:",
            "abstract,kind:",
            "\\*",
            "?",
            "*",
            "-",
            "é",
            ":",
            ",",
            "\u0301",
            "year: 20",
            "year :",
            "2020-",
            ">2020",
            " : ",
            "\t",
            "'",
            "😀");
    Random random = new Random(42);
    int read = 0;
    for (int n = 0; n < 40_000; n++) {
      String noise =
          random
              .ints(random.nextInt(12), 0, pieces.size())
              .mapToObj(pieces::get)
              .collect(Collectors.joining());
      Parsed parsed = Parser.parse(noise);
      for (Problem problem : parsed.problems()) {
        assertThat(problem.span().end()).as(noise).isLessThanOrEqualTo(noise.length());
      }
      if (parsed.tree().isPresent()) {
        read++;
        String printed = Printer.print(parsed.tree().get());
        assertThat(Parser.parse(printed).tree().map(Shape::of))
            .as("%s printed as %s", noise, printed)
            .isEqualTo(parsed.tree().map(Shape::of));
      }
    }
    assertThat(read).isGreaterThan(5000);
  }
}
