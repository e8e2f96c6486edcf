package org.quietlantern.standins.host;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import java.io.IOException;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Texts;
import org.quietlantern.standins.corpus.Work;
import org.quietlantern.standins.print.PdfWriter;
import org.quietlantern.standins.words.XmlText;

/**
 * A library that lends copies. {@code POST /lending/requests} takes an OpenURL as a form and
 * answers where the request can be looked at; {@code GET} there tells its state as JSON; {@code
 * POST} there takes an answer to what was asked back, or a word that nobody needs it any more. Days
 * are those of its calendar. All that it knows of a request stands in its address, so that it
 * forgets nothing when it is started again.
 */
public final class LendingLibrary implements HttpHandler {
  private static final Duration DELIVERY = Duration.ofDays(4);
  private static final Duration DAY = Duration.ofDays(1);
  private static final Duration OFFERED = Duration.ofDays(14);
  private static final String REQUESTS = "/lending/requests";
  private static final String COPIES = "/lending/copies/";
  private final String address;
  private final Supplier<Instant> now;
  private final Texts texts;
  private final Map<String, Work> byDoi = new HashMap<>();

  public LendingLibrary(String address, Literature literature, Supplier<Instant> now) {
    this.address = address;
    this.now = now;
    this.texts = new Texts(literature);
    literature.works().forEach(work -> byDoi.put(work.doi(), work));
  }

  /** How it deals with a work. */
  private enum Manner {
    DELIVERS,
    ASKS_BACK,
    REFUSES,
    /** Delivers what must not be kept. */
    SHOWS
  }

  /** {@code answered}: when it was told what it wanted to know; else empty. */
  private record Asked(String doi, Instant at, Optional<Instant> answered) {
    static Asked read(String text) {
      String[] parts =
          new String(Base64.getUrlDecoder().decode(text), StandardCharsets.UTF_8).split("\\|", -1);
      Optional<Instant> answered =
          parts[2].isEmpty() ? Optional.empty() : Optional.of(Instant.parse(parts[2]));
      return new Asked(parts[0], Instant.parse(parts[1]), answered);
    }

    String text() {
      String all = doi + "|" + at + "|" + answered.map(Instant::toString).orElse("");
      return Base64.getUrlEncoder()
          .withoutPadding()
          .encodeToString(all.getBytes(StandardCharsets.UTF_8));
    }
  }

  @Override
  public void handle(HttpExchange exchange) throws IOException {
    String path = exchange.getRequestURI().getPath();
    boolean posts = exchange.getRequestMethod().equals("POST");
    try {
      if (path.equals(REQUESTS) && posts) {
        take(exchange);
      } else if (path.startsWith(REQUESTS + "/")) {
        Asked asked = Asked.read(path.substring(REQUESTS.length() + 1));
        tell(exchange, 200, posts ? answered(asked) : asked);
      } else if (path.startsWith(COPIES)) {
        copy(exchange, Asked.read(path.substring(COPIES.length()).replaceFirst("\\.pdf$", "")));
      } else {
        answer(exchange, 404, "application/json", "{}".getBytes(StandardCharsets.UTF_8));
      }
    } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException unreadable) {
      answer(exchange, 400, "application/json", "{}".getBytes(StandardCharsets.UTF_8));
    }
  }

  private void take(HttpExchange exchange) throws IOException {
    String form = new String(exchange.getRequestBody().readNBytes(100_000), StandardCharsets.UTF_8);
    String doi = "";
    for (String pair : form.split("&")) {
      String value = URLDecoder.decode(pair.replaceFirst("^[^=]*=", ""), StandardCharsets.UTF_8);
      if (pair.startsWith("rft_id=") && value.startsWith("info:doi/")) {
        doi = value.substring("info:doi/".length());
      }
    }
    tell(exchange, 201, new Asked(doi, now.get(), Optional.empty()));
  }

  private Asked answered(Asked asked) {
    return new Asked(asked.doi(), asked.at(), Optional.of(now.get()));
  }

  /** By the last figure of its DOI. */
  private static Manner manner(String doi) {
    return switch (doi.isEmpty() ? '0' : doi.charAt(doi.length() - 1)) {
      case '3' -> Manner.ASKS_BACK;
      case '7' -> Manner.REFUSES;
      case '9' -> Manner.SHOWS;
      default -> Manner.DELIVERS;
    };
  }

  private void tell(HttpExchange exchange, int code, Asked asked) throws IOException {
    Map<String, String> said = new LinkedHashMap<>();
    said.put("request", address + REQUESTS + "/" + asked.text());
    said.putAll(state(asked));
    String json =
        said.entrySet().stream()
            .map(e -> "\"%s\":\"%s\"".formatted(e.getKey(), e.getValue().replace("\"", "'")))
            .collect(Collectors.joining(",", "{", "}"));
    answer(exchange, code, "application/json", json.getBytes(StandardCharsets.UTF_8));
  }

  private Map<String, String> state(Asked asked) {
    Instant today = now.get();
    Manner manner = manner(asked.doi());
    boolean waits = today.isBefore(asked.at().plus(DAY));
    if (manner == Manner.REFUSES && !waits) {
      return Map.of("state", "refused", "reason", "The only copy is at the bookbinder's.");
    }
    if (manner == Manner.ASKS_BACK && asked.answered().isEmpty() && !waits) {
      return Map.of("state", "asks", "question", "Do you need the appendix as well?");
    }
    Instant sent = asked.answered().orElse(asked.at()).plus(DELIVERY);
    if (manner == Manner.REFUSES || today.isBefore(sent)) {
      return Map.of("state", "received");
    }
    return Map.of(
        "state",
        "sent",
        "link",
        address + COPIES + asked.text() + ".pdf",
        "until",
        sent.plus(OFFERED).toString(),
        "use",
        "for your group's own study",
        "kept",
        manner == Manner.SHOWS ? "no" : "yes");
  }

  private void copy(HttpExchange exchange, Asked asked) throws IOException {
    Work work = byDoi.get(asked.doi());
    Instant until = asked.answered().orElse(asked.at()).plus(DELIVERY).plus(OFFERED);
    Optional<byte[]> text = Optional.ofNullable(work).flatMap(texts::ofAny).map(PdfWriter::write);
    if (text.isEmpty() || now.get().isAfter(until)) {
      String gone = "<!doctype html><title>Gone</title><p>" + XmlText.escape(asked.doi());
      answer(exchange, 410, "text/html", gone.getBytes(StandardCharsets.UTF_8));
    } else {
      answer(exchange, 200, "application/pdf", text.get());
    }
  }

  private static void answer(HttpExchange exchange, int code, String type, byte[] bytes)
      throws IOException {
    exchange.getResponseHeaders().set("Content-Type", type);
    exchange.sendResponseHeaders(code, bytes.length);
    exchange.getResponseBody().write(bytes);
    exchange.close();
  }
}
