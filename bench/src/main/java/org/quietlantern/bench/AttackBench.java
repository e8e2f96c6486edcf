package org.quietlantern.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * How long a member's searches take while others do what they should not, in one run beside a quiet
 * one. Arguments: the address of a demo that runs, the e-mail of the member who is measured, that
 * of the one who takes all they can, the password of both.
 */
public final class AttackBench {
  private static final int EAGER = 20;
  private static final int LINES = 200;
  private static final int STRANGERS = 40;
  private static final int DRIPS = 120;
  private final String address;
  private final Visit measured;
  private final Visit eager;
  private double quiet;

  /** Something that is done by many at once until it is stopped. */
  private interface Attack {
    /** One act of one of them; answers what it was told. */
    String act(int which) throws IOException;
  }

  private AttackBench(String[] arguments) {
    this.address = arguments[0];
    this.measured = new Visit(address).signIn(arguments[1], arguments[3]);
    this.eager = new Visit(address).signIn(arguments[2], arguments[3]);
  }

  public static void main(String[] arguments) throws InterruptedException {
    AttackBench bench = new AttackBench(arguments);
    bench.asks();
    System.out.printf(
        "| meanwhile | a member's search, ms | times | what the others were told |%n|---|---|---|---|%n");
    bench.row("nothing", 0, which -> "");
    bench.row(EAGER + " searches of " + LINES + " lines by another member", EAGER, bench::search);
    bench.row(STRANGERS + " strangers signing in", STRANGERS, bench::signIn);
    bench.row(DRIPS + " bodies that never end", DRIPS, bench::drip);
  }

  private void asks() {
    measured.inGroup("POST", "/search", "{\"text\":\"moths or bats\"}");
  }

  private void row(String what, int many, Attack attack) throws InterruptedException {
    AtomicBoolean goesOn = new AtomicBoolean(true);
    Map<String, AtomicInteger> told = new ConcurrentHashMap<>();
    ExecutorService others = Executors.newCachedThreadPool();
    for (int which = 0; which < many; which++) {
      int one = which;
      others.execute(
          () -> {
            while (goesOn.get()) {
              told.computeIfAbsent(said(attack, one), s -> new AtomicInteger()).incrementAndGet();
            }
          });
    }
    Thread.sleep(many == 0 ? 0 : 2_000);
    Times times = Times.of(this::asks);
    goesOn.set(false);
    others.shutdownNow();
    quiet = many == 0 ? times.median() : quiet;
    System.out.printf(
        Locale.ENGLISH,
        "| %s | %s | %.1f | %s |%n",
        what,
        times,
        times.median() / quiet,
        new TreeMap<>(told));
  }

  private static String said(Attack attack, int which) {
    try {
      return attack.act(which);
    } catch (IOException | RuntimeException failed) {
      return failed.getClass().getSimpleName();
    }
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
    String body = "{\"strategy\":{\"version\":2,\"lines\":[" + String.join(",", lines) + "]}}";
    eager.inGroup("POST", "/search", body);
    return "200";
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
    URI to = URI.create(address);
    // From another place than the member: one place alone is refused when it sends too much.
    try (Socket socket =
        new Socket(
            InetAddress.getByName(to.getHost()),
            to.getPort(),
            InetAddress.getByName("127.0.0.2"),
            0)) {
      OutputStream out = socket.getOutputStream();
      out.write(
          ("POST /api/session HTTP/1.1\r\nHost: x\r\nCookie: XSRF-TOKEN=any\r\nX-XSRF-TOKEN: any\r\n"
                  + "Content-Type: application/json\r\nContent-Length: 400\r\n\r\n{")
              .getBytes(StandardCharsets.US_ASCII));
      out.flush();
      byte[] answer = socket.getInputStream().readNBytes("HTTP/1.1 429".length());
      String line = new String(answer, StandardCharsets.US_ASCII);
      return line.length() < 12 ? "closed" : line.substring(9);
    }
  }
}
