package org.quietlantern.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A member's visit to a demo that runs, as a browser makes it. */
final class Visit {
  private final CookieManager cookies = new CookieManager();
  private final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();
  private final String address;
  private String group = "";

  Visit(String address) {
    this.address = address;
  }

  Visit signIn(String email, String password) {
    send("GET", "/api/me", "");
    String body = "{\"email\":\"%s\",\"password\":\"%s\"}".formatted(email, password);
    group = found("\"id\":\"(\\w{10})\"", send("POST", "/api/session", body));
    return this;
  }

  /** Below the address of the member's group. */
  String inGroup(String method, String path, String body) {
    return send(method, below(path), body);
  }

  /** What is answered; a refusal ends the measurement. */
  String send(String method, String path, String body) {
    HttpResponse<String> answer = ask(method, path, body);
    if (answer.statusCode() >= 400 && !path.equals("/api/me")) {
      throw new IllegalStateException(path + ": " + answer.statusCode() + " " + answer.body());
    }
    return answer.body();
  }

  /** The answer, whatever it is. */
  HttpResponse<String> ask(String method, String path, String body) {
    try {
      return ask(method, path, body, UUID.randomUUID());
    } catch (IOException failed) {
      throw new IllegalStateException(failed);
    }
  }

  /** The answer, whatever it is; {@code IOException} where there is none. */
  HttpResponse<String> ask(String method, String path, String body, UUID command)
      throws IOException {
    return ask(
        method, path, "application/json", HttpRequest.BodyPublishers.ofString(body), command);
  }

  /** Sends a file below the address of the member's group; a refusal ends the measurement. */
  void sendFile(String path, Path file) throws IOException {
    HttpResponse<String> answer =
        ask(
            "PUT",
            below(path),
            "application/octet-stream",
            HttpRequest.BodyPublishers.ofFile(file),
            UUID.randomUUID());
    if (answer.statusCode() >= 400) {
      throw new IllegalStateException(path + ": " + answer.statusCode() + " " + answer.body());
    }
  }

  private HttpResponse<String> ask(
      String method, String path, String type, HttpRequest.BodyPublisher body, UUID command)
      throws IOException {
    try {
      HttpRequest.Builder request =
          HttpRequest.newBuilder(URI.create(address + path))
              .header("Content-Type", type)
              .header("Command-Id", command.toString())
              .method(method, body);
      cookies.getCookieStore().getCookies().stream()
          .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
          .forEach(cookie -> request.setHeader("X-XSRF-TOKEN", cookie.getValue()));
      return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }

  /** The address of something below the member's group. */
  String below(String path) {
    return "/api/groups/" + group + path;
  }

  /** The first group of a pattern in a text that has it. */
  static String found(String pattern, String text) {
    Matcher matcher = Pattern.compile(pattern).matcher(text);
    if (!matcher.find()) {
      throw new IllegalStateException("nothing like " + pattern + " in " + text);
    }
    return matcher.group(1);
  }
}
