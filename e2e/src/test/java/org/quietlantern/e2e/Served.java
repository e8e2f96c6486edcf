package org.quietlantern.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** An installation without demo, unpacked in a place of its own, as docs/installing.md has it. */
final class Served implements AutoCloseable {
  private static Path archive;
  private static final Duration START = Duration.ofMinutes(3);
  private final Path place =
      Path.of(Script.output("mktemp", "-d", "/tmp/lantern-e2e-XXXXXX").strip());
  private final Path config = place.resolve("lantern.conf");
  private final int port = Script.freePort();
  private final Path unpacked;
  private Process process;

  /** Without copies of its own accord. */
  Served() {
    this("never");
  }

  /** {@code backupHour}: from which hour on it copies itself every day. */
  Served(String backupHour) {
    Script.output("chmod", "755", place.toString());
    Script.output("tar", "-xzf", archive().toString(), "-C", place.toString());
    unpacked = Script.only(place, "quiet-lantern-*");
    try {
      Files.write(
          config,
          List.of(
              "port = " + port,
              "base-url = " + address(),
              "data = " + place.resolve("data"),
              "database-port = " + Script.freePort(),
              "memory = 700m",
              "backup-hour = " + backupHour,
              "outbound-allowed = 127.0.0.1"));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Made once of what was built, whichever process needs it first; the others wait. */
  static synchronized Path archive() {
    if (archive == null) {
      ProcessBuilder make =
          new ProcessBuilder(
                  "bash",
                  "-c",
                  "exec 9>/tmp/lantern-e2e-archive.lock; flock 9; made=target/package/*.tar.gz;"
                      + " newer() { find lantern bin install docs server/target/*.jar -type f -newer $made; };"
                      + " [ -f $made ] && [ -z \"$(newer)\" ] || ./lantern package 9>&-;"
                      + " realpath $made")
              .directory(Script.ROOT.toFile());
      make.environment().put("LANTERN_NO_BUILD", "1");
      // What packaging says comes before it.
      String said = Script.output(make).strip();
      archive = Path.of(said.substring(said.lastIndexOf('\n') + 1));
    }
    return archive;
  }

  private ProcessBuilder unpacked(String... words) {
    List<String> command = new ArrayList<>(List.of(unpacked + "/lantern"));
    command.addAll(List.of(words));
    command.addAll(List.of("--config", "lantern.conf"));
    return new ProcessBuilder(command).directory(place.toFile());
  }

  /** With a further line of settings, which replaces one that is there. */
  Served with(String line) {
    try {
      String name = line.substring(0, line.indexOf(' ') + 1);
      List<String> lines = new ArrayList<>(Files.readAllLines(config));
      lines.removeIf(other -> other.startsWith(name));
      lines.add(line);
      Files.write(config, lines);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return this;
  }

  /** Reached by way of a proxy there. */
  Served at(String address) {
    return with("base-url = " + address);
  }

  String host() {
    return "127.0.0.1:" + port;
  }

  String address() {
    return "http://localhost:" + port;
  }

  /** Starts it and waits until it answers. */
  Served start() {
    try {
      ProcessBuilder serve =
          unpacked("serve")
              .redirectErrorStream(true)
              .redirectOutput(place.resolve("serve.log").toFile());
      serve.environment().put("LANTERN_COPIES_AFTER", "3");
      process = serve.start();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    long end = System.nanoTime() + START.toNanos();
    while (!isHealthy()) {
      if (!process.isAlive() || System.nanoTime() > end) {
        throw new IllegalStateException(
            Script.output("cat", place.resolve("serve.log").toString()));
      }
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(200));
    }
    return this;
  }

  private boolean isHealthy() {
    HttpRequest health =
        HttpRequest.newBuilder(URI.create(address() + "/manage/health")).timeout(START).build();
    try {
      return HttpClient.newHttpClient()
              .send(health, HttpResponse.BodyHandlers.discarding())
              .statusCode()
          == 200;
    } catch (IOException notYet) {
      return false;
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }

  /** Asks it to end, as the machine does that goes down. */
  void stop() {
    if (process != null) {
      process.destroy();
      process.onExit().join();
    }
  }

  /** Ends script and server as a power cut does; its database is left alone. */
  void kill() {
    process.descendants().forEach(ProcessHandle::destroyForcibly);
    process.destroyForcibly();
    process.onExit().join();
  }

  /** The last line of what a command of this installation said. */
  String command(String... words) {
    String said = Script.output(unpacked(words)).strip();
    return said.substring(said.lastIndexOf('\n') + 1);
  }

  /** A new folder of its own. */
  Path folder(String name) {
    return place.resolve(name);
  }

  /** What stands in each table, as one sum; sessions come and go. */
  Map<String, String> tables() {
    Map<String, String> sums = new TreeMap<>();
    for (String table :
        query(
                "select tablename from pg_tables where schemaname = 'public'"
                    + " and tablename not like 'spring_session%' order by 1")
            .split("\n")) {
      sums.put(
          table,
          query(
              "select count(*) || ' ' || coalesce(md5(string_agg(t::text, '' order by t::text)), '')"
                  + " from "
                  + table
                  + " t"));
    }
    return sums;
  }

  /** Puts a database of a released version in place of its own; it has to run, and is stopped. */
  void becomes(Path dump) {
    query("drop schema public cascade; create schema public");
    Script.output(
        Script.psql(
            place.resolve("data"),
            "-v",
            "ON_ERROR_STOP=1",
            "-o",
            "/dev/null",
            "-f",
            dump.toString()));
    // Its key was not kept with it.
    query("delete from installation_secret");
    stop();
  }

  /** What it said since it was started last. */
  String log() {
    return Script.output("cat", place.resolve("serve.log").toString());
  }

  String query(String sql) {
    return Script.output(Script.psql(place.resolve("data"), "-c", sql)).strip();
  }

  @Override
  public void close() {
    stop();
    Script.output("rm", "-rf", place.toString());
  }
}
