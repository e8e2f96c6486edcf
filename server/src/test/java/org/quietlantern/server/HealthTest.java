package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.slf4j.LoggerFactory;

/** What whoever runs the server can see of it, and what is behind a proxy. */
class HealthTest {
  @RegisterExtension
  private static final TestApp APP =
      new TestApp(
          "--lantern.figures-token=lamp-oil",
          "--server.forward-headers-strategy=native",
          "--server.tomcat.remoteip.internal-proxies=127\\.0\\.0\\.1");

  @DisplayName("Health by one word to anybody; ready only while the database answers")
  @Test
  void health() throws InterruptedException {
    Client anybody = new Client(APP.address());
    assertThat(anybody.get("/manage/health/liveness").ok()).hasToString("{\"status\":\"UP\"}");
    assertThat(anybody.get("/manage/health/readiness").ok()).hasToString("{\"status\":\"UP\"}");
    APP.letDatabase(false);
    try {
      assertThat(anybody.get("/manage/health/readiness").status()).isEqualTo(503);
      assertThat(anybody.get("/manage/health/liveness").status()).isEqualTo(200);
    } finally {
      APP.letDatabase(true);
    }
    for (int tries = 0; anybody.get("/manage/health/readiness").status() != 200; tries++) {
      assertThat(tries).isLessThan(20);
      Thread.sleep(600);
    }
  }

  @DisplayName("Figures only by the token: requests, searches, lag, sources, alerts")
  @Test
  void figures() {
    APP.workOff();
    TestGroup group = APP.group("Fia Figures");
    group.find("moth");
    Client anybody = new Client(APP.address());
    for (String token : List.of("", "Bearer ", "Bearer lamp-oi", "lamp-oil")) {
      Client.Response refused = anybody.get("/manage/prometheus", "Authorization", token);
      assertThat(refused.status()).as(token).isEqualTo(404);
    }
    assertThat(anybody.get("/manage/env").status()).isEqualTo(404);
    assertThat(anybody.get("/manage").status()).isEqualTo(404);
    String figures = anybody.get("/manage/prometheus", "Authorization", "Bearer lamp-oil").body();
    assertThat(figures)
        .contains(
            "http_server_requests_seconds_count",
            "lantern_search_seconds_count",
            "lantern_search_waiting",
            "lantern_index_lag{application=\"quiet-lantern\"} 0.0",
            "lantern_sources_failing",
            "lantern_alerts_failing",
            "hikaricp_connections_active");
    assertThat(figures).as("no words, no addresses").doesNotContain("moth", group.pid());
  }

  @DisplayName(
      "Every request has a name, in its answer and in its one line of the log, without words")
  @Test
  void names() {
    Logger log = (Logger) LoggerFactory.getLogger("org.quietlantern.requests");
    ListAppender<ILoggingEvent> lines = new ListAppender<>();
    lines.start();
    log.setLevel(Level.INFO);
    log.addAppender(lines);
    try {
      Client anybody = new Client(APP.address());
      String one = anybody.get("/api/me").header("Request-Id");
      String other = anybody.get("/feed/0000000000/a-secret.atom?before=7").header("Request-Id");
      assertThat(one).matches("[0-9a-z]{10}").isNotEqualTo(other);
      assertThat(lines.list)
          .extracting(ILoggingEvent::getFormattedMessage)
          .anyMatch(line -> line.startsWith("id=" + one + " method=GET form=none status=401 ms="))
          .anyMatch(
              line ->
                  line.startsWith(
                      "id=" + other + " method=GET form=/feed/{feed}/{secret}.atom status=404 ms="))
          .noneMatch(line -> line.contains("a-secret"));
    } finally {
      log.detachAppender(lines);
      log.setLevel(Level.WARN);
    }
  }

  @DisplayName("Behind a proxy that is named: cookies are for TLS only, browsers keep to it")
  @Test
  void behindProxy() {
    Client anybody = new Client(APP.address());
    Client.Response open = anybody.get("/api/me");
    assertThat(open.header("Strict-Transport-Security")).isEmpty();
    Client.Response safe =
        anybody.get("/api/me", "X-Forwarded-Proto", "https", "X-Forwarded-For", "203.0.113.7");
    assertThat(safe.header("Strict-Transport-Security")).contains("max-age=31536000");
    assertThat(
            new Client(APP.address()).get("/api/me", "X-Forwarded-Proto", "https").headers().map())
        .extractingByKey("set-cookie")
        .satisfies(cookies -> assertThat(cookies.toString()).contains("Secure"));
    TestApp plain = TestApp.shared();
    Client.Response unnamed =
        new Client(plain.address()).get("/api/me", "X-Forwarded-Proto", "https");
    assertThat(unnamed.header("Strict-Transport-Security")).as("nobody is believed").isEmpty();
  }
}
