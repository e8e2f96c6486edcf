package org.quietlantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

/** install/nginx.conf with TLS, and two servers on one database behind it. */
class NginxTest {
  private static final String EMAIL = "nora@attic.example";
  private static final String WORDS = "lantern-in-the-attic";
  private static final int PORT = Script.freePort();
  private static final String ADDRESS = "https://localhost:" + PORT;
  private static final Served ONE = new Served().with("proxies = 127.0.0.1").at(ADDRESS);
  private static Served other;
  private static Process nginx;
  private static Path place;

  @BeforeAll
  static void open() throws IOException {
    place = ONE.folder("nginx");
    Files.createDirectories(place);
    Path secret = place.resolve("secret");
    Script.output("bash", "-c", "openssl rand -base64 32 > " + secret);
    ONE.with("secret-file = " + secret).start();
    Path data = ONE.folder("data");
    Path password = place.resolve("database-password");
    Files.copy(data.resolve("db.password"), password);
    String database = "127.0.0.1:" + Files.readString(data.resolve("db.port")).strip() + "/lantern";
    other =
        new Served()
            .with("database = " + database)
            .with("database-password-file = " + password)
            .with("secret-file = " + secret)
            .with("proxies = 127.0.0.1")
            .at(ADDRESS)
            .start();
    Script.output(
        "openssl",
        "req",
        "-x509",
        "-newkey",
        "rsa:2048",
        "-nodes",
        "-days",
        "2",
        "-subj",
        "/CN=localhost",
        "-keyout",
        place + "/key.pem",
        "-out",
        place + "/cert.pem");
    String site =
        Files.readString(Script.ROOT.resolve("install/nginx.conf"))
            .replace("server 127.0.0.1:8080;", "server " + ONE.host() + ";")
            .replace("# server 127.0.0.1:8081;", "server " + other.host() + ";")
            .replace("listen 443 ssl;", "listen " + PORT + " ssl;")
            .replace("listen 80;", "listen " + Script.freePort() + ";")
            .replace("lantern.example.org", "localhost")
            .replaceAll("/etc/ssl/certs/.*pem", place + "/cert.pem")
            .replaceAll("/etc/ssl/private/.*key", place + "/key.pem");
    assertThat(site).contains(ONE.host(), other.host(), "listen " + PORT);
    Files.writeString(
        place.resolve("nginx.conf"),
        """
        daemon off; pid %s/pid; error_log %1$s/error.log;
        events {}
        http {
          access_log off; client_body_temp_path %1$s/body; proxy_temp_path %1$s/proxy;
          fastcgi_temp_path %1$s/f; uwsgi_temp_path %1$s/u; scgi_temp_path %1$s/s;
          %s
        }
        """
            .formatted(place, site));
    nginx =
        new ProcessBuilder("nginx", "-c", place + "/nginx.conf", "-e", place + "/error.log")
            .redirectErrorStream(true)
            .redirectOutput(place.resolve("said").toFile())
            .start();
    Script.output(
        "bash",
        "-c",
        "for n in $(seq 50); do curl -kfso /dev/null %s/manage/health && exit; sleep 0.2; done; cat %s/error.log; exit 1"
            .formatted(ADDRESS, place));
  }

  @AfterAll
  static void close() {
    nginx.destroy();
    nginx.onExit().join();
    other.close();
    ONE.close();
  }

  private static String curl(String... more) {
    List<String> command =
        new java.util.ArrayList<>(
            List.of("curl", "-ksS", "-b", place + "/jar", "-c", place + "/jar"));
    command.addAll(List.of(more));
    return Script.output(command.toArray(String[]::new));
  }

  /** A write with the token that the visit has now. */
  private static String write(String method, String path, String body) {
    String token =
        Script.output("bash", "-c", "awk '$6 == \"XSRF-TOKEN\" {print $7}' %s/jar".formatted(place))
            .strip();
    return curl(
        "-w",
        " %{http_code}",
        "-X",
        method,
        ADDRESS + path,
        "-d",
        body,
        "-H",
        "Content-Type: application/json",
        "-H",
        "X-XSRF-TOKEN: " + token,
        "-H",
        "Command-Id: " + java.util.UUID.randomUUID());
  }

  @DisplayName(
      "A visit, its reads and its writes go to either server; each sees what the other did")
  @Test
  void eitherServer() throws IOException {
    String link = ONE.command("account", EMAIL);
    assertThat(link).startsWith(ADDRESS + "/enter#");
    String code = link.substring(link.indexOf('#') + 1);
    curl(ADDRESS + "/api/me");
    assertThat(
            write(
                "POST",
                "/api/entry/visit",
                "{\"code\":\"%s\",\"password\":\"%s\",\"zone\":\"UTC\"}".formatted(code, WORDS)))
        .endsWith(" 200");
    curl(ADDRESS + "/api/me");
    String founded =
        write(
            "PUT",
            "/api/foundings/" + java.util.UUID.randomUUID(),
            "{\"name\":\"Attic\",\"person\":\"Nora Field\",\"zone\":\"UTC\"}");
    assertThat(founded).endsWith(" 200");
    String group = founded.replaceAll(".*\"id\":\"(\\w+)\".*", "$1");
    for (int n : IntStream.range(0, 12).toArray()) {
      assertThat(
              write(
                  "POST",
                  "/api/groups/" + group + "/folders",
                  "{\"name\":\"Folder %d\"}".formatted(n)))
          .as("folder " + n)
          .containsPattern(" 20\\d$");
      assertThat(curl(ADDRESS + "/api/groups/" + group + "/folders"))
          .contains("Folder " + n + "\"");
    }
    assertThat(ONE.log()).contains("/api/groups/{group}/folders");
    assertThat(other.log()).contains("/api/groups/{group}/folders");
    assertThat(Files.readString(place.resolve("jar")))
        .as("over TLS only")
        .containsPattern("TRUE\\s+\\d+\\s+lantern");
    assertThat(curl("-o", "/dev/null", "-w", "%{http_code}", ADDRESS + "/manage/health"))
        .isEqualTo("200");
  }
}
