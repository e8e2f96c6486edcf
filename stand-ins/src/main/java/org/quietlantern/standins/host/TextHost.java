package org.quietlantern.standins.host;

import static org.quietlantern.standins.words.XmlText.escape;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Texts;
import org.quietlantern.standins.corpus.Work;
import org.quietlantern.standins.print.Document;
import org.quietlantern.standins.print.HtmlWriter;
import org.quietlantern.standins.print.PdfWriter;

/**
 * Publishers and repositories on loopback: {@code /doi/DOI} leads to the page of a work, {@code
 * /doc/N}, from which {@code text.html} and {@code text.pdf} hang; closed ones lead to a sign-in.
 * {@code /copies/N.pdf} and {@code /early/N.pdf} are other versions. What is odd about a place is
 * fixed for each work ({@link Manner}).
 */
public final class TextHost implements AutoCloseable {
  private static final Pattern TEXT =
      Pattern.compile("/(?:moved/)?doc/(\\d{1,7})/text\\.(html|pdf)");
  private static final Pattern PAGE = Pattern.compile("/doc/(\\d{1,7})");
  private static final Pattern COPY = Pattern.compile("/(?:copies|early)/(\\d{1,7})\\.pdf");
  private static final int BYTES_A_BEAT = 16;
  private final HttpServer server;
  private final Literature literature;
  private final Texts texts;
  private final Map<String, Work> byDoi = new HashMap<>();

  /** {@code port} 0: any free one. */
  public TextHost(int port, Literature literature) throws IOException {
    this.literature = literature;
    this.texts = new Texts(literature);
    literature.works().forEach(work -> byDoi.put(work.doi(), work));
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
    server.createContext("/doi/", this::resolve);
    server.createContext("/sign-in", TextHost::signIn);
    server.createContext("/", this::place);
    server.setExecutor(
        Executors.newFixedThreadPool(
            4,
            task -> {
              Thread thread = new Thread(task, "texts");
              thread.setDaemon(true);
              return thread;
            }));
    server.start();
  }

  public String address() {
    return "http://127.0.0.1:" + server.getAddress().getPort();
  }

  public TextPlaces places() {
    return new TextPlaces(address());
  }

  private void resolve(HttpExchange exchange) throws IOException {
    Work work = byDoi.get(exchange.getRequestURI().getPath().substring("/doi/".length()));
    if (work == null) {
      answer(exchange, 404, "text/html", page("No such DOI", "<p>Nothing is known under it.</p>"));
    } else {
      lead(exchange, 302, places().page(work));
    }
  }

  private static void signIn(HttpExchange exchange) throws IOException {
    String form =
        "<form method=\"post\"><label>Name <input name=\"name\"></label>"
            + "<label>Password <input type=\"password\" name=\"password\"></label>"
            + "<button>Enter</button></form>";
    answer(exchange, 200, "text/html", page("Sign in to read", form));
  }

  private void place(HttpExchange exchange) throws IOException {
    String path = exchange.getRequestURI().getPath();
    Matcher text = TEXT.matcher(path);
    Matcher page = PAGE.matcher(path);
    Matcher copy = COPY.matcher(path);
    if (text.matches() && work(text).isPresent()) {
      text(exchange, work(text).get(), text.group(2), path.startsWith("/moved/"));
    } else if (page.matches() && work(page).isPresent()) {
      answer(exchange, 200, "text/html", landing(work(page).get()));
    } else if (copy.matches() && work(copy).filter(texts::has).isPresent()) {
      Document document = work(copy).flatMap(texts::ofAny).orElseThrow();
      answer(exchange, 200, "application/pdf", PdfWriter.write(document));
    } else {
      answer(exchange, 404, "text/html", page("Not found", "<p>There is nothing here.</p>"));
    }
  }

  private Optional<Work> work(Matcher path) {
    int number = Integer.parseInt(path.group(1));
    return literature.works().stream().filter(work -> work.number() == number).findFirst();
  }

  private void text(HttpExchange exchange, Work work, String form, boolean moved)
      throws IOException {
    if (!work.facts().open()) {
      lead(exchange, 302, address() + "/sign-in?for=" + work.number());
      return;
    }
    Manner manner = moved ? Manner.HAS_IT : Manner.of(work);
    if (!texts.has(work) || manner == Manner.DEAD) {
      answer(exchange, 410, "text/html", page("Gone", "<p>This text is not offered any more.</p>"));
    } else if (manner == Manner.MOVED) {
      lead(exchange, 301, address() + "/moved/doc/" + work.number() + "/text." + form);
    } else if (manner == Manner.ABSTRACT || (manner == Manner.PAGE && form.equals("pdf"))) {
      answer(exchange, 200, "text/html", landing(work));
    } else {
      Work shownWork = manner == Manner.OTHER_WORK ? texts.works().get(0) : work;
      Document shown = texts.ofAny(shownWork).orElseThrow();
      byte[] bytes = form.equals("pdf") ? PdfWriter.write(shown) : utf8(HtmlWriter.write(shown));
      String type = form.equals("pdf") ? "application/pdf" : "text/html";
      if (manner == Manner.SLOW) {
        drip(exchange, type, bytes);
      } else {
        answer(exchange, 200, type, bytes);
      }
    }
  }

  /** What a publisher shows of a work to anybody. */
  private byte[] landing(Work work) {
    String ways =
        texts.has(work)
            ? "<p><a href=\"/doc/%1$d/text.html\">Read</a> <a href=\"/doc/%1$d/text.pdf\">PDF</a></p>"
                .formatted(work.number())
            : "";
    return page(
        work.title(),
        "<p>doi:%s</p><h2>Abstract</h2><p>%s</p>%s"
            .formatted(work.doi(), escape(work.abstractText()), ways));
  }

  private static byte[] page(String title, String body) {
    return utf8(
        "<!doctype html><html lang=\"en\"><meta charset=\"utf-8\"><title>%1$s</title><h1>%1$s</h1>%2$s"
            .formatted(escape(title), body));
  }

  private static byte[] utf8(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static void answer(HttpExchange exchange, int code, String type, byte[] bytes)
      throws IOException {
    exchange.getResponseHeaders().set("Content-Type", type);
    exchange.sendResponseHeaders(code, bytes.length);
    try (OutputStream body = exchange.getResponseBody()) {
      body.write(bytes);
    }
  }

  private static void lead(HttpExchange exchange, int code, String location) throws IOException {
    exchange.getResponseHeaders().set("Location", location);
    exchange.sendResponseHeaders(code, -1);
    exchange.close();
  }

  private static void drip(HttpExchange exchange, String type, byte[] bytes) throws IOException {
    exchange.getResponseHeaders().set("Content-Type", type);
    exchange.sendResponseHeaders(200, bytes.length);
    try (OutputStream body = exchange.getResponseBody()) {
      for (int at = 0; at < bytes.length; at += BYTES_A_BEAT) {
        body.write(bytes, at, Math.min(BYTES_A_BEAT, bytes.length - at));
        body.flush();
        Thread.sleep(500);
      }
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public void close() {
    server.stop(0);
  }
}
