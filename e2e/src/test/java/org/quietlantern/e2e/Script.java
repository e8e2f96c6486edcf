package org.quietlantern.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ThreadLocalRandom;

/** Runs other programs, the checkout's own script among them. */
final class Script {
  private static final int FIRST_PORT = 20_000;
  private static final int PORTS = 10_000;

  static final Path ROOT = Path.of("..").toAbsolutePath().normalize();

  private Script() {}

  /** {@code ./lantern} as it was built, with further options of the server. */
  static void lantern(String serverOptions, String... arguments) {
    ProcessBuilder builder = ofLantern(arguments);
    builder.environment().put("LANTERN_SERVER_OPTIONS", serverOptions);
    output(builder);
  }

  static ProcessBuilder ofLantern(String... arguments) {
    List<String> command = new ArrayList<>(List.of(ROOT.resolve("lantern").toString()));
    command.addAll(List.of(arguments));
    ProcessBuilder builder = new ProcessBuilder(command).directory(ROOT.toFile());
    builder.environment().put("LANTERN_NO_BUILD", "1");
    return builder;
  }

  /** What it said, on both its streams. */
  static String output(String... command) {
    return output(new ProcessBuilder(command));
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

  /** Asks the database of an installation, or of a demo, by what stands in its data folder. */
  static ProcessBuilder psql(Path data, String... more) {
    try {
      List<String> command =
          new ArrayList<>(List.of("psql", "-h", "127.0.0.1", "-U", "app", "-d", "lantern", "-Atq"));
      command.addAll(List.of("-p", Files.readString(data.resolve("db.port")).strip()));
      command.addAll(List.of(more));
      ProcessBuilder psql = new ProcessBuilder(command);
      psql.environment().put("PGPASSWORD", Files.readString(data.resolve("db.password")).strip());
      return psql;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** The only thing in a folder whose name has this form. */
  static Path only(Path folder, String glob) {
    try (DirectoryStream<Path> found = Files.newDirectoryStream(folder, glob)) {
      return found.iterator().next();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /**
   * A port that nothing listens at. Those that a system gives to outgoing connections are above
   * these: one of them would be free now, and taken when it is used again.
   */
  static int freePort() {
    for (int tries = 0; tries < PORTS; tries++) {
      int port = FIRST_PORT + ThreadLocalRandom.current().nextInt(PORTS);
      try (ServerSocket socket = new ServerSocket(port)) {
        return socket.getLocalPort();
      } catch (IOException taken) {
        // The next one.
      }
    }
    throw new IllegalStateException("no port is free");
  }
}
