package org.quietlantern.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An installation of the bench's own: its process, which can be killed and is started again by the
 * script that runs demos.
 */
final class Installation {
  private static final Pattern USED = Pattern.compile("used (\\d+)K");
  private final Path data;

  /** Of processes that are gone: each begins its log anew. */
  private final List<String> complaints = new ArrayList<>();

  Installation(Path data) {
    this.data = data;
  }

  String address() {
    return "http://localhost:" + line("port");
  }

  String database() {
    return "jdbc:postgresql://127.0.0.1:" + line("db.port") + "/lantern";
  }

  String password() {
    return line("db.password");
  }

  /** Ends the server as a power cut does, and starts it again. */
  void kill() {
    ProcessHandle server = ProcessHandle.of(pid()).orElseThrow();
    server.destroyForcibly();
    server.onExit().join();
    complaints.addAll(inLog());
    run(600, "./lantern", "demo", "--data", data.toString());
  }

  /** MiB that are used on the heap after everything unused was thrown away. */
  double heap() {
    return heap(pid());
  }

  /** The same of any process of Java. */
  static double heap(long pid) {
    run(60, "jcmd", Long.toString(pid), "GC.run");
    Matcher used = USED.matcher(run(60, "jcmd", Long.toString(pid), "GC.heap_info"));
    double kilobytes = 0;
    // The last one is of classes, which are not on the heap.
    List<Double> all = new ArrayList<>();
    while (used.find()) {
      all.add(Double.parseDouble(used.group(1)));
    }
    for (double one : all.subList(0, 2)) {
      kilobytes += one;
    }
    return kilobytes / 1024;
  }

  /** Errors that any of its processes wrote down. */
  List<String> complaints() {
    List<String> all = new ArrayList<>(complaints);
    all.addAll(inLog());
    return all;
  }

  /** Each with where it comes from. */
  private List<String> inLog() {
    try (var lines = Files.lines(data.resolve("server.log"), StandardCharsets.UTF_8)) {
      return lines
          .filter(line -> line.contains(" ERROR ") || line.startsWith("Caused by"))
          .toList();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private long pid() {
    return Long.parseLong(line("server.pid"));
  }

  private String line(String file) {
    try {
      return Files.readString(data.resolve(file)).strip();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static String run(int seconds, String... command) {
    try {
      Path said = Files.createTempFile("soak", ".txt");
      ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
      builder.environment().put("LANTERN_NO_BUILD", "1");
      Process process = builder.redirectOutput(said.toFile()).start();
      boolean ended = process.waitFor(seconds, TimeUnit.SECONDS);
      String output = Files.readString(said);
      Files.delete(said);
      if (!ended || process.exitValue() != 0) {
        throw new IllegalStateException(String.join(" ", command) + ": " + output);
      }
      return output;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }
}
