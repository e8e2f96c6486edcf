package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/**
 * Two members, one alert, one folder, and acts drawn at random: after each of them arrivals, lamps,
 * what is owed and what is kept are as a model has them that knows sets and nothing of the code.
 */
class ModelTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final int ACTS = 90;
  private static final List<String> WORDS = List.of("alder", "birch", "cedar", "dogwood");
  private static final List<String> MARKS =
      List.of("pass", "raise", "hold", "hold for text", "seen", "rest");

  private final TestGroup group = APP.group("Mina Model", "Mads Model");
  private final String folder = group.folder("Kept");
  private final Model model = new Model();
  private Random random;
  private Supply source;
  private String key;
  private String search;
  private int revision = 1;
  private int supplied;
  private int acts;

  /** What is known without asking anybody. */
  private static final class Model {
    final Map<String, Set<String>> works = new LinkedHashMap<>();
    final Set<String> sinceRun = new HashSet<>();
    final Set<String> memory = new HashSet<>();
    final Set<String> arrived = new TreeSet<>();
    final Map<String, Set<String>> kept = new HashMap<>();
    final List<Map<String, List<Event>>> said = List.of(new HashMap<>(), new HashMap<>());
    final List<Deque<Act>> done = List.of(new ArrayDeque<>(), new ArrayDeque<>());
    Set<String> query = Set.of("alder");

    Set<String> matching() {
      Set<String> matching = new HashSet<>();
      works.forEach(
          (work, words) -> {
            if (words.stream().anyMatch(query::contains)) {
              matching.add(work);
            }
          });
      return matching;
    }

    String inForce(int member, String work) {
      String last = "";
      for (Event event : said.get(member).getOrDefault(work, List.of())) {
        last = event.undone ? last : event.mark;
      }
      return last;
    }

    String lamp(int member, String work) {
      String mark = inForce(member, work);
      return switch (mark) {
        case "" -> "unlit";
        case "hold", "hold for text" -> "dim";
        case "rest" -> "rested";
        default -> "lit";
      };
    }

    boolean owes(int member, String work) {
      return Set.of("unlit", "dim").contains(lamp(member, work));
    }

    Event say(int member, String work, String mark) {
      Event event = new Event(mark);
      said.get(member).computeIfAbsent(work, w -> new ArrayList<>()).add(event);
      return event;
    }

    long owed(int member) {
      return arrived.stream().filter(work -> owes(member, work)).count();
    }
  }

  private static final class Event {
    final String mark;
    boolean undone;

    Event(String mark) {
      this.mark = mark;
    }
  }

  /** What a member did, and what taking it back does to the model. */
  private record Act(UUID command, Runnable back) {}

  @DisplayName("After any acts of two members everything is as plain sets have it")
  @ParameterizedTest
  @ValueSource(longs = {11, 23, 47})
  void walk(long seed) {
    random = new Random(seed);
    key = "walk" + seed;
    source = Supply.made(APP, key, 9);
    JsonNode saved = group.search(folder, "Trees", text());
    search = saved.get("id").asString();
    client(0).post("/alerts", Map.of("search", search, "rhythm", "daily")).ok();
    supply();
    for (acts = 0; acts < ACTS; acts++) {
      act();
    }
  }

  private Client client(int member) {
    return group.client(member);
  }

  /** Publications of this walk whose titles have one of the words. */
  private String text() {
    return "title: " + key + " title: (" + String.join(" or ", new TreeSet<>(model.query)) + ")";
  }

  private void act() {
    int member = random.nextInt(2);
    int which = random.nextInt(100);
    String what;
    if (which < 12) {
      what = "supply";
      supply();
    } else if (which < 27) {
      what = "run";
      run();
    } else if (which < 35) {
      what = "revise";
      revise();
    } else if (which < 38) {
      what = "a day";
      APP.pass(1);
      model.sinceRun.clear();
      remember();
    } else if (which < 60) {
      what = "mark";
      mark(member);
    } else if (which < 75) {
      what = "keep";
      keep(member);
    } else if (which < 82) {
      what = "put out";
      putOut(member);
    } else if (which < 84) {
      what = "let rest";
      letRest(member);
    } else {
      what = "undo";
      undo(member);
    }
    check("act " + acts + ", " + what + " of member " + member);
  }

  private void supply() {
    String id = key + "-" + supplied++;
    Set<String> words = new TreeSet<>();
    for (int i = 0; i <= random.nextInt(2); i++) {
      words.add(WORDS.get(random.nextInt(WORDS.size())));
    }
    source.take(
        Supply.mods(
            id,
            "The " + String.join(" and ", words) + " of " + key + " number" + supplied,
            "Walker" + supplied,
            Supply.doi("10.5555/" + id)));
    String pid = group.find("title: " + key + " title: number" + supplied).get(0);
    model.works.put(pid, words);
    model.sinceRun.add(pid);
  }

  private void run() {
    APP.bean(Watching.class).run();
    model.sinceRun.clear();
    remember();
  }

  private void remember() {
    Set<String> news = model.matching();
    news.removeAll(model.memory);
    model.arrived.addAll(news);
    model.memory.addAll(news);
  }

  /**
   * Another question: what it finds of what was there is not announced, unless that is asked for.
   */
  private void revise() {
    Set<String> next = new TreeSet<>();
    next.add(WORDS.get(random.nextInt(WORDS.size())));
    next.add(WORDS.get(random.nextInt(WORDS.size())));
    if (next.equals(model.query)) {
      return;
    }
    boolean announce = random.nextBoolean();
    model.query = next;
    client(0)
        .post(
            "/searches/" + search + "/revisions",
            Map.of(
                "asked",
                Map.of("text", text()),
                "revision",
                revision++,
                "comment",
                "",
                "announce",
                announce))
        .ok();
    Set<String> gained = model.matching();
    gained.removeAll(model.sinceRun);
    gained.removeAll(model.memory);
    model.memory.addAll(gained);
    if (announce) {
      model.arrived.addAll(gained);
    }
  }

  private String anyWork() {
    List<String> all = List.copyOf(model.works.keySet());
    return all.get(random.nextInt(all.size()));
  }

  private void mark(int member) {
    String work = anyWork();
    String mark = MARKS.get(random.nextInt(MARKS.size()));
    UUID command = UUID.randomUUID();
    client(member)
        .post("/marks", Map.of("publications", List.of(work), "mark", mark, "reason", ""), command)
        .ok();
    Set<String> gone =
        model.inForce(member, work).equals("keep") ? withdraw(member, work) : Set.of();
    Event event = model.say(member, work, mark);
    did(
        member,
        command,
        () -> {
          event.undone = true;
          reasons(work).addAll(gone);
        });
  }

  private Set<String> reasons(String work) {
    return model.kept.computeIfAbsent(work, w -> new TreeSet<>());
  }

  /** The member's own reasons go. */
  private Set<String> withdraw(int member, String work) {
    Set<String> mine = new TreeSet<>(reasons(work));
    mine.removeIf(reason -> !reason.startsWith(member + ":"));
    reasons(work).removeAll(mine);
    return mine;
  }

  private void keep(int member) {
    String work = anyWork();
    String reason = "because of " + acts;
    UUID command = UUID.randomUUID();
    client(member)
        .post(
            "/folders/" + folder + "/items",
            Map.of("publications", List.of(work), "note", reason),
            command)
        .ok();
    reasons(work).add(member + ":" + reason);
    Event event = model.say(member, work, "keep");
    did(
        member,
        command,
        () -> {
          event.undone = true;
          reasons(work).remove(member + ":" + reason);
        });
  }

  private void putOut(int member) {
    String work = anyWork();
    String mark = model.inForce(member, work);
    if (mark.isEmpty()) {
      return;
    }
    UUID command = UUID.randomUUID();
    client(member).write("DELETE", "/marks", Map.of("publications", List.of(work)), command).ok();
    Set<String> gone = mark.equals("keep") ? withdraw(member, work) : Set.of();
    List<Event> events = model.said.get(member).get(work);
    Event last =
        events.stream().filter(event -> !event.undone).reduce((one, other) -> other).orElseThrow();
    last.undone = true;
    did(
        member,
        command,
        () -> {
          model.say(member, work, mark);
          reasons(work).addAll(gone);
        });
  }

  private void letRest(int member) {
    List<String> owed = model.arrived.stream().filter(work -> model.owes(member, work)).toList();
    UUID command = UUID.randomUUID();
    Client.Response rested = client(member).post("/arrivals/rest", Map.of(), command);
    if (owed.isEmpty()) {
      assertThat(rested.type()).isEqualTo("changed-since");
      return;
    }
    assertThat(rested.ok().get("arrivals").asInt()).isEqualTo(owed.size());
    List<Event> events = owed.stream().map(work -> model.say(member, work, "rest")).toList();
    did(member, command, () -> events.forEach(event -> event.undone = true));
  }

  private void did(int member, UUID command, Runnable back) {
    model.done.get(member).push(new Act(command, back));
  }

  private void undo(int member) {
    Act last = model.done.get(member).poll();
    if (last == null) {
      return;
    }
    client(member).post("/actions/" + last.command() + "/undo", Map.of()).ok();
    last.back().run();
  }

  private void check(String after) {
    JsonNode rounds = client(0).get("/rounds").ok();
    List<String> arrived = new ArrayList<>();
    for (JsonNode round : rounds.get("rounds")) {
      for (JsonNode arrival :
          client(0).get("/rounds/" + round.get("id").asString()).ok().get("arrivals")) {
        arrived.add(arrival.get("publication").get("id").asString());
      }
    }
    assertThat(arrived).as(after).containsExactlyInAnyOrderElementsOf(model.arrived);
    for (int member = 0; member < 2; member++) {
      assertThat(client(member).get("/rounds").ok().get("owed").asLong())
          .as("%s: owed by %d", after, member)
          .isEqualTo(model.owed(member));
      String work = anyWork();
      assertThat(client(member).get("/publications/" + work).ok().get("lamp").asString())
          .as("%s: lamp of %d", after, member)
          .isEqualTo(model.lamp(member, work));
    }
    checkFolder(after);
    checkLists(after);
  }

  /** Lists of arrivals, and of what is marked elsewhere and never came. */
  private void checkLists(String after) {
    int reader = random.nextInt(2);
    for (String list :
        List.of(
            "owed", "rested", "nobody", "raised", "waiting", "readable", "unsure", "disputed")) {
      Set<String> expected = new TreeSet<>();
      boolean arrivals = Set.of("owed", "rested", "nobody").contains(list);
      for (String work : arrivals ? model.arrived : model.works.keySet()) {
        String first = model.inForce(0, work);
        String second = model.inForce(1, work);
        Set<String> both = Set.of(first + " ", second);
        boolean belongs =
            switch (list) {
              case "owed" -> model.owes(reader, work);
              case "rested" -> model.lamp(reader, work).equals("rested");
              case "nobody" ->
                  !model.lamp(0, work).equals("lit") && !model.lamp(1, work).equals("lit");
              case "raised" -> first.equals("raise") || second.equals("raise");
              case "waiting" -> first.equals("hold for text") || second.equals("hold for text");
              // No source of this walk opens anything, and the group holds nothing.
              case "readable" -> false;
              case "unsure" -> first.equals("hold") || second.equals("hold");
              default ->
                  both.equals(Set.of("keep ", "pass")) || both.equals(Set.of("pass ", "keep"));
            };
        if (belongs) {
          expected.add(work);
        }
      }
      JsonNode listed = client(reader).get("/arrivals/" + list).ok();
      assertThat(listed.get("arrivals").valueStream().map(one -> one.at("/arrival/id").asString()))
          .as("%s: %s for %d", after, list, reader)
          .containsExactlyInAnyOrderElementsOf(expected);
      assertThat(listed.get("count").asInt()).as(after).isEqualTo(expected.size());
      assertThat(client(reader).get("/arrivals").ok().get(list).asInt())
          .as(after)
          .isEqualTo(expected.size());
    }
  }

  private void checkFolder(String after) {
    Map<String, Set<String>> kept = new HashMap<>();
    for (JsonNode item : client(1).get("/folders/" + folder).ok().get("items")) {
      Set<String> reasons = new TreeSet<>();
      for (JsonNode reason : item.get("reasons")) {
        int member = reason.get("who").asString().equals("Mina Model") ? 0 : 1;
        reasons.add(member + ":" + reason.get("text").asString());
      }
      kept.put(item.get("publication").get("id").asString(), reasons);
    }
    Map<String, Set<String>> expected = new HashMap<>(model.kept);
    expected.values().removeIf(Set::isEmpty);
    assertThat(kept).as(after).isEqualTo(expected);
  }
}
