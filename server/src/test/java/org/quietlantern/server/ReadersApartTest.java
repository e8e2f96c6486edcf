package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
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
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.digest.Digests;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.platform.job.NightlyChecks;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Endpoints;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

@DisplayName("V6: two decide apart, and nobody reads what another said before all have decided")
class ReadersApartTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();

  /** What differs between two groups for other reasons than what was said. */
  private static final Set<String> UNSTEADY =
      Set.of("/api/groups/{group}/folders/{folder}/bibliography/docx");

  /** A group of three with an alert of which two shall decide apart, and what it found. */
  private static final class World {
    final TestGroup group;
    final Client ada;
    final Client ben;
    final Client cay;
    final String folder;
    final String alert;
    final String round;
    final List<String> works;

    World(String word, int works) {
      APP.setClock(TestApp.BEGINS);
      group = APP.group("Ada Apart", "Ben Apart", "Cay Apart");
      ada = group.client(0);
      ben = group.client(1);
      cay = group.client(2);
      folder = group.folder("Kept");
      String search = group.search(folder, word, "title: " + word).get("id").asString();
      alert =
          ada.post(
                  "/alerts",
                  Map.of("search", search, "rhythm", "at-once", "asked", 2, "covers", "apart"))
              .ok()
              .get("id")
              .asString();
      this.works = new ArrayList<>();
      round = works == 0 ? "" : came(word, works);
    }

    String came(String word, int many) {
      APP.setClock(TestApp.BEGINS.plus(Duration.ofDays(1)));
      Supply.made(APP, word + "s", 5)
          .take(
              IntStream.range(0, many)
                  .mapToObj(n -> Supply.mods(word + n, word + " number " + n, "Apart", ""))
                  .toList());
      APP.bean(Watching.class).run();
      return found();
    }

    /** Of rounds that others filled. */
    String found() {
      String of = ada.get("/alerts/" + alert).ok().at("/rounds/0/id").asString();
      works.clear();
      ada.get("/rounds/" + of)
          .ok()
          .get("arrivals")
          .valueStream()
          .forEach(one -> works.add(one.get("id").asString()));
      return of;
    }

    UUID says(Client who, String mark, int work, String reason) {
      UUID command = UUID.randomUUID();
      who.post(
              "/marks",
              Map.of(
                  "publications",
                  List.of(works.get(work)),
                  "mark",
                  mark,
                  "reason",
                  reason,
                  "round",
                  round),
              command)
          .ok();
      return command;
    }

    /** The lamps on a work as somebody sees them: {@code mark: reason} of each member. */
    List<String> lamps(Client who, int work) {
      return who.get("/rounds/" + round)
          .ok()
          .get("arrivals")
          .valueStream()
          .filter(one -> one.get("id").asString().equals(works.get(work)))
          .flatMap(one -> one.get("lamps").valueStream())
          .map(one -> one.path("mark").asString("-") + ": " + one.path("reason").asString(""))
          .toList();
    }

    long kept() {
      return ada.get("/folders/" + folder).ok().get("ids").size();
    }

    JsonNode line() {
      return ada.get("/alerts/" + alert).ok().at("/rounds/0");
    }
  }

  @DisplayName("A keep is carried out at the opening, with its reason, and undone after it")
  @Test
  void opening() {
    World world = new World("sundew", 3);
    UUID keep = world.says(world.ada, "keep", 0, "It counts by night.");
    assertThat(world.lamps(world.ada, 0)).startsWith("keep: It counts by night.", "-: ", "-: ");
    assertThat(world.lamps(world.ben, 0)).startsWith("seen: ", "-: ", "-: ");
    assertThat(world.kept()).isZero();
    assertThat(world.line().get("covered").asInt()).isZero();
    world.says(world.ben, "hold for text", 0, "No text here.");
    assertThat(world.lamps(world.ben, 0)).startsWith("seen: ", "hold for text: No text here.");
    assertThat(world.lamps(world.cay, 0)).as("what dims is not told").startsWith("seen: ", "-: ");
    assertThat(world.ada.get("/arrivals/waiting").ok().get("arrivals")).isEmpty();
    world.says(world.cay, "seen", 0, "");
    assertThat(world.lamps(world.ben, 0))
        .as("who has only seen it has not decided")
        .contains("seen: ", "hold for text: No text here.");

    world.says(world.ben, "pass", 0, "Not our subject.");
    List<String> opened = List.of("keep: It counts by night.", "pass: Not our subject.", "seen: ");
    assertThat(world.lamps(world.ada, 0)).isEqualTo(opened);
    assertThat(world.lamps(world.cay, 0)).isEqualTo(opened);
    assertThat(world.kept()).isEqualTo(1);
    assertThat(world.line().get("covered").asInt()).isEqualTo(1);
    assertThat(world.ada.get("/arrivals/disputed").ok().get("arrivals")).hasSize(1);
    assertThat(world.cay.get("/activity").body())
        .contains("opened what members had said apart of")
        .doesNotContain("\"kept ", "\"passed ", "from a round");
    assertThat(APP.bean(NightlyChecks.class).runAll(true))
        .allMatch(outcome -> outcome.differences() == 0);

    world.ada.post("/actions/" + keep + "/undo", Map.of()).ok();
    assertThat(world.kept()).as("the keep leaves again").isZero();
    assertThat(world.lamps(world.ben, 0)).startsWith("-: ", "pass: Not our subject.");
  }

  @DisplayName("Changed, put out, put out and undone before the opening: the last of it counts")
  @Test
  void changed() {
    World world = new World("butterwort", 3);
    world.says(world.ada, "keep", 0, "First.");
    world.says(world.ada, "raise", 0, "Is it?");
    assertThat(world.ben.get("/arrivals/raised").ok().get("arrivals")).isEmpty();
    UUID again = world.says(world.ada, "keep", 0, "After all.");
    world.ada.post("/actions/" + again + "/undo", Map.of()).ok();
    assertThat(world.lamps(world.ada, 0)).startsWith("raise: Is it?");
    world.says(world.ada, "keep", 0, "At last.");
    UUID out = UUID.randomUUID();
    Map<String, Object> one = Map.of("publications", List.of(world.works.get(0)));
    world.ada.write("DELETE", "/marks", one, out).ok();
    assertThat(world.lamps(world.ada, 0))
        .as("what she had said before")
        .startsWith("raise: Is it?");
    world.ada.post("/actions/" + out + "/undo", Map.of()).ok();
    assertThat(world.lamps(world.ada, 0)).startsWith("keep: At last.");
    world.says(world.ben, "keep", 0, "");
    assertThat(world.lamps(world.cay, 0)).startsWith("keep: At last.", "keep: ");
    assertThat(world.kept()).isEqualTo(1);
    world.says(world.cay, "pass", 0, "In the open.");
    assertThat(world.lamps(world.ben, 0)).contains("pass: In the open.");

    world.says(world.ada, "pass", 1, "She alone knows why.");
    assertThat(world.ada.exported("/rounds/" + world.round, "ris", "marks"))
        .as("a file goes to others")
        .contains("At last.")
        .doesNotContain("She alone knows why.");
    world.says(world.ada, "keep", 2, "Put out too early.");
    UUID early = UUID.randomUUID();
    world
        .ada
        .write("DELETE", "/marks", Map.of("publications", List.of(world.works.get(2))), early)
        .ok();
    world.says(world.ben, "pass", 2, "");
    world.says(world.cay, "pass", 2, "");
    world.ada.post("/actions/" + early + "/undo", Map.of()).ok();
    assertThat(world.lamps(world.ben, 2)).startsWith("keep: Put out too early.", "pass: ");
    assertThat(world.kept()).as("opened meanwhile: carried out at once").isEqualTo(2);

    assertThat(
            world
                .ada
                .post(
                    "/folders/" + world.folder + "/items",
                    Map.of("publications", List.of(world.works.get(1)), "note", ""))
                .body())
        .as("a keep from elsewhere would tell")
        .contains("decided-apart", "Your group decides apart on “butterwort number");
  }

  @DisplayName("Opened when fewer are left to decide, and when the alert asks otherwise")
  @Test
  void fewer() {
    World world = new World("bladderwort", 3);
    world.says(world.ada, "keep", 0, "");
    world.says(world.ada, "pass", 1, "");
    Map<String, Object> wanted = new HashMap<>();
    wanted.putAll(Map.of("rhythm", "at-once", "hour", "05:00", "asked", 3, "folder", world.folder));
    wanted.put("covers", "apart");
    world.ada.put("/alerts/" + world.alert, wanted).ok();
    world.says(world.ben, "keep", 0, "");
    assertThat(world.lamps(world.cay, 0)).startsWith("seen: ", "seen: ");
    String cay = "/members/" + world.group.member(2).pid();
    world.ada.write("DELETE", cay, Map.of(), UUID.randomUUID()).ok();
    assertThat(world.lamps(world.ben, 0)).as("all who are left").startsWith("keep: ", "keep: ");
    assertThat(world.kept()).isEqualTo(1);
    assertThat(world.lamps(world.ben, 1)).startsWith("seen: ");

    wanted.put("covers", "verdict");
    world.ada.put("/alerts/" + world.alert, wanted).ok();
    assertThat(world.lamps(world.ben, 1)).startsWith("pass: ");
    assertThat(world.line().get("covers").asString()).isEqualTo("verdict");
    world.says(world.ada, "keep", 2, "");
    assertThat(world.lamps(world.ben, 2)).startsWith("keep: ");
    wanted.putAll(Map.of("covers", "apart", "asked", 1));
    assertThat(world.ada.put("/alerts/" + world.alert, wanted).status()).isEqualTo(422);
    wanted.put("covers", "blind");
    assertThat(world.ada.put("/alerts/" + world.alert, wanted).status()).isEqualTo(422);
  }

  /** What a work ought to be like: what each of three said, the last last. */
  private static final class Ought {
    final List<Deque<String>> said =
        List.of(new ArrayDeque<>(), new ArrayDeque<>(), new ArrayDeque<>());
    final Set<Integer> kept = new HashSet<>();
    boolean opened;

    void says(int who, String mark) {
      boolean keptIt = "keep".equals(said.get(who).peekLast());
      said.get(who).addLast(mark);
      if (!opened) {
        openIfDue();
      } else if (mark.equals("keep")) {
        kept.add(who);
      } else if (keptIt) {
        kept.remove(who);
      }
    }

    private void openIfDue() {
      opened =
          said.stream()
                  .map(Deque::peekLast)
                  .filter(one -> one != null && Set.of("keep", "pass", "raise").contains(one))
                  .count()
              >= 2;
      for (int who = 0; opened && who < 3; who++) {
        if ("keep".equals(said.get(who).peekLast())) {
          kept.add(who);
        }
      }
    }

    void putsOut(int who) {
      if ("keep".equals(said.get(who).pollLast()) && opened) {
        kept.remove(who);
      }
    }

    List<String> seenBy(int reader) {
      return IntStream.range(0, 3).mapToObj(who -> seen(reader, who)).toList();
    }

    private String seen(int reader, int who) {
      String last = said.get(who).peekLast();
      boolean told = opened || reader == who;
      return (last == null || (!told && last.startsWith("hold")) ? "-" : told ? last : "seen")
          + ": ";
    }
  }

  @DisplayName("After random acts of three: each reads what is theirs to read, folders as decided")
  @Test
  void randomly() {
    World world = new World("waterwheel", 5);
    List<Client> all = List.of(world.ada, world.ben, world.cay);
    List<Ought> ought = Stream.generate(Ought::new).limit(5).toList();
    List<String> marks = List.of("keep", "pass", "raise", "seen", "hold", "hold for text");
    Random random = new Random(20_261_202);
    for (int act = 0; act < 90; act++) {
      int who = random.nextInt(3);
      int work = random.nextInt(5);
      if (random.nextInt(4) > 0) {
        String mark = marks.get(random.nextInt(marks.size()));
        world.says(all.get(who), mark, work, "");
        ought.get(work).says(who, mark);
      } else if (!ought.get(work).said.get(who).isEmpty()) {
        Map<String, Object> one = Map.of("publications", List.of(world.works.get(work)));
        all.get(who).write("DELETE", "/marks", one, UUID.randomUUID()).ok();
        ought.get(work).putsOut(who);
      }
      for (int reader = 0; reader < 3; reader++) {
        assertThat(world.lamps(all.get(reader), work))
            .as("act " + act + ", work " + work + ", read by " + reader)
            .isEqualTo(ought.get(work).seenBy(reader));
      }
      assertThat(world.kept())
          .as("act " + act)
          .isEqualTo(ought.stream().filter(one -> !one.kept.isEmpty()).count());
    }
    assertThat(ought).as("some opened, some not").anyMatch(one -> one.opened);
    assertThat(APP.bean(NightlyChecks.class).runAll(true))
        .allMatch(outcome -> outcome.differences() == 0);
  }

  @DisplayName("Agreement is over what was decided apart, as it stood when it was opened")
  @Test
  void agreement() {
    World world = new World("pitcher", 14);
    for (int work = 0; work < 12; work++) {
      world.says(world.ada, work < 6 ? "keep" : "pass", work, "");
      world.says(world.ben, work < 5 || work == 11 ? "keep" : "pass", work, "");
    }
    world.says(world.ada, "raise", 12, "");
    world.says(world.cay, "pass", 12, "");
    world.says(world.ada, "pass", 0, "changed since");
    JsonNode shown = world.cay.get("/alerts/" + world.alert + "/agreement").ok();
    assertThat(shown.get("opened").asInt()).isEqualTo(13);
    assertThat(shown.get("counted").asInt()).as("one was raised instead").isEqualTo(12);
    assertThat(shown.get("agreed").asInt()).isEqualTo(10);
    JsonNode pair = shown.at("/pairs/0");
    assertThat(pair.get("one").asString() + pair.get("other").asString())
        .isEqualTo("Ada ApartBen Apart");
    assertThat(pair.at("/percent/value").asDouble()).isCloseTo(10 / 12.0, within(1e-9));
    assertThat(pair.at("/kappa/value").asDouble())
        .as("both keep half: (10/12 - 1/2) / (1 - 1/2)")
        .isCloseTo(2 / 3.0, within(1e-9));
    assertThat(shown.at("/fleiss/value").asDouble()).isCloseTo(2 / 3.0, within(1e-9));
    assertThat(shown.at("/months/0/works").asInt()).isEqualTo(12);
    assertThat(shown.get("pairs")).hasSize(1);

    World none = new World("drosera", 1);
    JsonNode nothing = none.ada.get("/alerts/" + none.alert + "/agreement").ok();
    assertThat(nothing.at("/ac1/doubt").asString()).isEqualTo("nothing shared");
    assertThat(nothing.at("/ac1").has("value")).isFalse();
  }

  @DisplayName("Two worlds that differ in what the first said: the second gets the same bytes")
  @ParameterizedTest
  @CsvSource({"keep, pass", "pass, raise", "raise, seen", "hold, hold for text"})
  void worlds(String said, String instead) {
    String word = "mire" + said.replace(" ", "") + instead.replace(" ", "");
    World one = new World(word, 0);
    World other = new World(word, 0);
    one.came(word, 4);
    other.found();
    Map<String, String> first = seen(one, said, "Because of this.");
    Map<String, String> second = seen(other, instead, "No: because of something else, and long.");
    APP.setClock(TestApp.BEGINS.plus(Duration.ofDays(2)));
    APP.bean(Digests.class).run();
    APP.bean(MailJob.class).run();
    assertThat(letter(one)).contains(word + " number 0").isEqualTo(letter(other));
    assertThat(first).hasSizeGreaterThan(60);
    assertThat(first.keySet()).isEqualTo(second.keySet());
    assertThat(
            first.keySet().stream()
                .filter(path -> !first.get(path).equals(second.get(path)))
                .map(path -> path + "\n" + first.get(path) + "\n" + second.get(path)))
        .isEmpty();
  }

  private static String letter(World world) {
    String email = world.ben.below("").get("/api/me").ok().get("email").asString();
    return new Names().in(APP.outside().mail().gotBy(email).get(0).text());
  }

  /** Everything that the second reader can read after the first has marked three works. */
  private static Map<String, String> seen(World world, String mark, String reason) {
    String round = world.found();
    for (int work = 0; work < 3; work++) {
      world
          .ada
          .post(
              "/marks",
              Map.of(
                  "publications",
                  List.of(world.works.get(work)),
                  "mark",
                  mark,
                  "reason",
                  reason + work,
                  "round",
                  round))
          .ok();
    }
    Map<String, String> known =
        Map.of(
            "{group}",
            world.group.pid(),
            "{alert}",
            world.alert,
            "{round}",
            round,
            "{folder}",
            world.folder,
            "{publication}",
            world.works.get(0));
    Client ben = world.ben;
    List<String> paths = new ArrayList<>();
    for (Endpoints.Endpoint endpoint : Endpoints.of(APP)) {
      String path = endpoint.path();
      for (Map.Entry<String, String> value : known.entrySet()) {
        path = path.replace(value.getKey(), value.getValue());
      }
      boolean asks = endpoint.method().equals("GET") && path.startsWith("/api/groups/");
      if (asks && !path.contains("{") && !UNSTEADY.contains(endpoint.path())) {
        paths.add(path);
      }
    }
    String group = "/api/groups/" + world.group.pid();
    for (String list :
        List.of(
            "owed",
            "nobody",
            "changed",
            "rested",
            "raised",
            "readable",
            "waiting",
            "unsure",
            "disputed")) {
      paths.add(group + "/arrivals/" + list);
    }
    paths.add(group + "/arrivals/owed?show=said");
    paths.add(group + "/arrivals/owed?show=kept");
    paths.add(group + "/rounds/" + round + "?order=kept");
    paths.add(group + "/rounds/" + round + "?left=uncovered");
    paths.add(group + "/rounds/" + round + "?left=nobody");
    Map<String, String> seen = new LinkedHashMap<>();
    Names names = new Names();
    paths.forEach(path -> seen.put(names.in(path), names.in(ben.below("").get(path).body())));
    for (String of : List.of("raised", "unreviewed", "alert:" + world.alert)) {
      String feed = ben.post("/feeds", Map.of("of", of)).ok().get("address").asString();
      seen.put(
          "feed " + of.replaceAll(":.*", ""),
          names.in(new Client(feed.replaceAll("^http://[^/]+", APP.address())).get("").body()));
    }
    seen.put("file", names.in(ben.exported("/rounds/" + round, "ris", "marks")));
    return seen;
  }

  /**
   * Ids, addresses and moments by when they are first met: those of two groups differ. What is told
   * by id is in the order of these names.
   */
  private static final class Names {
    private static final Pattern GIVEN =
        Pattern.compile(
            "[\\w-]+(?=\\.atom)|[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}"
                + "|(?<![0-9a-z])[0-9a-z]{10}(?![0-9a-z])|[0-9]+(?=@x.example)|(?<=/all/)[\\w-]+"
                + "|[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9:.]+Z");
    private static final JsonMapper JSON =
        JsonMapper.builder().enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS).build();
    private final Map<String, String> names = new HashMap<>();

    /** How long a run took, and which harvests had just ended, is the house's and no group's. */
    private static final Pattern OF_THE_HOUSE =
        Pattern.compile("\"millis\":[0-9]+,\"sources\":\\[[^]]*]");

    String in(String text) {
      String named =
          GIVEN
              .matcher(OF_THE_HOUSE.matcher(text).replaceAll("\"millis\":0,\"sources\":[]"))
              .replaceAll(this::name);
      return named.startsWith("{")
          ? JSON.writeValueAsString(JSON.readValue(named, Object.class))
          : named;
    }

    private String name(MatchResult found) {
      return names.computeIfAbsent(found.group(), any -> "#" + names.size());
    }
  }
}
