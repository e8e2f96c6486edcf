package org.quietlantern.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;

/** An installation in a place of its own, served by the script as an administrator does. */
final class Serving {
  static final String EMAIL = "bench@house.example";
  static final String WORDS = "words-for-the-bench";
  static final int PORT = 8377;
  private static final int DATABASE_PORT = 15877;
  private final Path place;
  private final Path config;
  private Process server;

  Serving(Path place) throws IOException {
    this(place, List.of());
  }

  /** {@code settings}: further lines of its file of settings. */
  Serving(Path place, List<String> settings) throws IOException {
    this.place = place;
    this.config = place.resolve("lantern.conf");
    Files.createDirectories(place);
    List<String> lines =
        new ArrayList<>(
            List.of(
                "port = " + PORT,
                "base-url = http://localhost:" + PORT,
                "database-port = " + DATABASE_PORT,
                "backup-hour = never",
                "data = " + place.resolve("data")));
    lines.addAll(settings);
    Files.write(config, lines);
  }

  static String address() {
    return "http://localhost:" + PORT;
  }

  String database() {
    return "jdbc:postgresql://127.0.0.1:" + DATABASE_PORT + "/lantern";
  }

  String databasePassword() throws IOException {
    return Files.readString(place.resolve("data/db.password")).strip();
  }

  /** Loads a file of records by the script. */
  void load(Path file) throws IOException {
    lantern("load", file.toString(), "--into", "Made up");
  }

  /** Answers how many seconds it took. */
  double start() throws IOException {
    long began = System.nanoTime();
    server = script("serve").redirectOutput(place.resolve("serve.log").toFile()).start();
    Visit stranger = new Visit("http://localhost:" + PORT);
    while (!isThere(stranger)) {
      if (!server.isAlive()) {
        throw new IllegalStateException("it ended; see " + place.resolve("serve.log"));
      }
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
    }
    return (System.nanoTime() - began) / 1e9;
  }

  private static boolean isThere(Visit stranger) {
    try {
      return stranger.ask("GET", "/manage/health", "", UUID.randomUUID()).statusCode() == 200;
    } catch (IOException notYet) {
      return false;
    }
  }

  void stop() {
    server.destroy();
    server.onExit().join();
  }

  /** By a link, as the first steward does. */
  Visit enter() throws IOException {
    String link = lantern("account", EMAIL).strip();
    String code = link.substring(link.lastIndexOf('#') + 1);
    Visit visit = new Visit("http://localhost:" + PORT);
    visit.send("GET", "/api/me", "");
    visit.send(
        "POST",
        "/api/entry/visit",
        "{\"code\":\"%s\",\"password\":\"%s\",\"zone\":\"UTC\"}".formatted(code, WORDS));
    visit.send(
        "PUT",
        "/api/foundings/" + UUID.randomUUID(),
        "{\"name\":\"Bench\",\"person\":\"Ben Ch\",\"zone\":\"Europe/Oslo\"}");
    return new Visit("http://localhost:" + PORT).signIn(EMAIL, WORDS);
  }

  /** Seconds until everything that is loaded can be found. */
  static double caughtUp(Visit visit) {
    long began = System.nanoTime();
    while (!Visit.found("\"lag\":\\{\"index\":(\\d+)", visit.inGroup("GET", "/house", ""))
        .equals("0")) {
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(200));
    }
    return (System.nanoTime() - began) / 1e9;
  }

  /** Seconds of processors that the server and its database have used since they started. */
  double processor() throws IOException {
    String postmaster = Files.readAllLines(place.resolve("data/postgres/postmaster.pid")).get(0);
    ProcessHandle database = ProcessHandle.of(Long.parseLong(postmaster)).orElseThrow();
    return Stream.concat(server.descendants(), database.descendants())
            .map(process -> process.info().totalCpuDuration().orElse(Duration.ZERO))
            .reduce(Duration.ZERO, Duration::plus)
            .toMillis()
        / 1e3;
  }

  double heap() throws IOException {
    long java =
        server
            .descendants()
            .filter(process -> process.info().command().orElse("").endsWith("java"))
            .findFirst()
            .orElseThrow()
            .pid();
    return Installation.heap(java);
  }

  private ProcessBuilder script(String... words) {
    List<String> command = new ArrayList<>(List.of("./lantern"));
    command.addAll(List.of(words));
    command.addAll(List.of("--config", config.toString()));
    ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
    builder.environment().put("LANTERN_NO_BUILD", "1");
    return builder;
  }

  private String lantern(String... words) throws IOException {
    Process process = script(words).start();
    String said =
        new String(
            process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
    if (process.onExit().join().exitValue() != 0) {
      throw new IllegalStateException(said);
    }
    return said;
  }
}
