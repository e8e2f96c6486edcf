package org.quietlantern.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;

/**
 * An installation of each size: loaded through the real door by the script, searched over HTTP by
 * one, four and fifty members, started again with its index and without. Arguments: a folder;
 * sizes.
 */
public final class SizeBench {
  private static final String EMAIL = "bench@house.example";
  private static final String WORDS = "words-for-the-bench";
  private static final int PORT = 8377;
  private static final int DATABASE_PORT = 15877;
  private final Path place;
  private final Path config;
  private final int size;
  private Process server;

  private SizeBench(Path place, int size) {
    this.place = place;
    this.config = place.resolve("lantern.conf");
    this.size = size;
  }

  public static void main(String[] arguments) throws Exception {
    for (int n = 1; n < arguments.length; n++) {
      Path place = Path.of(arguments[0], arguments[n]);
      new SizeBench(place, Integer.parseInt(arguments[n])).run();
    }
  }

  private void run() throws Exception {
    Files.createDirectories(place);
    Files.write(
        config,
        List.of(
            "port = " + PORT,
            "base-url = http://localhost:" + PORT,
            "database-port = " + DATABASE_PORT,
            "backup-hour = never",
            "data = " + place.resolve("data")));
    Path file = RecordsFile.write(place.resolve("records.xml"), size);
    System.out.printf(
        Locale.ENGLISH, "%n| %,d records, %d MB of MODS | |%n|---|---|%n", size, mega(file));
    start();
    Visit visit = enter();
    long began = System.nanoTime();
    lantern("load", file.toString(), "--into", "Made up");
    double seconds = (System.nanoTime() - began) / 1e9;
    print("loaded in", "%.0f s: %.0f records a second".formatted(seconds, size / seconds));
    print("the index caught up", "%.0f s later".formatted(caughtUp(visit)));
    print("processor, milliseconds a record", "%.2f".formatted(processor() * 1e3 / size));
    print("database", mega(place.resolve("data/postgres")) + " MB");
    print("index", mega(place.resolve("data/index")) + " MB");
    HttpBench http = new HttpBench(visit);
    for (Question question : Question.all()) {
      print(question.name() + ", milliseconds (95 %)", http.times(question).toString());
    }
    for (int members : List.of(1, 4, 50)) {
      print(members + " at once, answers a second", "%.0f".formatted(atOnce(members)));
    }
    print("heap used", "%.0f MB".formatted(heap()));
    stop();
    print("started again in", "%.1f s".formatted(start()));
    stop();
    delete(place.resolve("data/index"));
    print("started without an index in", "%.0f s".formatted(start()));
    stop();
  }

  private static void print(String what, String is) {
    System.out.printf("| %s | %s |%n", what, is);
  }

  /** Answers how many seconds it took. */
  private double start() throws IOException {
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

  private void stop() {
    server.destroy();
    server.onExit().join();
  }

  /** By a link, as the first steward does. */
  private Visit enter() throws IOException {
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

  /**
   * Searches of so many members one after the other each, as many answers as come in ten seconds.
   */
  private static double atOnce(int members) throws InterruptedException, ExecutionException {
    ExecutorService threads = Executors.newFixedThreadPool(members);
    try {
      List<Callable<Integer>> work = new ArrayList<>();
      for (int n = 0; n < members; n++) {
        Visit visit = new Visit("http://localhost:" + PORT).signIn(EMAIL, WORDS);
        work.add(() -> searches(visit));
      }
      long began = System.nanoTime();
      int answers = 0;
      for (Future<Integer> one : threads.invokeAll(work)) {
        answers += one.get();
      }
      return answers / ((System.nanoTime() - began) / 1e9);
    } finally {
      threads.shutdown();
    }
  }

  private static int searches(Visit visit) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(10);
    List<String> words = List.of("moth*", "light", "bat or owl", "title: lamp", "dimming not road");
    int answers = 0;
    while (System.nanoTime() < end) {
      String text = words.get(answers % words.size());
      visit.inGroup("POST", "/search", "{\"text\":\"%s\"}".formatted(text));
      answers++;
    }
    return answers;
  }

  /** Seconds until everything that is loaded can be found. */
  private static double caughtUp(Visit visit) {
    long began = System.nanoTime();
    while (!Visit.found("\"lag\":\\{\"index\":(\\d+)", visit.inGroup("GET", "/house", ""))
        .equals("0")) {
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(200));
    }
    return (System.nanoTime() - began) / 1e9;
  }

  /** Seconds of processors that the server and its database have used since they started. */
  private double processor() throws IOException {
    String postmaster = Files.readAllLines(place.resolve("data/postgres/postmaster.pid")).get(0);
    ProcessHandle database = ProcessHandle.of(Long.parseLong(postmaster)).orElseThrow();
    return Stream.concat(server.descendants(), database.descendants())
            .map(process -> process.info().totalCpuDuration().orElse(Duration.ZERO))
            .reduce(Duration.ZERO, Duration::plus)
            .toMillis()
        / 1e3;
  }

  private double heap() throws IOException {
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

  private static long mega(Path of) throws IOException {
    try (Stream<Path> files = Files.walk(of)) {
      return files.mapToLong(file -> file.toFile().length()).sum() / 1_000_000;
    }
  }

  private static void delete(Path folder) throws IOException {
    try (Stream<Path> files = Files.walk(folder)) {
      for (Path file : files.sorted(java.util.Comparator.reverseOrder()).toList()) {
        Files.delete(file);
      }
    }
  }
}
