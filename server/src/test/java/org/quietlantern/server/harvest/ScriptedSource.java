package org.quietlantern.server.harvest;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;

/** An OAI-PMH source that answers as a test says, one answer after the other. */
final class ScriptedSource implements AutoCloseable {
  private static final String DC =
      "<metadata><oai_dc:dc xmlns:oai_dc=\"http://www.openarchives.org/OAI/2.0/oai_dc/\""
          + " xmlns:dc=\"http://purl.org/dc/elements/1.1/\"><dc:title>%s</dc:title>"
          + "<dc:creator>Fenwright, Ola</dc:creator><dc:date>2026</dc:date></oai_dc:dc></metadata>";
  private final HttpServer server;
  private final Deque<HttpHandler> answers = new ConcurrentLinkedDeque<>();

  /** What it was asked, in order. */
  final List<String> asked = new CopyOnWriteArrayList<>();

  ScriptedSource(String... answers) {
    List.of(answers).forEach(answer -> then(xml(answer.getBytes(StandardCharsets.UTF_8))));
    try {
      server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    server.createContext(
        "/oai",
        exchange -> {
          asked.add(exchange.getRequestURI().getQuery());
          // The last answer is given for ever.
          HttpHandler answer =
              this.answers.size() > 1 ? this.answers.remove() : this.answers.peek();
          try (exchange) {
            answer.handle(exchange);
          }
        });
    server.setExecutor(Executors.newCachedThreadPool());
    server.start();
  }

  /** A further answer. */
  ScriptedSource then(HttpHandler answer) {
    answers.add(answer);
    return this;
  }

  static HttpHandler xml(byte[] body) {
    return exchange -> {
      exchange.getResponseHeaders().set("Content-Type", "text/xml");
      exchange.sendResponseHeaders(200, body.length);
      exchange.getResponseBody().write(body);
    };
  }

  /** Leads elsewhere. */
  static HttpHandler leads(int code, String location) {
    return exchange -> {
      exchange.getResponseHeaders().set("Location", location);
      exchange.sendResponseHeaders(code, -1);
    };
  }

  /** A byte now and then, and never an end. */
  static void drip(HttpExchange exchange) throws IOException {
    exchange.sendResponseHeaders(200, 0);
    try (OutputStream body = exchange.getResponseBody()) {
      while (true) {
        body.write(' ');
        body.flush();
        Thread.sleep(200);
      }
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
    }
  }

  URI address() {
    return URI.create("http://127.0.0.1:" + server.getAddress().getPort() + "/oai");
  }

  static String list(String token, String... records) {
    return answer(
        "<ListRecords>"
            + String.join("", records)
            + (token.isEmpty() ? "" : "<resumptionToken>" + token + "</resumptionToken>")
            + "</ListRecords>");
  }

  static String error(String code) {
    return answer("<error code=\"" + code + "\">no</error>");
  }

  private static String answer(String inside) {
    return at("2026-11-17T07:00:00Z", inside);
  }

  /** An answer of a source whose clock shows this. */
  static String at(String clock, String inside) {
    return "<OAI-PMH xmlns=\"http://www.openarchives.org/OAI/2.0/\">"
        + "<responseDate>"
        + clock
        + "</responseDate><request/>"
        + inside
        + "</OAI-PMH>";
  }

  static String record(String identifier, String title) {
    return "<record>" + header("", identifier) + DC.formatted(title) + "</record>";
  }

  static String deleted(String identifier) {
    return "<record>" + header(" status=\"deleted\"", identifier) + "</record>";
  }

  private static String header(String status, String identifier) {
    return "<header%s><identifier>%s</identifier><datestamp>2026-11-16</datestamp></header>"
        .formatted(status, identifier);
  }

  @Override
  public void close() {
    server.stop(0);
  }
}
