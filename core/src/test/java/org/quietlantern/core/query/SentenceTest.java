package org.quietlantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A strategy in plain words. */
class SentenceTest {
  private static String said(Line... lines) {
    return Sentence.of(new Strategy(List.of(lines)), name -> "“" + name + "”");
  }

  private static Line words(String text) {
    return new Line.Words("w", text, false);
  }

  private static Line limit(Limit limit) {
    return new Line.Limited(limit.property().word(), limit, false);
  }

  @Test
  void whole() {
    assertThat(said()).isEqualTo("All publications.");
    assertThat(
            said(
                words("moths"),
                new Line.Words("not", "not bats", false),
                new Line.Held("h", List.of("q:000000000a", "q:000000000b"), false, false),
                new Line.Held("r", List.of("q:000000000c"), true, false),
                limit(Limit.any(Property.KIND, "article", "review")),
                new Line.Words("off", "owls", true)))
        .isEqualTo(
            "Publications with moths, and with what is found by “q:000000000a” or by “q:000000000b”; but not with"
                + " bats, and with what is found by “q:000000000c”; kind: article or review.");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"2016|2020|date: 2016 to 2020", "2016||date: from 2016", "|2020|date: up to 2020"})
  void ends(String from, String to, String said) {
    Range range = Range.between(from == null ? "" : from, to == null ? "" : to);
    assertThat(Sentence.ofLine(limit(Limit.range(Property.DATE, range)), name -> name))
        .isEqualTo(said.replace("date", Property.DATE.word()));
  }

  @Test
  void oneLine() {
    assertThat(Sentence.ofLine(words("moth*  or bats"), name -> name)).isEqualTo("moth*  or bats");
    assertThat(Sentence.ofLine(limit(Limit.range(Property.DATE, Range.lastYears(5))), n -> n))
        .endsWith(": this year and the 5 before it");
    assertThat(Sentence.ofLine(limit(Limit.any(Property.KIND)), n -> n)).isEqualTo("kind: any");
    assertThat(
            Sentence.ofLine(
                limit(
                    new Limit(Property.SOURCE, List.of("A", "B"), true, List.of("C"), Range.NONE)),
                n -> n))
        .isEqualTo("source: A and B or not C");
    assertThat(
            Sentence.ofLine(new Line.Held("h", List.of("q:000000000a"), true, false), n -> n + "!"))
        .isEqualTo("not what is found by q:000000000a!");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "moth and (bat or owl)|moth and (bat or owl)",
        "moth* not bat|moth* but not bat",
        "\"street lamp*\"|“street lamp*”",
        "title: (moth or bat)|(moth or bat) in title",
        "heading/narrower/central/effects-of-light-on: \"Bats\"|the heading “Bats” or one below it,"
            + " central, as to effects of light on",
        "heading/exact: \"Bats\"|the heading “Bats”"
      })
  void spoken(String typed, String said) {
    assertThat(said(words(typed))).isEqualTo("Publications with " + said + ".");
  }

  @Test
  void widened() {
    Line line = new Line.Words("w", "moths", false, Set.of(Widening.NARROWER, Widening.NAMES));
    assertThat(said(line))
        .isEqualTo("Publications with moths (and other names of its headings, narrower headings).");
  }
}
