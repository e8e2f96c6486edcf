package org.quietlantern.standins.oai;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import java.io.IOException;
import java.io.OutputStream;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Supplier;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.host.TextPlaces;
import org.quietlantern.standins.supply.Source;

/** A source that answers OAI-PMH 2.0, with its faults. */
public final class OaiEndpoint implements HttpHandler {
  private static final byte[] GARBAGE =
      "<html><title>Maintenance<p>We are back soon".getBytes(StandardCharsets.UTF_8);
  private final Responses responses;
  private final Faults faults;
  private final Supplier<Instant> now;

  /** {@code places}: where it says that texts are. */
  public OaiEndpoint(
      Literature literature,
      Source source,
      String address,
      TextPlaces places,
      Supplier<Instant> now) {
    this.faults = new Faults(!source.key().equals("night-index"));
    this.responses = new Responses(literature, source, faults, address, places);
    this.now = now;
  }

  public Faults faults() {
    return faults;
  }

  @Override
  public void handle(HttpExchange exchange) throws IOException {
    Instant at = now.get();
    if (faults.isDown(at)) {
      exchange.getResponseHeaders().set("Retry-After", "3600");
      exchange.sendResponseHeaders(503, -1);
      exchange.close();
      return;
    }
    byte[] answer =
        faults.isGarbled()
            ? GARBAGE
            : responses.answer(arguments(exchange), at).getBytes(StandardCharsets.UTF_8);
    exchange.getResponseHeaders().set("Content-Type", "text/xml; charset=utf-8");
    exchange.sendResponseHeaders(200, answer.length);
    try (OutputStream body = exchange.getResponseBody()) {
      if (faults.breaksNow()) {
        body.write(answer, 0, answer.length / 2);
        body.flush();
        exchange.close();
        return;
      }
      body.write(answer);
    }
  }

  /** From the address; a form in the body is read as well (OAI-PMH 2.0, 3.1.1). */
  private static Map<String, String> arguments(HttpExchange exchange) throws IOException {
    String query = exchange.getRequestURI().getRawQuery();
    String form = new String(exchange.getRequestBody().readNBytes(10_000), StandardCharsets.UTF_8);
    Map<String, String> arguments = new TreeMap<>();
    for (String pair : ((query == null ? "" : query) + "&" + form).split("&")) {
      int equals = pair.indexOf('=');
      if (equals > 0) {
        arguments.put(decode(pair.substring(0, equals)), decode(pair.substring(equals + 1)));
      }
    }
    return arguments;
  }

  private static String decode(String text) {
    return URLDecoder.decode(text, StandardCharsets.UTF_8);
  }
}
