package org.quietlantern.bench;

import static java.util.stream.Collectors.joining;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;

/**
 * One member who works until told to stop, and remembers what was answered: each write is repeated
 * under its own id until there is an answer, whatever happens to the server meanwhile.
 */
final class SoakMember implements Runnable {
  private static final List<String> WORDS =
      List.of(
          "moths",
          "bats or pipistrelle*",
          "light* and verges",
          "heading: \"road verges\"",
          "title: dimm*",
          "pollinat* not bees",
          "year: 2020-",
          "lamp* and (larva* or decline*)",
          "\"part-night lighting\"",
          "owls or nightjar*",
          "streams",
          "amber");
  private static final List<String> MARKS = List.of("pass", "seen", "hold", "raise");
  private static final Pattern ID = Pattern.compile("\"(\\w{10})\"");
  private static final int LONGEST_THOUGHT = 4_000;
  private static final Duration PATIENCE = Duration.ofMinutes(5);

  private final Visit visit;
  private final SoakTold told;
  private final AtomicBoolean goesOn;
  private final Random random;
  private final String email;

  /** What the member said last, and before that, by publication. */
  private final Map<String, Deque<String>> marks = new HashMap<>();

  /** Whether a publication is in the member's pile. */
  private final Map<String, Boolean> pile = new HashMap<>();

  private String pileFolder = "";
  private List<String> found = List.of();

  SoakMember(String email, Visit visit, SoakTold told, AtomicBoolean goesOn) {
    this.email = email;
    this.visit = visit;
    this.told = told;
    this.goesOn = goesOn;
    this.random = new Random(email.hashCode());
  }

  String email() {
    return email;
  }

  /** What must stand: the last mark by publication; empty where there is none any more. */
  Map<String, String> marks() {
    Map<String, String> last = new TreeMap<>();
    marks.forEach((id, all) -> last.put(id, all.isEmpty() ? "" : all.peek()));
    return last;
  }

  Map<String, Boolean> pile() {
    return pile;
  }

  @Override
  public void run() {
    while (goesOn.get()) {
      act();
      try {
        Thread.sleep(200 + random.nextInt(LONGEST_THOUGHT));
      } catch (InterruptedException stopped) {
        return;
      }
    }
  }

  private void act() {
    int which = random.nextInt(12);
    if (found.isEmpty() || which < 3) {
      search();
    } else if (which < 6) {
      mark();
    } else if (which < 8) {
      keep();
    } else {
      look(which);
    }
  }

  private void search() {
    String asked = "{\"text\":\"%s\"}".formatted(one(WORDS).replace("\"", "\\\""));
    String answer = write("POST", "/search", asked);
    int ids = answer.indexOf("\"ids\":[");
    if (ids >= 0) {
      found =
          ID.matcher(answer.substring(ids, answer.indexOf(']', ids)))
              .results()
              .map(id -> id.group(1))
              .limit(200)
              .toList();
    }
  }

  /** What is marked is never kept: a mark that changes a keep takes it out of the pile. */
  private void mark() {
    String publication = one(found);
    if (isForPile(publication)) {
      return;
    }
    String said = one(MARKS);
    UUID command = UUID.randomUUID();
    String body =
        "{\"publications\":[\"%s\"],\"mark\":\"%s\",\"reason\":\"\",\"round\":null}"
            .formatted(publication, said);
    if (write("POST", "/marks", body, command).isEmpty()) {
      return;
    }
    Deque<String> before = marks.computeIfAbsent(publication, p -> new ArrayDeque<>());
    before.push(said);
    if (random.nextInt(4) == 0 && !write("POST", "/actions/" + command + "/undo", "").isEmpty()) {
      before.pop();
    }
  }

  private static boolean isForPile(String publication) {
    return publication.hashCode() % 2 == 0;
  }

  private void keep() {
    String publication = one(found);
    if (!isForPile(publication)) {
      return;
    }
    boolean out = pile.getOrDefault(publication, false);
    String body =
        out
            ? "{\"publications\":[\"%s\"]}".formatted(publication)
            : "{\"publications\":[\"%s\"],\"note\":\"\",\"step\":null}".formatted(publication);
    String answer =
        out
            ? write("DELETE", "/folders/" + pileFolder + "/items", body)
            : write("POST", "/pile/items", body);
    if (!answer.isEmpty()) {
      pile.put(publication, !out);
      pileFolder = out ? pileFolder : Visit.found("\"folderId\":\"(\\w{10})\"", answer);
    }
  }

  private void look(int which) {
    switch (which) {
      case 8 -> write("GET", "/rounds", "");
      case 9 -> write("GET", "/publications/" + one(found), "");
      case 10 ->
          write(
              "POST",
              "/rows",
              found.stream()
                  .limit(50)
                  .map(id -> '"' + id + '"')
                  .collect(joining(",", "{\"ids\":[", "]}")));
      default -> write("GET", "/trail", "");
    }
  }

  private <T> T one(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  private String write(String method, String path, String body) {
    return write(method, path, body, UUID.randomUUID());
  }

  /** Asked again, as the same, until it is answered; empty where it was refused. */
  private String write(String method, String path, String body, UUID command) {
    long until = System.nanoTime() + PATIENCE.toNanos();
    while (System.nanoTime() < until) {
      try {
        long start = System.nanoTime();
        HttpResponse<String> answer = visit.ask(method, visit.below(path), body, command);
        told.answer(method + " " + SoakTold.form(path), answer, System.nanoTime() - start);
        if (answer.statusCode() < 400) {
          return answer.body().isEmpty() ? "{}" : answer.body();
        }
        if (answer.statusCode() != 503 && answer.statusCode() != 429) {
          return "";
        }
      } catch (IOException away) {
        told.away();
      }
      pause();
    }
    throw new IllegalStateException(path + " was not answered in " + PATIENCE);
  }

  private static void pause() {
    try {
      Thread.sleep(1_000);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
    }
  }
}
