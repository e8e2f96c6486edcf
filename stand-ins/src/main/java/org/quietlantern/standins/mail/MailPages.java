package org.quietlantern.standins.mail;

import static org.quietlantern.standins.words.XmlText.escape;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What the mail server got, to be read in a browser: all of it, or {@code /mail/7}. */
public final class MailPages implements HttpHandler {
  private static final Pattern ONE = Pattern.compile("/mail/(\\d{1,9})");
  private final MailDrop mail;

  public MailPages(MailDrop mail) {
    this.mail = mail;
  }

  @Override
  public void handle(HttpExchange exchange) throws IOException {
    Matcher one = ONE.matcher(exchange.getRequestURI().getPath());
    Optional<String> page =
        one.matches()
            ? mail.got().stream()
                .filter(got -> got.number() == Integer.parseInt(one.group(1)))
                .findFirst()
                .map(MailPages::page)
            : Optional.of(list());
    byte[] bytes = page.orElse("There is no such message.").getBytes(StandardCharsets.UTF_8);
    exchange.getResponseHeaders().set("Content-Type", "text/html; charset=utf-8");
    exchange.sendResponseHeaders(page.isPresent() ? 200 : 404, bytes.length);
    exchange.getResponseBody().write(bytes);
    exchange.close();
  }

  private String list() {
    String lines =
        mail.got().stream()
            .sorted(Comparator.comparingInt(MailDrop.Got::number).reversed())
            .map(
                got ->
                    "<li><a href=\"/mail/%d\">%s</a> to %s</li>"
                        .formatted(got.number(), escape(got.subject()), escape(got.to())))
            .collect(Collectors.joining());
    return frame(
        "The mail drop",
        lines.isEmpty() ? "<p>Nothing came yet.</p>" : "<ol reversed>" + lines + "</ol>");
  }

  /** The message as its reader would see it: its own HTML. */
  private static String page(MailDrop.Got got) {
    String head =
        "<p><a href=\"/mail\">All</a></p><p>To %s<br>Subject: <b>%s</b></p><hr>"
            .formatted(escape(got.to()), escape(got.subject()));
    String files =
        got.files().stream()
            .map(
                file ->
                    "<details><summary>Enclosed: %s</summary><pre>%s</pre></details>"
                        .formatted(escape(file.name()), escape(file.text())))
            .collect(Collectors.joining());
    return frame(
        got.subject(), head + got.html() + files + "<hr><pre>" + escape(got.text()) + "</pre>");
  }

  private static String frame(String title, String body) {
    return "<!doctype html><html lang=\"en\"><meta charset=\"utf-8\"><title>%1$s</title><h1>%1$s</h1>%2$s"
        .formatted(escape(title), body);
  }
}
