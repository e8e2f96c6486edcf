package org.quietlantern.server.harvest;

import com.sun.net.httpserver.HttpHandler;
import com.sun.net.httpserver.HttpsConfigurator;
import com.sun.net.httpserver.HttpsServer;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;

/** A server with TLS whose certificate it made for itself. */
final class SelfSigned {
  private static final String PASSWORD = "of-the-test";

  private SelfSigned() {}

  static HttpsServer server(Path folder, HttpHandler answer) throws Exception {
    Path store = folder.resolve("keys.p12");
    String tool = Path.of(System.getProperty("java.home"), "bin", "keytool").toString();
    new ProcessBuilder(
            tool,
            "-genkeypair",
            "-alias",
            "own",
            "-keyalg",
            "EC",
            "-dname",
            "CN=127.0.0.1",
            "-ext",
            "san=ip:127.0.0.1",
            "-storetype",
            "PKCS12",
            "-storepass",
            PASSWORD,
            "-keystore",
            store.toString())
        .inheritIO()
        .start()
        .waitFor();
    KeyStore keys = KeyStore.getInstance("PKCS12");
    try (InputStream in = Files.newInputStream(store)) {
      keys.load(in, PASSWORD.toCharArray());
    }
    KeyManagerFactory managers =
        KeyManagerFactory.getInstance(KeyManagerFactory.getDefaultAlgorithm());
    managers.init(keys, PASSWORD.toCharArray());
    SSLContext tls = SSLContext.getInstance("TLS");
    tls.init(managers.getKeyManagers(), null, null);
    HttpsServer server =
        HttpsServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.setHttpsConfigurator(new HttpsConfigurator(tls));
    server.createContext("/", answer);
    server.start();
    return server;
  }
}
