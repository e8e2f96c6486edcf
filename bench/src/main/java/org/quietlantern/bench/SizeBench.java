package org.quietlantern.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * An installation of each size: loaded through the real door by the script, searched over HTTP by
 * one, four and fifty members, started again with its index and without. Arguments: a folder;
 * sizes.
 */
public final class SizeBench {
  private final Path place;
  private final Serving serving;
  private final int size;

  private SizeBench(Path place, int size) throws IOException {
    this.place = place;
    this.serving = new Serving(place);
    this.size = size;
  }

  public static void main(String[] arguments) throws Exception {
    for (int n = 1; n < arguments.length; n++) {
      Path place = Path.of(arguments[0], arguments[n]);
      new SizeBench(place, Integer.parseInt(arguments[n])).run();
    }
  }

  private void run() throws Exception {
    Path file = RecordsFile.write(place.resolve("records.xml"), size);
    System.out.printf(
        Locale.ENGLISH, "%n| %,d records, %d MB of MODS | |%n|---|---|%n", size, mega(file));
    serving.start();
    Visit visit = serving.enter();
    long began = System.nanoTime();
    serving.load(file);
    double seconds = (System.nanoTime() - began) / 1e9;
    print("loaded in", "%.0f s: %.0f records a second".formatted(seconds, size / seconds));
    print("the index caught up", "%.0f s later".formatted(Serving.caughtUp(visit)));
    print("processor, milliseconds a record", "%.2f".formatted(serving.processor() * 1e3 / size));
    print("database", mega(place.resolve("data/postgres")) + " MB");
    print("index", mega(place.resolve("data/index")) + " MB");
    HttpBench http = new HttpBench(visit);
    for (Question question : Question.all()) {
      print(question.name() + ", milliseconds (95 %)", http.times(question).toString());
    }
    for (int members : List.of(1, 4, 50)) {
      print(members + " at once, answers a second", "%.0f".formatted(atOnce(members)));
    }
    print("heap used", "%.0f MB".formatted(serving.heap()));
    serving.stop();
    print("started again in", "%.1f s".formatted(serving.start()));
    serving.stop();
    delete(place.resolve("data/index"));
    print("started without an index in", "%.0f s".formatted(serving.start()));
    serving.stop();
  }

  private static void print(String what, String is) {
    System.out.printf("| %s | %s |%n", what, is);
  }

  /**
   * Searches of so many members one after the other each, as many answers as come in ten seconds.
   */
  private static double atOnce(int members) throws InterruptedException, ExecutionException {
    ExecutorService threads = Executors.newFixedThreadPool(members);
    try {
      List<Callable<Integer>> work = new ArrayList<>();
      for (int n = 0; n < members; n++) {
        Visit visit = new Visit(Serving.address()).signIn(Serving.EMAIL, Serving.WORDS);
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

  private static long mega(Path of) throws IOException {
    try (Stream<Path> files = Files.walk(of)) {
      return files.mapToLong(file -> file.toFile().length()).sum() / 1_000_000;
    }
  }

  static void delete(Path folder) throws IOException {
    try (Stream<Path> files = Files.walk(folder)) {
      for (Path file : files.sorted(java.util.Comparator.reverseOrder()).toList()) {
        Files.delete(file);
      }
    }
  }
}
