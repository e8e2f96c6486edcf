package org.quietlantern.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** A demo of its own, started and stopped by the script that a user has. */
final class Lantern implements AutoCloseable {
  static final String PASSWORD = "lamp-at-dusk";
  private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
  private final Path data;
  private final int port = freePort();

  /** With a past of two weeks, which is enough to look at. */
  Lantern() {
    this("--lantern.demo.past-days=14");
  }

  /** With further options of the server. */
  Lantern(String serverOptions) {
    try {
      data = Files.createTempDirectory(Path.of("/tmp"), "lantern-e2e");
      data.toFile().setExecutable(true, false);
      data.toFile().setReadable(true, false);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    startWith(serverOptions);
  }

  void start() {
    startWith("");
  }

  /** Starts with further options of the server. */
  void startWith(String serverOptions) {
    run(serverOptions, "demo", "--data", data.toString(), "--port", Integer.toString(port));
  }

  String address() {
    return "http://localhost:" + port;
  }

  Path data() {
    return data;
  }

  /** Ends the server as a power cut does. */
  void kill() {
    try {
      long pid = Long.parseLong(read("server.pid"));
      ProcessHandle server = ProcessHandle.of(pid).orElseThrow();
      server.destroyForcibly();
      server.onExit().join();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Asks the demo's database. */
  String query(String sql) {
    try {
      return output(psql("-c", sql)).strip();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private ProcessBuilder psql(String... more) throws IOException {
    List<String> command =
        new ArrayList<>(
            List.of(
                "psql",
                "-h",
                "127.0.0.1",
                "-p",
                read("db.port"),
                "-U",
                "app",
                "-d",
                "lantern",
                "-Atq"));
    command.addAll(List.of(more));
    ProcessBuilder psql = new ProcessBuilder(command);
    psql.environment().put("PGPASSWORD", read("db.password"));
    return psql;
  }

  /** A visit to the database that stays open, and holds its locks, until it is closed. */
  final class Session implements AutoCloseable {
    private final Process process;
    private final BufferedReader said;

    private Session() throws IOException {
      process = psql().redirectErrorStream(true).start();
      said = process.inputReader(StandardCharsets.UTF_8);
    }

    /** Runs statements and waits until they are done. */
    void run(String sql) {
      try {
        Writer in = process.outputWriter(StandardCharsets.UTF_8);
        in.write(sql + " select 'done';\n");
        in.flush();
        String line = said.readLine();
        while (!line.equals("done")) {
          line = said.readLine();
        }
      } catch (IOException failed) {
        throw new UncheckedIOException(failed);
      }
    }

    @Override
    public void close() {
      process.destroy();
      process.onExit().join();
    }
  }

  Session session() {
    try {
      return new Session();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private String read(String file) throws IOException {
    return Files.readString(data.resolve(file)).strip();
  }

  private static void run(String serverOptions, String... arguments) {
    List<String> command = new ArrayList<>(List.of(ROOT.resolve("lantern").toString()));
    command.addAll(List.of(arguments));
    ProcessBuilder builder = new ProcessBuilder(command).directory(ROOT.toFile());
    builder.environment().put("LANTERN_NO_BUILD", "1");
    builder.environment().put("LANTERN_SERVER_OPTIONS", serverOptions);
    output(builder);
  }

  static String output(ProcessBuilder builder) {
    try {
      Process process = builder.redirectErrorStream(true).start();
      String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      if (process.waitFor() != 0) {
        throw new IllegalStateException(builder.command() + " failed:\n" + said);
      }
      return said;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }

  private static int freePort() {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    } catch (IOException none) {
      throw new UncheckedIOException(none);
    }
  }

  @Override
  public void close() {
    run("", "stop", "--data", data.toString());
    output(new ProcessBuilder("rm", "-rf", data.toString()));
  }
}
