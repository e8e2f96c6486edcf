package org.quietlantern.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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
  private final CookieManager cookies = new CookieManager();
  private final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();
  private final String address;
  private String group = "";

  private HttpBench(String address) {
    this.address = address;
  }

  public static void main(String[] arguments) {
    HttpBench bench = new HttpBench(arguments[0]);
    bench.signIn(arguments[1], arguments[2]);
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
    String path = "/api/groups/" + group;
    for (int i = 0; i < steps; i++) {
      String asked = "{\"asked\":{\"text\":\"moth or bench%d\"},\"order\":\"here\"}".formatted(i);
      send("POST", path + "/steps", asked);
    }
    System.out.printf("%n| a trail of %,d steps | milliseconds |%n|---|---|%n", steps);
    Times opened = Times.of(() -> send("GET", path + "/trail", ""));
    System.out.printf(Locale.ENGLISH, "| opened | %s |%n", opened);
    Times sought = Times.of(() -> send("GET", path + "/trail?words=bench17", ""));
    System.out.printf(Locale.ENGLISH, "| looked through for a word | %s |%n", sought);
    Times csv = Times.of(() -> send("GET", path + "/trail/steps.csv", ""));
    System.out.printf(Locale.ENGLISH, "| all of it as CSV | %s |%n", csv);
  }

  private void signIn(String email, String password) {
    send("GET", "/api/me", "");
    String body = "{\"email\":\"%s\",\"password\":\"%s\"}".formatted(email, password);
    group = found("\"id\":\"(\\w{10})\"", send("POST", "/api/session", body));
  }

  private void print(Question question) {
    String body = "{\"strategy\":" + json(question.strategy()) + "}";
    String count = found("\"count\":(\\d+)", search("", body));
    Times times =
        Times.of(
            () -> {
              search("", body);
              for (Property property : Question.DIVIDED.subList(0, question.breakdowns())) {
                search(
                    "/breakdown",
                    "{\"strategy\":%s,\"property\":\"%s\"}"
                        .formatted(json(question.strategy()), property.word()));
              }
            });
    System.out.printf(Locale.ENGLISH, "| %s | %s | %s |%n", question.name(), count, times);
  }

  private String search(String what, String body) {
    return send("POST", "/api/groups/" + group + "/search" + what, body);
  }

  private String send(String method, String path, String body) {
    try {
      HttpRequest.Builder request =
          HttpRequest.newBuilder(URI.create(address + path))
              .header("Content-Type", "application/json")
              .header("Command-Id", UUID.randomUUID().toString())
              .method(method, HttpRequest.BodyPublishers.ofString(body));
      cookies.getCookieStore().getCookies().stream()
          .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
          .forEach(cookie -> request.setHeader("X-XSRF-TOKEN", cookie.getValue()));
      HttpResponse<String> answer =
          client.send(request.build(), HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() >= 400 && !path.equals("/api/me")) {
        throw new IllegalStateException(path + ": " + answer.statusCode() + " " + answer.body());
      }
      return answer.body();
    } catch (IOException | InterruptedException failed) {
      throw new IllegalStateException(failed);
    }
  }

  private static String found(String pattern, String text) {
    Matcher matcher = Pattern.compile(pattern).matcher(text);
    if (!matcher.find()) {
      throw new IllegalStateException("nothing like " + pattern + " in " + text);
    }
    return matcher.group(1);
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
