package org.quietlantern.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Range;
import org.quietlantern.core.query.Strategy;

/**
 * A class of query, as a strategy of ours and as PostgreSQL has it.
 *
 * @param tsquery the same words
 * @param where further conditions in SQL, or nothing
 * @param breakdowns how many of {@link #DIVIDED} are counted as well
 */
record Question(String name, Strategy strategy, String tsquery, String where, int breakdowns) {
  /** What results are divided over, and the column of the comparison that holds it. */
  static final List<Property> DIVIDED =
      List.of(
          Property.DATE,
          Property.KIND,
          Property.JOURNAL,
          Property.LANGUAGE,
          Property.TAXON,
          Property.KEYWORD,
          Property.AUTHOR);

  private static final Limit ARTICLES = Limit.any(Property.KIND, "article", "review");
  private static final Limit SINCE = Limit.range(Property.DATE, Range.between("2010", ""));

  static List<Question> all() {
    return List.of(
        words("rare word", "noctule", "noctule"),
        words("common word", "light", "light"),
        words(
            "boolean of six",
            "(moth or bat or beetle) (dimming or curfew) not bridge",
            "(moth | bat | beetle) & (dimming | curfew) & !bridge"),
        words("phrase", "\"light traps\"", "light <-> traps"),
        words("cut word", "pipistr*", "pipistr:*"),
        limited("and, two limits, five breakdowns", "moths dimming", "moths & dimming", 5),
        limited("common word, two limits, five breakdowns", "light", "light", 5),
        limited("common word, two limits, seven breakdowns", "light", "light", 7),
        many());
  }

  private static Question words(String name, String line, String tsquery) {
    return new Question(name, Strategy.of(line), tsquery, "", 0);
  }

  private static Question limited(String name, String line, String tsquery, int breakdowns) {
    Strategy strategy =
        new Strategy(
            List.of(
                new Line.Words("w", line, false),
                new Line.Limited("k", ARTICLES, false),
                new Line.Limited("d", SINCE, false)));
    return new Question(
        name, strategy, tsquery, " and kind in ('article', 'review') and year >= 2010", breakdowns);
  }

  /** Three lines of 18 words each. */
  private static Question many() {
    List<List<String>> ideas =
        List.of(
            List.of(
                "moth", "bat", "beetle", "spider", "bird", "fish", "frog", "plant", "fly", "bee",
                "mouse", "turtle", "snail", "midge", "owl", "robin", "salmon", "eel"),
            List.of(
                "light",
                "lamp",
                "dimming",
                "curfew",
                "skyglow",
                "shielding",
                "luminaire",
                "led",
                "sodium",
                "spectrum",
                "colour",
                "amber",
                "night",
                "lighting",
                "glare",
                "lux",
                "illumination",
                "darkness"),
            List.of(
                "survival",
                "growth",
                "abundance",
                "activity",
                "feeding",
                "flight",
                "mating",
                "sleep",
                "song",
                "predation",
                "diversity",
                "reproduction",
                "migration",
                "density",
                "mortality",
                "behaviour",
                "development",
                "foraging"));
    List<Line> lines = new ArrayList<>();
    for (List<String> idea : ideas) {
      lines.add(new Line.Words("l" + lines.size(), String.join(" or ", idea), false));
    }
    String tsquery =
        ideas.stream()
            .map(idea -> "(" + String.join(" | ", idea) + ")")
            .collect(Collectors.joining(" & "));
    return new Question("54 words in three lines", new Strategy(lines), tsquery, "", 0);
  }

  /** Eight lines, as a careful search has; {@code changed}: its first one says something else. */
  static Strategy eightLines(boolean changed) {
    List<String> texts =
        List.of(
            changed ? "moth or bat or owl" : "moth or bat or bird",
            "light or lamp or lighting",
            "night or dark or dusk",
            "survival or growth or activity",
            "field or forest or river",
            "study or model or survey",
            "effect or response or change",
            "not (bridge or tunnel or harbour)");
    List<Line> lines = new ArrayList<>();
    texts.forEach(text -> lines.add(new Line.Words("l" + lines.size(), text, false)));
    return new Strategy(lines);
  }
}
