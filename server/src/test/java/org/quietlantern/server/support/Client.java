package org.quietlantern.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks to the application as a browser does: with cookies and the token for writing. */
public final class Client {
  private static final JsonMapper JSON = new JsonMapper();
  private final CookieManager cookies;
  private final HttpClient http;
  private final String address;
  private final String below;
  private boolean sendsToken = true;

  public Client(String address) {
    this(address, "", new CookieManager());
  }

  private Client(String address, String below, CookieManager cookies) {
    this.address = address;
    this.below = below;
    this.cookies = cookies;
    this.http = HttpClient.newBuilder().cookieHandler(cookies).build();
  }

  /** The same browser, with addresses below one. */
  public Client below(String path) {
    return new Client(address, path, cookies);
  }

  /** The same visit from a page that has no token to write with. */
  public Client withoutToken() {
    Client other = below(below);
    other.sendsToken = false;
    return other;
  }

  /** An answer. */
  public record Response(int status, String body, java.net.http.HttpHeaders headers) {
    public JsonNode ok() {
      assertThat(status).as(body).isEqualTo(200);
      return json();
    }

    public JsonNode json() {
      return JSON.readTree(body);
    }

    /** The end of a problem's type. */
    public String type() {
      return json().get("type").asString().replace("urn:quietlantern:", "");
    }

    public String header(String name) {
      return headers.firstValue(name).orElse("");
    }
  }

  public Response signIn(String email, String password) {
    get("/api/me");
    return post("/api/session", Map.of("email", email, "password", password));
  }

  public Response get(String path, String... headers) {
    HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + below + path));
    for (int i = 0; i < headers.length; i += 2) {
      request.header(headers[i], headers[i + 1]);
    }
    return send(request);
  }

  public Response head(String path) {
    return send(
        HttpRequest.newBuilder(URI.create(address + below + path))
            .method("HEAD", HttpRequest.BodyPublishers.noBody()));
  }

  /** What a connection made by hand sends as its header {@code Cookie}. */
  public String cookies() {
    return cookies.getCookieStore().getCookies().stream()
        .map(cookie -> cookie.getName() + "=" + cookie.getValue())
        .collect(Collectors.joining("; "));
  }

  /** What a file holds, as it came. */
  public byte[] getBytes(String path) {
    HttpRequest request = HttpRequest.newBuilder(URI.create(address + below + path)).build();
    try {
      return http.send(request, HttpResponse.BodyHandlers.ofByteArray()).body();
    } catch (IOException | InterruptedException failed) {
      throw new IllegalStateException(failed);
    }
  }

  /** A file that is asked for with a body. */
  public byte[] postForBytes(String path, Object body) {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(address + below + path))
            .header("Content-Type", "application/json")
            .header("X-XSRF-TOKEN", token())
            .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)))
            .build();
    try {
      return http.send(request, HttpResponse.BodyHandlers.ofByteArray()).body();
    } catch (IOException | InterruptedException failed) {
      throw new IllegalStateException(failed);
    }
  }

  public Response post(String path, Object body) {
    return post(path, body, UUID.randomUUID());
  }

  public Response post(String path, Object body, UUID command) {
    return write("POST", path, body, command);
  }

  public Response put(String path, Object body) {
    return write("PUT", path, body, UUID.randomUUID());
  }

  public Response write(String method, String path, Object body, UUID command) {
    return writeText(method, path, JSON.writeValueAsString(body), command);
  }

  /** Sends what may be no JSON at all. */
  public Response writeText(String method, String path, String body, UUID command) {
    return send(
        HttpRequest.newBuilder(URI.create(address + below + path))
            .header("Content-Type", "application/json")
            .header("Command-Id", command.toString())
            .header("X-XSRF-TOKEN", token())
            .method(method, HttpRequest.BodyPublishers.ofString(body)));
  }

  /** Sends a file as it is. */
  public Response sendBytes(String method, String path, byte[] file) {
    return send(
        HttpRequest.newBuilder(URI.create(address + below + path))
            .header("Content-Type", "application/octet-stream")
            .header("Command-Id", UUID.randomUUID().toString())
            .header("X-XSRF-TOKEN", token())
            .method(method, HttpRequest.BodyPublishers.ofByteArray(file)));
  }

  /** As a mail program stops letters: without cookies, with the words of RFC 8058 (3.2). */
  public Response oneClick(String path) {
    return send(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString("List-Unsubscribe=One-Click")));
  }

  /**
   * A file of references.
   *
   * @param of what is exported: {@code /folders/…}, {@code /q/…}, {@code /rounds/…}
   * @param with what goes along
   */
  public String exported(String of, String format, String... with) {
    Response answer =
        post(of + "/export", Map.of("format", format, "with", java.util.List.of(with)));
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
    StringBuilder file = new StringBuilder();
    JsonNode last = null;
    for (String line : answer.body().lines().toList()) {
      last = JSON.readTree(line);
      file.append(last.path("text").asString(""));
    }
    assertThat(last).isNotNull();
    assertThat(last.has("works")).as("the file has its end").isTrue();
    return file.toString();
  }

  private String token() {
    if (!sendsToken) {
      return "none";
    }
    return cookies.getCookieStore().getCookies().stream()
        .filter(c -> c.getName().equals("XSRF-TOKEN"))
        .map(HttpCookie::getValue)
        .findFirst()
        .orElse("none");
  }

  private Response send(HttpRequest.Builder request) {
    try {
      HttpResponse<String> response =
          http.send(request.build(), HttpResponse.BodyHandlers.ofString());
      return new Response(response.statusCode(), response.body(), response.headers());
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }
}
