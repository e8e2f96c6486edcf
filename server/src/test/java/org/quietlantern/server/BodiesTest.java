package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;

/** What somebody sends has bounds; what is beyond them keeps nobody else waiting. */
class BodiesTest {
  private static final TestApp APP = TestApp.shared();
  private static final HttpClient HTTP = HttpClient.newHttpClient();

  private static HttpResponse<String> post(HttpRequest.BodyPublisher body)
      throws IOException, InterruptedException {
    return HTTP.send(
        HttpRequest.newBuilder(URI.create(APP.address() + "/api/session"))
            .header("Content-Type", "application/json")
            // Whoever sends both has a token.
            .header("Cookie", "XSRF-TOKEN=any")
            .header("X-XSRF-TOKEN", "any")
            .POST(body)
            .build(),
        HttpResponse.BodyHandlers.ofString());
  }

  @DisplayName("Whoever connects and says nothing, or half a request, does not stay")
  @Test
  void silent() throws IOException {
    URI address = URI.create(APP.address());
    try (Socket silent = new Socket(address.getHost(), address.getPort());
        Socket half = new Socket(address.getHost(), address.getPort())) {
      half.getOutputStream().write("GET /api/me HTT".getBytes(StandardCharsets.US_ASCII));
      silent.setSoTimeout(30_000);
      half.setSoTimeout(30_000);
      assertThat(silent.getInputStream().read()).as("closed").isEqualTo(-1);
      assertThat(new String(half.getInputStream().readAllBytes(), StandardCharsets.US_ASCII))
          .as("closed, with a refusal or without")
          .doesNotContain(" 200 ");
    }
  }

  @DisplayName("A day has four figures of a year; numbers, months that are none, and ages are none")
  @Test
  void days() {
    TestGroup group = APP.group("Dag Day");
    Client dag = group.client(0);
    String path = "/members/" + group.member(0).pid() + "/absences";
    String folder = "/folders/" + group.folder("Days") + "/bibliography/since?day=";
    List<Object> none =
        List.of(2_147_483_648L, 3, "+999999999-01-01", "-0044-03-15", "2026-13-01", "2026-2-1", "");
    for (Object day : none) {
      assertThat(dag.post(path, Map.of("from", "2030-12-24", "to", day)).status())
          .as("%s", day)
          .isEqualTo(400);
    }
    assertThat(dag.post(path, Map.of("from", "2030-12-24", "to", "9999-12-31")).status())
        .isEqualTo(200);
    assertThat(dag.get(folder + "%2B999999999-01-01").status()).isEqualTo(400);
    assertThat(dag.get(folder + "2026-02-30").status()).isEqualTo(400);
    assertThat(dag.get(folder + "9999-12-31").status()).isEqualTo(200);
  }

  @DisplayName("A body that says how long it is, and is too long, is refused unread")
  @Test
  void tooLong() throws Exception {
    HttpResponse<String> answer =
        post(HttpRequest.BodyPublishers.ofString("{\"password\":\"" + "x".repeat(5_000) + "\"}"));
    assertThat(answer.statusCode()).isEqualTo(413);
    assertThat(answer.body()).contains("4,096 bytes");
  }

  @DisplayName("A body that does not say how long it is is read up to its bound")
  @Test
  void withoutAnEnd() throws Exception {
    byte[] endless = ("{\"password\":\"" + "x".repeat(60_000)).getBytes(StandardCharsets.UTF_8);
    HttpResponse<String> answer =
        post(HttpRequest.BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(endless)));
    assertThat(answer.statusCode()).isEqualTo(413);
  }

  @DisplayName("Bodies that drip are cut off, and a member is answered all the while")
  @Test
  void dripping() throws Exception {
    TestGroup group = APP.group("Dora Drip");
    Client dora = group.client(0);
    List<Socket> drips = new ArrayList<>();
    try {
      for (int i = 0; i < 80; i++) {
        Socket socket =
            new Socket(InetAddress.getLoopbackAddress(), URI.create(APP.address()).getPort());
        drips.add(socket);
        OutputStream out = socket.getOutputStream();
        out.write(
            ("POST /api/session HTTP/1.1\r\nHost: x\r\nCookie: XSRF-TOKEN=any\r\n"
                    + "X-XSRF-TOKEN: any\r\nContent-Type: application/json\r\nContent-Length: 400\r\n\r\n{")
                .getBytes(StandardCharsets.US_ASCII));
        out.flush();
      }
      assertThat(dora.get("/search/beginnings").status()).isEqualTo(200);
      assertThat(drips)
          .filteredOn(BodiesTest::isAnswered)
          .as("beyond those read at once")
          .hasSizeGreaterThan(10);
    } finally {
      for (Socket drip : drips) {
        drip.close();
      }
    }
    // Until the server has noticed that they are gone, it says when to come again.
    Client.Response after = dora.post("/search", Map.of("text", "moths"));
    for (int tries = 0; after.status() == 429 && tries < 3; tries++) {
      Thread.sleep(Duration.ofSeconds(Long.parseLong(after.header("Retry-After"))).toMillis());
      after = dora.post("/search", Map.of("text", "moths"));
    }
    assertThat(after.status()).isEqualTo(200);
  }

  private static boolean isAnswered(Socket socket) {
    try {
      socket.setSoTimeout(200);
      return socket.getInputStream().read() >= 0;
    } catch (IOException silent) {
      return false;
    }
  }
}
