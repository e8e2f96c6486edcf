package org.quietlantern.server.reading;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.quietlantern.core.text.NotedPdf;
import org.quietlantern.core.text.TakenText;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Component;

/**
 * Has files of others read and written by a process beside this one ({@link TextWorkerMain}), one
 * at a time.
 */
@Component
class TextWorker implements AutoCloseable {
  private static final Duration LONGEST = Duration.ofSeconds(60);
  private static final String MEMORY = "384m";
  private static final String MAIN = TextWorkerMain.class.getName();

  /** What starts a class that is packed with its libraries in one archive. */
  private static final String LAUNCHER =
      "org.springframework.boot.loader.launch.PropertiesLauncher";

  private static final String TOO_MUCH =
      "The file needs more memory to be read than there is for one.";
  private final Path folder;
  private final Json json;
  private @Nullable Process process;
  private @Nullable BufferedReader answers;

  TextWorker(LanternProperties properties, Json json) {
    this.folder = properties.data().resolve("reading");
    this.json = json;
  }

  /** Throws {@link TakenText.Unreadable} with a sentence for people. */
  TakenText take(TakenText.Form form, byte[] content) throws TakenText.Unreadable {
    return work(
        content,
        file -> {
          ask(form.name(), file);
          return json.read(Files.readString(values(file)), TakenText.class);
        });
  }

  /** A PDF with notes in it; throws {@link TakenText.Unreadable} with a sentence for people. */
  byte[] write(byte[] pdf, List<NotedPdf.Note> notes) throws TakenText.Unreadable {
    return work(
        pdf,
        file -> {
          Files.writeString(values(file), json.write(notes));
          ask(TextWorkerMain.NOTED, file);
          return Files.readAllBytes(noted(file));
        });
  }

  private interface Work<T> {
    T on(Path file) throws IOException, TakenText.Unreadable;
  }

  private synchronized <T> T work(byte[] content, Work<T> work) throws TakenText.Unreadable {
    try {
      Files.createDirectories(folder);
      Path file = Files.createTempFile(folder, "text", "");
      try {
        Files.write(file, content);
        return work.on(file);
      } finally {
        Files.deleteIfExists(file);
        Files.deleteIfExists(values(file));
        Files.deleteIfExists(noted(file));
      }
    } catch (IOException noRoom) {
      throw new IllegalStateException("a text could not be looked at: " + noRoom, noRoom);
    }
  }

  private static Path values(Path file) {
    return Path.of(file + ".json");
  }

  private static Path noted(Path file) {
    return Path.of(file + ".pdf");
  }

  private void ask(String what, Path file) throws IOException, TakenText.Unreadable {
    String answer = answered(what + " " + file.toAbsolutePath() + "\n");
    if (!answer.equals("ok")) {
      throw new TakenText.Unreadable(answer.replaceFirst("^no ", ""));
    }
  }

  private String answered(String line) throws IOException {
    boolean isFresh = process == null || !process.isAlive();
    if (isFresh) {
      start();
    }
    String answer = answer(line);
    // One that was there may have ended for another reason; the file is tried once more.
    if (answer == null && !isFresh) {
      start();
      answer = answer(line);
    }
    return answer == null ? "no " + TOO_MUCH : answer;
  }

  /** Null: the process ended over it. */
  private @Nullable String answer(String line) throws IOException {
    BufferedReader reader = answers;
    try {
      OutputStream out = process.getOutputStream();
      out.write(line.getBytes(StandardCharsets.UTF_8));
      out.flush();
    } catch (IOException ended) {
      return null;
    }
    CompletableFuture<String> answer = new CompletableFuture<>();
    Thread waiting = new Thread(() -> wait(reader, answer), "text-taking");
    waiting.setDaemon(true);
    waiting.start();
    try {
      return answer.get(LONGEST.toMillis(), TimeUnit.MILLISECONDS);
    } catch (TimeoutException slow) {
      close();
      return "no The file takes longer than a minute to be read.";
    } catch (ExecutionException broken) {
      return null;
    } catch (InterruptedException stopping) {
      Thread.currentThread().interrupt();
      close();
      throw new IOException("stopped while a file was read", stopping);
    }
  }

  private static void wait(BufferedReader reader, CompletableFuture<String> answer) {
    try {
      answer.complete(reader.readLine());
    } catch (IOException ended) {
      answer.completeExceptionally(ended);
    }
  }

  private void start() throws IOException {
    String classes = System.getProperty("java.class.path");
    boolean isPacked =
        TextWorker.class
            .getProtectionDomain()
            .getCodeSource()
            .getLocation()
            .toString()
            .startsWith("jar:");
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(List.of("-Xmx" + MEMORY, "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1"));
    command.addAll(List.of("-Xshare:auto", "-XX:+ExitOnOutOfMemoryError"));
    command.addAll(List.of("-Djava.awt.headless=true", "-cp", classes));
    if (isPacked) {
      command.addAll(List.of("-Dloader.main=" + MAIN, LAUNCHER));
    } else {
      command.add(MAIN);
    }
    process = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
    answers =
        new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
  }

  @Override
  public void close() {
    Process ending = process;
    if (ending != null) {
      ending.destroyForcibly();
    }
  }
}
