package org.quietlantern.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** A demo of its own, started and stopped by the script that a user has. */
final class Lantern implements AutoCloseable {
  static final String PASSWORD = "lamp-at-dusk";
  private final Path data;
  private final int port = Script.freePort();

  private Lantern() {
    data = Path.of(Script.output("mktemp", "-d", "/tmp/lantern-e2e-XXXXXX").strip());
    Script.output("chmod", "755", data.toString());
  }

  /** With a past of two weeks, which is enough to look at. */
  static Lantern prepared() {
    Lantern lantern = new Lantern();
    PreparedDemo.copyTo(lantern.data);
    lantern.start();
    return lantern;
  }

  /** With the whole past, made anew as for somebody who starts it for the first time. */
  static Lantern whole() {
    Lantern lantern = new Lantern();
    lantern.start();
    return lantern;
  }

  void start() {
    Script.lantern("", "demo", "--data", data.toString(), "--port", Integer.toString(port));
  }

  /**
   * Records of a copied demo name the port at which texts were when it was made; another one may be
   * there now. From here on they name that of this demo.
   */
  Lantern withTexts() {
    try {
      String here = read("texts.port");
      query(
          "update publication set fields = regexp_replace(fields::text,"
              + " '127[.]0[.]0[.]1:[0-9]+/(doc|early|copies)', '127.0.0.1:"
              + here
              + "/\\1', 'g')::jsonb where fields::text like '%127.0.0.1:%'"
              + " and fields::text not like '%127.0.0.1:"
              + here
              + "/%'");
      query(
          "update copy_request set reference = regexp_replace(reference,"
              + " '//127[.]0[.]0[.]1:[0-9]+/', '//127.0.0.1:"
              + read("stand-ins.port")
              + "/')");
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return this;
  }

  /** Below the world outside: a list of feeds, a feed of a journal. */
  String outside(String path) {
    try {
      return "http://127.0.0.1:" + read("stand-ins.port") + path;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** The last letter that left, as its mail server shows it. */
  String letters() {
    try {
      String mail = "http://127.0.0.1:" + read("stand-ins.port") + "/mail";
      Matcher last = Pattern.compile("href=\"/mail/(\\d+)\"").matcher(get(mail));
      return last.find() ? get(mail + "/" + last.group(1)) : "";
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** The latest letter to somebody whose subject has a word; waits until there is one. */
  String letterTo(String email, String word) {
    Pattern one =
        Pattern.compile("href=\"/mail/(\\d+)\">([^<]*)</a> to " + Pattern.quote(email) + "<");
    try {
      String mail = "http://127.0.0.1:" + read("stand-ins.port") + "/mail";
      for (int tried = 0; tried < 60; tried++) {
        Matcher letters = one.matcher(get(mail));
        while (letters.find()) {
          if (letters.group(2).contains(word)) {
            return get(mail + "/" + letters.group(1));
          }
        }
        Thread.sleep(500);
      }
      throw new IllegalStateException("no letter to " + email + " came");
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stop);
    }
  }

  private static String get(String address) throws IOException {
    try (InputStream page = URI.create(address).toURL().openStream()) {
      return new String(page.readAllBytes(), StandardCharsets.UTF_8);
    }
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

  /**
   * Another whole server on the same database, with an index of its own; waits until it answers.
   */
  Process another() {
    try {
      Path running = Path.of("/proc", read("server.pid"));
      Path own = Files.createDirectory(data.resolve("another"));
      Files.copy(data.resolve("secret.key"), own.resolve("secret.key"));
      int other = Script.freePort();
      List<String> command =
          Stream.of(Files.readString(running.resolve("cmdline")).split("\0"))
              .map(part -> part.startsWith("--server.port=") ? "--server.port=" + other : part)
              .map(part -> part.startsWith("--lantern.data=") ? "--lantern.data=" + own : part)
              .toList();
      ProcessBuilder builder =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(own.resolve("server.log").toFile());
      for (String part : Files.readString(running.resolve("environ")).split("\0")) {
        int sign = part.indexOf('=');
        if (sign > 0) {
          builder.environment().put(part.substring(0, sign), part.substring(sign + 1));
        }
      }
      Process another = builder.start();
      for (int tried = 0; tried < 240; tried++) {
        Thread.sleep(500);
        if (answers("http://localhost:" + other)) {
          return another;
        }
      }
      another.destroyForcibly();
      throw new IllegalStateException(Files.readString(own.resolve("server.log")));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stop);
    }
  }

  private static boolean answers(String address) {
    try {
      return !get(address).isEmpty();
    } catch (IOException notYet) {
      return false;
    }
  }

  /** Asks the demo's database. */
  String query(String sql) {
    return Script.output(Script.psql(data, "-c", sql)).strip();
  }

  /** A visit to the database that stays open, and holds its locks, until it is closed. */
  final class Session implements AutoCloseable {
    private final Process process;
    private final BufferedReader said;

    private Session() throws IOException {
      process = Script.psql(data).redirectErrorStream(true).start();
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

  @Override
  public void close() {
    Script.lantern("", "stop", "--data", data.toString());
    Script.output("rm", "-rf", data.toString());
  }
}
