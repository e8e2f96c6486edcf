package org.quietlantern.standins.host;

import static org.quietlantern.standins.words.XmlText.escape;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A shared drive that speaks as much WebDAV (RFC 4918) as is needed to put files on it: listing,
 * folders, files with entity tags and conditions. One name with one password may do everything.
 * Folders are shown to browsers as pages.
 */
public final class SharedDrive implements HttpHandler {
  public static final String NAME = "ternhollow";
  public static final String PASSWORD = "lamp-at-dusk";

  private final String below;
  private final Path root;
  private volatile Mood mood = Mood.FINE;

  /** What goes wrong at it. */
  public enum Mood {
    FINE,
    /** No byte more fits. */
    FULL,
    /** Somebody has every file locked. */
    LOCKED,
    /** Another password is needed now. */
    REFUSES,
    /** Everything has moved to a place on this machine. */
    LEADS_HOME,
    /** It does not work. */
    BROKEN,
    /** An answer takes longer than anybody waits. */
    SLOW,
    /** It takes a file and is gone before it says so. */
    TAKES_AND_HANGS_UP
  }

  /**
   * @param below the path at which it answers, with slashes at both ends
   * @param root where its files lie
   */
  public SharedDrive(String below, Path root) {
    this.below = below;
    this.root = root;
  }

  /** What goes wrong from now on. */
  public void set(Mood next) {
    mood = next;
  }

  /** Where its files lie. */
  public Path root() {
    return root;
  }

  @Override
  public void handle(HttpExchange exchange) throws IOException {
    try (exchange) {
      String asked = exchange.getRequestHeaders().getFirst("Authorization");
      String known =
          "Basic "
              + Base64.getEncoder()
                  .encodeToString((NAME + ":" + PASSWORD).getBytes(StandardCharsets.UTF_8));
      Optional<Path> place = place(exchange);
      for (int tenth = 0; mood == Mood.SLOW && tenth < 600; tenth++) {
        Thread.sleep(100);
      }
      if (!known.equals(asked) || mood == Mood.REFUSES) {
        exchange.getResponseHeaders().set("WWW-Authenticate", "Basic realm=\"Shared drive\"");
        answer(exchange, 401);
      } else if (mood == Mood.LEADS_HOME) {
        exchange.getResponseHeaders().set("Location", "http://127.0.0.1:1/drive/");
        answer(exchange, 302);
      } else if (mood == Mood.BROKEN) {
        answer(exchange, 500);
      } else if (place.isEmpty()) {
        answer(exchange, 403);
      } else {
        act(exchange, place.get());
      }
    } catch (InterruptedException ended) {
      Thread.currentThread().interrupt();
    }
  }

  /** Empty for what climbs out. */
  private Optional<Path> place(HttpExchange exchange) {
    String rest = exchange.getRequestURI().getPath().substring(below.length() - 1);
    Path place = root.resolve(rest.replaceFirst("^/+", "")).normalize();
    return place.startsWith(root) ? Optional.of(place) : Optional.empty();
  }

  private void act(HttpExchange exchange, Path place) throws IOException {
    switch (exchange.getRequestMethod()) {
      case "OPTIONS" -> {
        exchange.getResponseHeaders().set("DAV", "1");
        answer(exchange, 200);
      }
      case "PROPFIND" -> list(exchange, place);
      case "MKCOL" -> makeFolder(exchange, place);
      case "PUT" -> take(exchange, place);
      case "GET", "HEAD" -> give(exchange, place);
      case "DELETE" -> {
        boolean gone = Files.isRegularFile(place) && Files.deleteIfExists(place);
        answer(exchange, gone ? 204 : 404);
      }
      default -> answer(exchange, 405);
    }
  }

  private void list(HttpExchange exchange, Path place) throws IOException {
    if (!Files.exists(place)) {
      answer(exchange, 404);
      return;
    }
    boolean deep = !"0".equals(exchange.getRequestHeaders().getFirst("Depth"));
    StringBuilder xml =
        new StringBuilder(
            "<?xml version=\"1.0\" encoding=\"utf-8\"?>\n<D:multistatus xmlns:D=\"DAV:\">");
    xml.append(listed(place));
    if (deep && Files.isDirectory(place)) {
      for (Path one : inside(place)) {
        xml.append(listed(one));
      }
    }
    xml.append("</D:multistatus>");
    answer(exchange, 207, "application/xml; charset=utf-8", xml.toString());
  }

  private static List<Path> inside(Path folder) throws IOException {
    try (Stream<Path> all = Files.list(folder)) {
      return all.sorted().toList();
    }
  }

  private String listed(Path place) {
    boolean folder = Files.isDirectory(place);
    return "<D:response><D:href>%s</D:href><D:propstat><D:prop><D:resourcetype>%s</D:resourcetype></D:prop><D:status>HTTP/1.1 200 OK</D:status></D:propstat></D:response>"
        .formatted(escape(address(place)), folder ? "<D:collection/>" : "");
  }

  private String address(Path place) {
    String rest = root.relativize(place).toString();
    String path = below + rest + (Files.isDirectory(place) && !rest.isEmpty() ? "/" : "");
    try {
      return new URI(null, null, path, null).getRawPath();
    } catch (URISyntaxException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private void makeFolder(HttpExchange exchange, Path place) throws IOException {
    if (Files.exists(place)) {
      answer(exchange, 405);
    } else if (!Files.isDirectory(place.getParent())) {
      answer(exchange, 409);
    } else {
      Files.createDirectory(place);
      answer(exchange, 201);
    }
  }

  private void take(HttpExchange exchange, Path place) throws IOException {
    int refusal = refusal(exchange, place);
    if (refusal > 0) {
      answer(exchange, refusal);
      return;
    }
    boolean there = Files.exists(place);
    Path part = Files.createTempFile(root.getParent(), "drive", ".part");
    try (InputStream body = exchange.getRequestBody()) {
      Files.copy(body, part, StandardCopyOption.REPLACE_EXISTING);
    }
    Files.move(part, place, StandardCopyOption.REPLACE_EXISTING);
    if (mood != Mood.TAKES_AND_HANGS_UP) {
      answer(exchange, there ? 204 : 201);
    }
  }

  /** 0 where nothing speaks against taking a file. */
  private int refusal(HttpExchange exchange, Path place) throws IOException {
    String fresh = exchange.getRequestHeaders().getFirst("If-None-Match");
    String match = exchange.getRequestHeaders().getFirst("If-Match");
    if (mood == Mood.FULL) {
      return 507;
    }
    if (mood == Mood.LOCKED) {
      return 423;
    }
    if (!Files.isDirectory(place.getParent())) {
      return 409;
    }
    if (Files.isDirectory(place)) {
      return 405;
    }
    boolean there = Files.exists(place);
    boolean holds =
        !("*".equals(fresh) && there) && (match == null || (there && match.equals(tag(place))));
    return holds ? 0 : 412;
  }

  private static String tag(Path file) throws IOException {
    return "\"%x-%x\""
        .formatted(Files.size(file), Files.getLastModifiedTime(file).to(TimeUnit.NANOSECONDS));
  }

  private void give(HttpExchange exchange, Path place) throws IOException {
    if (Files.isDirectory(place)) {
      page(exchange, place);
      return;
    }
    try {
      byte[] bytes = Files.readAllBytes(place);
      exchange.getResponseHeaders().set("ETag", tag(place));
      boolean head = exchange.getRequestMethod().equals("HEAD");
      exchange.sendResponseHeaders(200, head || bytes.length == 0 ? -1 : bytes.length);
      if (!head) {
        exchange.getResponseBody().write(bytes);
      }
    } catch (NoSuchFileException none) {
      answer(exchange, 404);
    }
  }

  private void page(HttpExchange exchange, Path folder) throws IOException {
    String lines =
        inside(folder).stream()
            .map(
                one ->
                    "<li><a href=\"%s\">%s</a></li>"
                        .formatted(escape(address(one)), escape(one.getFileName().toString())))
            .collect(Collectors.joining());
    answer(
        exchange,
        200,
        "text/html; charset=utf-8",
        "<!doctype html><html lang=\"en\"><meta charset=\"utf-8\"><title>Shared drive</title><h1>Shared drive</h1>"
            + (lines.isEmpty() ? "<p>Nothing stands here.</p>" : "<ul>" + lines + "</ul>"));
  }

  private static void answer(HttpExchange exchange, int code, String type, String text)
      throws IOException {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    exchange.getResponseHeaders().set("Content-Type", type);
    boolean head = exchange.getRequestMethod().equals("HEAD");
    exchange.sendResponseHeaders(code, head ? -1 : bytes.length);
    if (!head) {
      exchange.getResponseBody().write(bytes);
    }
  }

  private static void answer(HttpExchange exchange, int code) throws IOException {
    exchange.sendResponseHeaders(code, -1);
  }
}
