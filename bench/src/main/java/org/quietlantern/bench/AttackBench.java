package org.quietlantern.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;

/**
 * How long a member's searches take while others do what they should not, in one run beside a quiet
 * one. Arguments: the data folder of a demo that runs, the e-mail of the member who is measured,
 * that of the one who takes all they can (a steward), the password of both.
 */
public final class AttackBench {
  private static final int EAGER = 20;
  private static final int LINES = 200;
  private static final int STRANGERS = 40;
  private static final int DRIPS = 120;
  private static final int LARGE = 8;
  private static final int LETTERS = 19_000_000;
  private static final int TERMS = 20_000;
  private static final byte[] PIECE = "{".repeat(65_536).getBytes(StandardCharsets.US_ASCII);

  /** Milliseconds before whoever was answered tries again: they run on the same machine. */
  private static final int BREATH = 100;

  private final Installation place;
  private final String address;
  private final Visit measured;
  private final Visit eager;
  private final String held;
  private final String circle;
  private double quiet;

  /** Something that is done by many at once until it is stopped. */
  private interface Attack {
    /** One act of one of them; answers what it was told. */
    String act(int which) throws IOException;
  }

  private AttackBench(String[] arguments) {
    this.place = new Installation(Path.of(arguments[0]));
    this.address = place.address();
    this.measured = new Visit(address).signIn(arguments[1], arguments[3]);
    this.eager = new Visit(address).signIn(arguments[2], arguments[3]);
    this.held = heldThreeDeep();
    this.circle = circle();
  }

  public static void main(String[] arguments) throws InterruptedException {
    AttackBench bench = new AttackBench(arguments);
    bench.asks();
    System.out.printf(
        "| meanwhile | a member's search, ms | times | the longest of the others, s | heap, MiB | what they were told |%n"
            + "|---|---|---|---|---|---|%n");
    bench.row("nothing", 0, which -> "");
    bench.row(EAGER + " searches of " + LINES + " lines by another member", EAGER, bench::search);
    bench.row("4 strategies that hold 20, three deep", 4, which -> bench.held());
    bench.row(EAGER + " steps of another group at once", EAGER, bench::settle);
    bench.row(TERMS + " headings in a circle, brought in twice", 2, which -> bench.bringIn());
    bench.row(STRANGERS + " strangers signing in", STRANGERS, bench::signIn);
    bench.row(LARGE + " passwords of 19 MB", LARGE, which -> bench.large());
    bench.row(DRIPS + " bodies that never end", DRIPS, bench::drip);
  }

  private void asks() {
    measured.inGroup("POST", "/search", "{\"text\":\"moths or bats\"}");
  }

  private void row(String what, int many, Attack attack) throws InterruptedException {
    AtomicBoolean goesOn = new AtomicBoolean(true);
    AtomicLong longest = new AtomicLong();
    Map<String, AtomicInteger> told = new ConcurrentHashMap<>();
    ExecutorService others = Executors.newCachedThreadPool();
    for (int which = 0; which < many; which++) {
      int one = which;
      others.execute(
          () -> {
            while (goesOn.get()) {
              long began = System.nanoTime();
              String said = said(attack, one);
              if (goesOn.get()) {
                told.computeIfAbsent(said, s -> new AtomicInteger()).incrementAndGet();
                longest.accumulateAndGet(System.nanoTime() - began, Math::max);
              }
              LockSupport.parkNanos(BREATH * 1_000_000L);
            }
          });
    }
    Thread.sleep(many == 0 ? 0 : 5_000);
    Times times = Times.of(this::asks);
    double heap = place.heap();
    goesOn.set(false);
    others.shutdownNow();
    // What was begun ends, as each asker has hung up, before the next begins.
    Thread.sleep(many == 0 ? 0 : 5_000);
    quiet = many == 0 ? times.median() : quiet;
    System.out.printf(
        Locale.ENGLISH,
        "| %s | %s | %.1f | %.1f | %.0f | %s |%n",
        what,
        times,
        times.median() / quiet,
        longest.get() / 1e9,
        heap,
        new TreeMap<>(told));
  }

  private static String said(Attack attack, int which) {
    try {
      return attack.act(which);
    } catch (IOException | RuntimeException failed) {
      return failed.getClass().getSimpleName();
    }
  }

  /** A strategy that holds one twenty times, which holds another twenty times, and so on. */
  private String heldThreeDeep() {
    String line = "{\"id\":\"w\",\"kind\":\"words\",\"text\":\"light or moth* or bat*\"}";
    for (int depth = 0; depth < 3; depth++) {
      String name = "\"q:" + settle(line) + "\"";
      String twenty = String.join(",", Collections.nCopies(20, name));
      line = "{\"id\":\"h\",\"kind\":\"held\",\"strategies\":[" + twenty + "]}";
    }
    return line;
  }

  private String settle(String lines) {
    return Visit.found("\"q\":\"(\\w{10})\"", eager.inGroup("POST", "/steps", step(lines)));
  }

  private static String step(String lines) {
    return "{\"asked\":{\"strategy\":%s},\"order\":\"relevance\"}".formatted(strategy(lines));
  }

  private static String strategy(String lines) {
    return "{\"version\":2,\"lines\":[" + lines + "]}";
  }

  private String held() {
    return told("/search", "{\"strategy\":" + strategy(held) + "}");
  }

  private String settle(int which) {
    String words = "light or glare or w%dx%d".formatted(which, System.nanoTime());
    String line = "{\"id\":\"w\",\"kind\":\"words\",\"text\":\"" + words + "\"}";
    return told("/steps", step(line));
  }

  /** A vocabulary in which each heading is below the next, and the last below the first. */
  private static String circle() {
    StringBuilder turtle =
        new StringBuilder("@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n");
    for (int i = 0; i < TERMS; i++) {
      turtle.append(
          "<urn:x:%d> skos:prefLabel \"Term %d\" ; skos:broader <urn:x:%d> .\n"
              .formatted(i, i, (i + 1) % TERMS));
    }
    return Base64.getEncoder().encodeToString(turtle.toString().getBytes(StandardCharsets.UTF_8));
  }

  private String bringIn() {
    return told("/vocabulary/look", "{\"file\":\"" + circle + "\"}");
  }

  /** What the eager member is told: a status. */
  private String told(String path, String body) {
    return Integer.toString(eager.ask("POST", eager.below(path), body).statusCode());
  }

  /** Words that nobody asked for before, so that nothing is remembered. */
  private String search(int which) {
    List<String> lines = new ArrayList<>();
    String salt = Long.toString(System.nanoTime(), 36);
    for (int n = 0; n < LINES; n++) {
      lines.add(
          "{\"id\":\"l%d\",\"kind\":\"words\",\"text\":\"light or moth* or %s%dx%d\"}"
              .formatted(n, salt, which, n));
    }
    return told("/search", "{\"strategy\":" + strategy(String.join(",", lines)) + "}");
  }

  private String signIn(int which) {
    Visit stranger = new Visit(address);
    stranger.ask("GET", "/api/me", "");
    String body =
        "{\"email\":\"nobody%d.%d@x.example\",\"password\":\"x\"}"
            .formatted(which, System.nanoTime());
    return Integer.toString(stranger.ask("POST", "/api/session", body).statusCode());
  }

  private String drip(int which) throws IOException {
    return byHand(400, 1);
  }

  private String large() throws IOException {
    return byHand(LETTERS, LETTERS);
  }

  /**
   * A body of so many letters, of which so many are sent, from another place than the member's: one
   * place alone is refused when it sends too much. Answers what it was told.
   */
  private String byHand(int letters, int sent) throws IOException {
    URI to = URI.create(address);
    InetAddress elsewhere = InetAddress.getByName("127.0.0.2");
    try (Socket socket =
        new Socket(InetAddress.getByName(to.getHost()), to.getPort(), elsewhere, 0)) {
      OutputStream out = socket.getOutputStream();
      out.write(
          ("POST /api/session HTTP/1.1\r\nHost: x\r\nCookie: XSRF-TOKEN=any\r\nX-XSRF-TOKEN: any\r\n"
                  + "Content-Type: application/json\r\nContent-Length: "
                  + letters
                  + "\r\n\r\n")
              .getBytes(StandardCharsets.US_ASCII));
      try {
        for (int left = sent; left > 0; left -= PIECE.length) {
          out.write(PIECE, 0, Math.min(left, PIECE.length));
        }
        out.flush();
      } catch (IOException refused) {
        return "closed while it was sent";
      }
      byte[] answer = socket.getInputStream().readNBytes("HTTP/1.1 429".length());
      String line = new String(answer, StandardCharsets.US_ASCII);
      return line.length() < 12 ? "closed" : line.substring(9);
    }
  }
}
