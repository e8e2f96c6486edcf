package org.quietlantern.standins;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.standins.corpus.Facets;
import org.quietlantern.standins.corpus.Headings;
import org.quietlantern.standins.corpus.Holdings;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.SkosWriter;
import org.quietlantern.standins.corpus.Texts;
import org.quietlantern.standins.host.JournalFeeds;
import org.quietlantern.standins.host.LendingLibrary;
import org.quietlantern.standins.host.SharedDrive;
import org.quietlantern.standins.host.TextPlaces;
import org.quietlantern.standins.mail.MailDrop;
import org.quietlantern.standins.mail.MailPages;
import org.quietlantern.standins.oai.Faults;
import org.quietlantern.standins.oai.OaiEndpoint;
import org.quietlantern.standins.print.Document;
import org.quietlantern.standins.print.HtmlWriter;
import org.quietlantern.standins.print.PdfWriter;
import org.quietlantern.standins.supply.Source;
import org.quietlantern.standins.supply.Sources;

/**
 * The outside world on loopback. Each source answers OAI-PMH 2.0 at {@code /KEY/oai}; {@code
 * /vocabulary.ttl}, {@code /holdings.txt}, {@code /printed.txt}, {@code /college.txt} and {@code
 * /journals.csv} are files; {@code /lending/requests} is a library that lends copies; {@code
 * /drive/} is a shared drive; {@code /feeds/ISSN.rss} is what a journal announces; {@code /mail}
 * shows what its mail server got; {@code POST /control/clock?now=} sets the day for all of it.
 */
public final class Outside implements AutoCloseable {
  private static final Pattern TEXT = Pattern.compile("/text/(\\d{1,7})\\.(html|pdf)");
  private final HttpServer server;
  private final MailDrop mail;
  private final SharedDrive drive;
  private final InstantSource system = InstantSource.system();
  private final Map<String, OaiEndpoint> sources = new LinkedHashMap<>();
  private volatile Duration offset = Duration.ZERO;

  /** {@code port} 0: any free one. Nobody says where texts are. */
  public Outside(int port, Literature literature) throws IOException {
    this(port, literature, TextPlaces.UNTOLD);
  }

  /** {@code places}: where its sources say that texts are. */
  public Outside(int port, Literature literature, TextPlaces places) throws IOException {
    this(port, literature, places, 0);
  }

  /** {@code mailPort}: where its mail server listens; 0: at any free port. */
  public Outside(int port, Literature literature, TextPlaces places, int mailPort)
      throws IOException {
    this(port, literature, places, mailPort, Files.createTempDirectory("outside").resolve("drive"));
  }

  /** {@code drive}: the folder in which its drive has its files. */
  public Outside(int port, Literature literature, TextPlaces places, int mailPort, Path drive)
      throws IOException {
    this.drive = new SharedDrive("/drive/", Files.createDirectories(drive));
    mail = new MailDrop(mailPort);
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
    for (Source source : Sources.of(literature)) {
      String address = address() + "/" + source.key() + "/oai";
      OaiEndpoint endpoint = new OaiEndpoint(literature, source, address, places, this::now);
      sources.put(source.key(), endpoint);
      server.createContext("/" + source.key() + "/oai", endpoint);
    }
    Texts texts = new Texts(literature);
    file("/texts.csv", "text/csv", texts.list(address()));
    server.createContext("/text/", exchange -> text(texts, exchange));
    file("/vocabulary.ttl", "text/turtle", SkosWriter.turtle(Headings.ALL.values()));
    file("/facets.ttl", "text/turtle", Facets.turtle());
    file("/holdings.txt", "text/tab-separated-values", Holdings.kbart());
    file("/printed.txt", "text/tab-separated-values", Holdings.printed());
    file("/college.txt", "text/tab-separated-values", Holdings.ofCollege());
    file("/journals.csv", "text/csv", Holdings.journals());
    server.createContext("/lending/", new LendingLibrary(address(), literature, this::now));
    server.createContext("/feeds/", new JournalFeeds(address(), literature, this::now));
    server.createContext("/drive/", this.drive);
    server.createContext("/mail", new MailPages(mail));
    server.createContext("/control/clock", this::clock);
    server.setExecutor(
        Executors.newFixedThreadPool(
            2,
            task -> {
              Thread thread = new Thread(task, "outside");
              thread.setDaemon(true);
              return thread;
            }));
    server.start();
  }

  public String address() {
    return "http://127.0.0.1:" + server.getAddress().getPort();
  }

  /** The mail server, and what it got. */
  public MailDrop mail() {
    return mail;
  }

  /** The shared drive. */
  public SharedDrive drive() {
    return drive;
  }

  /** Where the shared drive answers. */
  public String driveAddress() {
    return address() + "/drive/";
  }

  /** Where a source answers. */
  public URI source(String key) {
    return URI.create(address() + "/" + key + "/oai");
  }

  /** What goes wrong at a source. */
  public Faults faults(String key) {
    return sources.get(key).faults();
  }

  /** What it takes for the present. */
  public void setClock(Instant now) {
    offset = Duration.between(system.instant(), now);
  }

  private Instant now() {
    return system.instant().plus(offset);
  }

  private void file(String path, String type, String text) {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    server.createContext(
        path,
        exchange -> {
          exchange.getResponseHeaders().set("Content-Type", type + "; charset=utf-8");
          exchange.sendResponseHeaders(200, bytes.length);
          exchange.getResponseBody().write(bytes);
          exchange.close();
        });
  }

  /** {@code /text/17.html} or {@code /text/17.pdf}. */
  private static void text(Texts texts, HttpExchange exchange) throws IOException {
    Matcher path = TEXT.matcher(exchange.getRequestURI().getPath());
    Optional<Document> document =
        path.matches() ? texts.of(Integer.parseInt(path.group(1))) : Optional.empty();
    if (document.isEmpty()) {
      exchange.sendResponseHeaders(404, -1);
    } else {
      boolean pdf = path.group(2).equals("pdf");
      byte[] bytes =
          pdf
              ? PdfWriter.write(document.get())
              : HtmlWriter.write(document.get()).getBytes(StandardCharsets.UTF_8);
      exchange
          .getResponseHeaders()
          .set("Content-Type", pdf ? "application/pdf" : "text/html; charset=utf-8");
      exchange.sendResponseHeaders(200, bytes.length);
      exchange.getResponseBody().write(bytes);
    }
    exchange.close();
  }

  private void clock(HttpExchange exchange) throws IOException {
    setClock(Instant.parse(exchange.getRequestURI().getQuery().replace("now=", "")));
    exchange.sendResponseHeaders(204, -1);
    exchange.close();
  }

  @Override
  public void close() {
    server.stop(0);
    mail.close();
  }
}
