package org.quietlantern.server.demo;

import java.util.List;
import java.util.Map;
import java.util.Random;

/** What members of the made-up groups say with their marks. */
final class DemoReasons {
  private static final Map<String, List<String>> SAID =
      Map.of(
          "keep",
          List.of(
              "for the introduction",
              "the design we want to use",
              "cites our verge trial",
              "good figures for the talk",
              "same species, other lamps",
              "has the dose at which it begins",
              "their controls are better than ours",
              "for the methods section",
              "data are open: reuse",
              "contradicts what we wrote in spring",
              "to be cited in the report to the county",
              "one of the few that measured light at eye height"),
          "raise",
          List.of(
              "same sites as ours?",
              "should we answer this?",
              "who can judge the statistics?",
              "does this make our trial unnecessary?",
              "invite the authors to a seminar?",
              "is that effect size believable?"),
          "hold",
          List.of(
              "abstract says too little",
              "after the field season",
              "is this about adults or larvae?"),
          "hold for text",
          List.of("need the supplement", "no abstract, ask for a copy"),
          "pass",
          List.of(
              "laboratory only",
              "not our animals",
              "no control",
              "one site, one season",
              "opinion, no data",
              "lamps nobody uses any more"));

  private DemoReasons() {}

  static List<String> forPassing() {
    return SAID.get("pass");
  }

  /** Most keeps and all questions have one, few passes do. */
  static String of(String mark, Random random) {
    int silent =
        switch (mark) {
          case "keep" -> 25;
          case "raise" -> 0;
          case "hold" -> 30;
          case "hold for text" -> 60;
          case "pass" -> 80;
          default -> 100;
        };
    List<String> said = SAID.getOrDefault(mark, List.of());
    return random.nextInt(100) < silent || said.isEmpty()
        ? ""
        : said.get(random.nextInt(said.size()));
  }
}
