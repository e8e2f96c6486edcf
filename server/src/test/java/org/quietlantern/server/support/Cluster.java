package org.quietlantern.server.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;

/** A throw-away PostgreSQL cluster, one a JVM; it ends with the JVM, however that ends. */
final class Cluster {
  private static final Cluster ONE = new Cluster();
  private final AtomicInteger databases = new AtomicInteger();
  private final int port = freePort();

  private Cluster() {
    try {
      start();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Makes a new database and answers its address. */
  static String newDatabase() {
    String name = "test" + ONE.databases.incrementAndGet();
    try (Connection connection = DriverManager.getConnection(ONE.url("postgres"), "app", "")) {
      connection.createStatement().execute("create database " + name);
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
    return ONE.url(name);
  }

  /** Keeps everybody out of a database, those inside too; or lets them in again. */
  static void letIn(String url, boolean in) {
    String name = url.substring(url.lastIndexOf('/') + 1);
    try (Connection connection = DriverManager.getConnection(ONE.url("postgres"), "app", "");
        Statement statement = connection.createStatement()) {
      statement.execute("alter database " + name + " with allow_connections " + in);
      if (!in) {
        statement.execute(
            "select pg_terminate_backend(pid) from pg_stat_activity where datname = '"
                + name
                + "'");
      }
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
  }

  private String url(String database) {
    return "jdbc:postgresql://127.0.0.1:" + port + "/" + database;
  }

  private void start() throws IOException {
    Path folder = Files.createTempDirectory(Path.of("/tmp"), "lantern-test");
    boolean root = System.getProperty("user.name").equals("root");
    if (root) {
      run(List.of("chown", "postgres", folder.toString()));
    }
    List<String> initdb =
        as(
            root,
            program("initdb"),
            "-D",
            folder + "/db",
            "-U",
            "app",
            "-A",
            "trust",
            "-E",
            "UTF8",
            "--locale=C.UTF-8",
            "--no-sync");
    run(initdb);
    String postgres =
        "%s -D %s/db -p %d -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c fsync=off"
                .formatted(program("postgres"), folder, port)
            + " -c synchronous_commit=off -c full_page_writes=off -c max_connections=60";
    // The shell ends the server when its standard input closes, as it does when this JVM dies.
    String guarded =
        postgres
            + " >%s/log 2>&1 & p=$!; cat >/dev/null; kill -INT $p; wait $p; rm -rf %s/db"
                .formatted(folder, folder);
    new ProcessBuilder(as(root, "sh", "-c", guarded)).directory(new java.io.File("/")).start();
    waitUntilReady();
  }

  private static List<String> as(boolean root, String... command) {
    List<String> all = new ArrayList<>();
    if (root) {
      all.addAll(List.of("runuser", "-u", "postgres", "--"));
    }
    all.addAll(List.of(command));
    return all;
  }

  private static void run(List<String> command) throws IOException {
    Process process =
        new ProcessBuilder(command)
            .directory(new java.io.File("/"))
            .redirectErrorStream(true)
            .start();
    String said =
        new String(
            process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
    try {
      if (process.waitFor() != 0) {
        throw new IOException(command + " failed: " + said);
      }
    } catch (InterruptedException stop) {
      throw new IOException(stop);
    }
  }

  private void waitUntilReady() {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(30);
    while (true) {
      try {
        DriverManager.getConnection(url("postgres"), "app", "").close();
        return;
      } catch (SQLException notYet) {
        if (System.nanoTime() > end) {
          throw new IllegalStateException(notYet);
        }
        java.util.concurrent.locks.LockSupport.parkNanos(50_000_000);
      }
    }
  }

  private static String program(String name) {
    try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
      return versions
          .map(v -> v.resolve("bin").resolve(name))
          .filter(Files::isExecutable)
          .max(Comparator.naturalOrder())
          .orElseThrow(() -> new IllegalStateException("PostgreSQL is not installed"))
          .toString();
    } catch (IOException none) {
      throw new UncheckedIOException(none);
    }
  }

  private static int freePort() {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    } catch (IOException none) {
      throw new UncheckedIOException(none);
    }
  }
}
