package org.quietlantern.standins.oai;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.quietlantern.standins.corpus.Revision;

/**
 * A source on loopback: {@code /oai} speaks OAI-PMH 2.0; {@code POST /control/clock?now=} sets its
 * day, and {@code POST /control/faults?after=} breaks it off in the middle of the answer that
 * follows so many good ones.
 */
public final class SourceServer implements AutoCloseable {
  private static final int NEVER = Integer.MAX_VALUE;
  private final HttpServer server;
  private final Responses responses;
  private final InstantSource system = InstantSource.system();
  private final AtomicInteger goodAnswers = new AtomicInteger(NEVER);
  private volatile Duration offset = Duration.ZERO;

  /** {@code port} 0: any free one. */
  public SourceServer(int port, List<Revision> revisions) throws IOException {
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
    responses = new Responses(new Records(revisions), address());
    server.createContext("/oai", this::oai);
    server.createContext("/control/clock", this::clock);
    server.createContext("/control/faults", this::faults);
    server.setExecutor(
        Executors.newFixedThreadPool(
            2,
            task -> {
              Thread thread = new Thread(task, "source");
              thread.setDaemon(true);
              return thread;
            }));
    server.start();
  }

  public String address() {
    return "http://127.0.0.1:" + server.getAddress().getPort() + "/oai";
  }

  /** What the source takes for the present. */
  public void setClock(Instant now) {
    offset = Duration.between(system.instant(), now);
  }

  /** Breaks off in the middle of the answer after so many good ones, once. */
  public void breakAfter(int answers) {
    goodAnswers.set(answers);
  }

  private void oai(HttpExchange exchange) throws IOException {
    byte[] answer =
        responses
            .answer(arguments(exchange), system.instant().plus(offset))
            .getBytes(StandardCharsets.UTF_8);
    exchange.getResponseHeaders().set("Content-Type", "text/xml; charset=utf-8");
    exchange.sendResponseHeaders(200, answer.length);
    try (OutputStream body = exchange.getResponseBody()) {
      if (goodAnswers.get() != NEVER && goodAnswers.getAndDecrement() == 0) {
        goodAnswers.set(NEVER);
        body.write(answer, 0, answer.length / 2);
        body.flush();
        exchange.close();
        return;
      }
      body.write(answer);
    }
  }

  private void clock(HttpExchange exchange) throws IOException {
    setClock(Instant.parse(arguments(exchange).get("now")));
    done(exchange);
  }

  private void faults(HttpExchange exchange) throws IOException {
    breakAfter(Integer.parseInt(arguments(exchange).get("after")));
    done(exchange);
  }

  private static void done(HttpExchange exchange) throws IOException {
    exchange.sendResponseHeaders(204, -1);
    exchange.close();
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

  @Override
  public void close() {
    server.stop(0);
  }
}
