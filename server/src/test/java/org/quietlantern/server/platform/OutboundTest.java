package org.quietlantern.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import com.sun.net.httpserver.HttpsConfigurator;
import com.sun.net.httpserver.HttpsServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.standins.Outside;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;

class OutboundTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "127.0.0.1",
        "10.1.2.3",
        "172.16.0.1",
        "192.168.1.1",
        "169.254.1.1",
        "100.64.0.1",
        "0.0.0.0",
        "198.18.0.1",
        "192.0.0.8",
        "224.0.0.1",
        "255.255.255.255",
        "::1",
        "fe80::1",
        "fd00::1",
        "64:ff9b::7f00:1",
        "2002:7f00:1::",
        "::ffff:10.0.0.1",
        "2001::1"
      })
  void whatIsNotPublicIsRefused(String address) throws IOException {
    assertThat(PublicAddress.isPublic(InetAddress.getByName(address))).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"93.184.215.14", "2a00:1450::1", "64:ff9b::5db8:d70e"})
  void thePublicIsLetThrough(String address) throws IOException {
    assertThat(PublicAddress.isPublic(InetAddress.getByName(address))).isTrue();
  }

  private static Outbound outbound(List<String> allowed) {
    return new Outbound(
        new LanternProperties(
            Path.of("."),
            "",
            false,
            Duration.ofMinutes(1),
            Duration.ofSeconds(2),
            "",
            "",
            "https://names.example/",
            allowed,
            new LanternProperties.Mail("", "none", "", "", "lantern@x.example", ""),
            new LanternProperties.Demo(false, null, "", 0)));
  }

  @Test
  void loopbackIsFetchedOnlyWhereItIsAllowedByName() throws IOException {
    try (Outside outside = new Outside(0, Literature.of(1, new Extent(20, 0, 0)))) {
      URI address = URI.create(outside.source("night-index") + "?verb=Identify");
      try (Outbound closed = outbound(List.of());
          Outbound open = outbound(List.of("127.0.0.1"))) {
        assertThatThrownBy(() -> closed.get(address, body -> body))
            .isInstanceOf(IOException.class)
            .hasMessageContaining("not a public address");
        int fetched = open.get(address, body -> body.readAllBytes().length).value();
        assertThat(fetched).isPositive();
        assertThatThrownBy(() -> open.get(URI.create(outside.address() + "/no"), body -> body))
            .hasMessage("answered 404 instead of 200");
      }
    }
  }

  private static Outbound.Ask put(String address, Path file) {
    Map<String, String> fields = Map.of("Authorization", "Basic c2VjcmV0");
    return new Outbound.Ask("PUT", URI.create(address), fields, null, file);
  }

  @Test
  void whereAnAnswerLeadsIsNotFollowedWithAPassword(@TempDir Path folder) throws IOException {
    Path file = Files.writeString(folder.resolve("moths.bib"), "@misc{a}");
    List<String> got = new CopyOnWriteArrayList<>();
    HttpServer server =
        HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.createContext(
        "/",
        exchange -> {
          got.add(
              exchange.getRequestURI()
                  + " "
                  + exchange.getRequestHeaders().getFirst("Authorization"));
          exchange.getRequestBody().readAllBytes();
          exchange.getResponseHeaders().set("Location", "/elsewhere");
          exchange.sendResponseHeaders(307, -1);
          exchange.close();
        });
    server.start();
    try (Outbound open = outbound(List.of("127.0.0.1"))) {
      String address = "http://127.0.0.1:" + server.getAddress().getPort() + "/here";
      Outbound.Ask ask = put(address, file);
      assertThat(open.ask(ask, null, Outbound.Told::code)).isEqualTo(307);
      assertThat(got).containsExactly("/here Basic c2VjcmV0");
      assertThat(ask).hasToString("PUT " + address);
    } finally {
      server.stop(0);
    }
  }

  @Test
  void aCertificateThatChangesToOneThatNobodyVouchesForEndsItBeforeThePassword(@TempDir Path folder)
      throws IOException, GeneralSecurityException, InterruptedException {
    Path file = Files.writeString(folder.resolve("moths.bib"), "@misc{a}");
    KeyStore known = keys(folder.resolve("known.p12"));
    KeyStore other = keys(folder.resolve("other.p12"));
    AtomicInteger got = new AtomicInteger();
    HttpsServer first = server(known, 0, got);
    int port = first.getAddress().getPort();
    System.setProperty("javax.net.ssl.trustStore", folder.resolve("known.p12").toString());
    System.setProperty("javax.net.ssl.trustStorePassword", "changeit");
    try (Outbound open = outbound(List.of("127.0.0.1"))) {
      Outbound.Ask ask = put("https://127.0.0.1:" + port + "/a.bib", file);
      assertThat(open.ask(ask, null, Outbound.Told::code)).isEqualTo(201);
      first.stop(0);
      HttpsServer second = server(other, port, got);
      try {
        assertThatThrownBy(() -> open.ask(ask, null, Outbound.Told::code))
            .hasMessageContaining("nobody whom this machine trusts");
        assertThat(got).hasValue(1);
      } finally {
        second.stop(0);
      }
    } finally {
      System.clearProperty("javax.net.ssl.trustStore");
      System.clearProperty("javax.net.ssl.trustStorePassword");
      first.stop(0);
    }
  }

  /** A certificate of its own making for this machine, with its key. */
  private static KeyStore keys(Path file)
      throws IOException, GeneralSecurityException, InterruptedException {
    String keytool = Path.of(System.getProperty("java.home"), "bin", "keytool").toString();
    Process made =
        new ProcessBuilder(
                keytool,
                "-genkeypair",
                "-keyalg",
                "EC",
                "-groupname",
                "secp256r1",
                "-alias",
                "drive",
                "-dname",
                "CN=drive",
                "-ext",
                "san=ip:127.0.0.1",
                "-validity",
                "2",
                "-storetype",
                "PKCS12",
                "-storepass",
                "changeit",
                "-keystore",
                file.toString())
            .redirectErrorStream(true)
            .start();
    String said = new String(made.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(made.waitFor()).as(said).isZero();
    // As one whom this machine trusts, and as the key of a server.
    KeyStore keys = KeyStore.getInstance(file.toFile(), "changeit".toCharArray());
    keys.setCertificateEntry("trusted", keys.getCertificate("drive"));
    try (OutputStream out = Files.newOutputStream(file)) {
      keys.store(out, "changeit".toCharArray());
    }
    return keys;
  }

  private static HttpsServer server(KeyStore keys, int port, AtomicInteger got)
      throws IOException, GeneralSecurityException {
    KeyManagerFactory managers = KeyManagerFactory.getInstance("PKIX");
    managers.init(keys, "changeit".toCharArray());
    SSLContext context = SSLContext.getInstance("TLS");
    context.init(managers.getKeyManagers(), null, null);
    HttpsServer server =
        HttpsServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
    server.setHttpsConfigurator(new HttpsConfigurator(context));
    server.createContext(
        "/",
        exchange -> {
          got.incrementAndGet();
          exchange.getRequestBody().readAllBytes();
          exchange.sendResponseHeaders(201, -1);
          exchange.close();
        });
    server.start();
    return server;
  }
}
