package org.quietlantern.bench;

import java.util.Locale;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;

/**
 * The same questions over HTTP, to a demo that runs: count, the first 1,000 ids, counts of all
 * lines and the first fifty rows. Arguments: its address, e-mail and password of a member; then, if
 * a trail is to be measured, how many steps to settle first, which stay on that member's trail.
 */
public final class HttpBench {
  private final Visit visit;

  HttpBench(Visit visit) {
    this.visit = visit;
  }

  public static void main(String[] arguments) {
    HttpBench bench = new HttpBench(new Visit(arguments[0]).signIn(arguments[1], arguments[2]));
    System.out.printf(
        "| over HTTP, the demo's catalogue | found | milliseconds |%n|---|---|---|%n");
    for (Question question : Question.all()) {
      bench.print(question);
    }
    if (arguments.length > 3) {
      bench.trail(Integer.parseInt(arguments[3]));
    }
  }

  /** Settles so many different searches first. */
  private void trail(int steps) {
    for (int i = 0; i < steps; i++) {
      String asked = "{\"asked\":{\"text\":\"moth or bench%d\"},\"order\":\"here\"}".formatted(i);
      visit.inGroup("POST", "/steps", asked);
    }
    System.out.printf("%n| a trail of %,d steps | milliseconds |%n|---|---|%n", steps);
    Times opened = Times.of(() -> visit.inGroup("GET", "/trail", ""));
    System.out.printf(Locale.ENGLISH, "| opened | %s |%n", opened);
    Times sought = Times.of(() -> visit.inGroup("GET", "/trail?words=bench17", ""));
    System.out.printf(Locale.ENGLISH, "| looked through for a word | %s |%n", sought);
    Times csv = Times.of(() -> visit.inGroup("GET", "/trail/steps.csv", ""));
    System.out.printf(Locale.ENGLISH, "| all of it as CSV | %s |%n", csv);
  }

  private void print(Question question) {
    String body = "{\"strategy\":" + json(question.strategy()) + "}";
    String count = Visit.found("\"count\":(\\d+)", search("", body));
    System.out.printf(
        Locale.ENGLISH, "| %s | %s | %s |%n", question.name(), count, times(question));
  }

  /** Of one question, with the counts of its breakdowns. */
  Times times(Question question) {
    String body = "{\"strategy\":" + json(question.strategy()) + "}";
    return Times.of(
        () -> {
          search("", body);
          for (Property property : Question.DIVIDED.subList(0, question.breakdowns())) {
            search(
                "/breakdown",
                "{\"strategy\":%s,\"property\":\"%s\"}"
                    .formatted(json(question.strategy()), property.word()));
          }
        });
  }

  private String search(String what, String body) {
    return visit.inGroup("POST", "/search" + what, body);
  }

  private static String json(Strategy strategy) {
    StringBuilder lines = new StringBuilder();
    for (Line line : strategy.lines()) {
      lines.append(lines.isEmpty() ? "" : ",").append(json(line));
    }
    return "{\"version\":2,\"lines\":[" + lines + "]}";
  }

  private static String json(Line line) {
    if (line instanceof Line.Words words) {
      return "{\"id\":\"%s\",\"kind\":\"words\",\"text\":\"%s\"}"
          .formatted(words.id(), words.text().replace("\"", "\\\""));
    }
    Limit limit = ((Line.Limited) line).limit();
    String range = limit.range().isSet() ? ",\"from\":\"" + limit.range().from() + "\"" : "";
    String chosen =
        limit.chosen().isEmpty()
            ? ""
            : ",\"chosen\":[\"" + String.join("\",\"", limit.chosen()) + "\"]";
    return "{\"id\":\"%s\",\"kind\":\"limit\",\"property\":\"%s\"%s%s}"
        .formatted(line.id(), limit.property().word(), range, chosen);
  }
}
