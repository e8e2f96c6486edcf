package org.quietlantern.server.digest;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.mail.ReturnedLetters;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.mail.MailDrop;
import org.quietlantern.standins.mail.MailFaults;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What alerts brought, by mail, once for each member (rule N8). Days begin in Oslo. */
class DigestsTest {
  private static final Path RETURNS = folder();

  @RegisterExtension
  private static final TestApp APP = new TestApp("--lantern.mail.returns=" + RETURNS);

  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private static int supplies;
  private final TestGroup group = APP.group("Dora Digest", "Ben Member").guest("Gus Guest");
  private final Client dora = group.client(0);
  private final Client ben = group.client(1);
  private final String bens = email(1);
  private final String folder = group.folder("Kept");
  private Instant midnight;

  private static Path folder() {
    try {
      return Files.createTempDirectory("returns");
    } catch (IOException failed) {
      throw new java.io.UncheckedIOException(failed);
    }
  }

  private String email(int member) {
    return group.client(member).below("").get("/api/me").ok().get("email").asString();
  }

  /** Tomorrow in Oslo; what was there before is told. */
  @BeforeEach
  void anotherDay() {
    Instant noon =
        APP.bean(Calendar.class).now().plus(Duration.ofDays(1)).truncatedTo(ChronoUnit.DAYS);
    midnight = noon.plus(Duration.ofHours(23));
    at(-2);
  }

  /** Lets it be so many hours after midnight in Oslo; alerts run, letters are written and sent. */
  private void at(double hours) {
    APP.setClock(midnight.plus(Duration.ofMinutes((long) (hours * 60))));
    APP.bean(Watching.class).run();
    APP.bean(Digests.class).run();
    APP.bean(MailJob.class).run();
  }

  private static List<MailDrop.Got> got(String email) {
    return APP.outside().mail().gotBy(email);
  }

  /** Works whose titles have the word; answers the word, so that no other test finds them. */
  private static String supply(String word, int many) {
    Supply.made(APP, "d" + ++supplies, 5)
        .take(
            IntStream.range(0, many)
                .mapToObj(
                    i ->
                        Supply.mods(
                            word + i,
                            "Glowworms %s at pond %d <b>".formatted(word, i).replace("<", "&lt;"),
                            "Pond" + i,
                            Supply.doi("10.5555/" + word + "." + i)))
                .toList());
    return word;
  }

  private static JsonNode settings(Client who, Map<String, Object> other) {
    Map<String, Object> body =
        new java.util.HashMap<>(
            Map.of(
                "zone",
                "Europe/Oslo",
                "letters",
                true,
                "letterDays",
                List.of(1, 2, 3, 4, 5, 6, 7),
                "letterHours",
                List.of("07:00"),
                "lettersAtOnce",
                false,
                "lettersOfNothing",
                false));
    body.putAll(other);
    return who.below("").write("PUT", "/api/me/settings", body, UUID.randomUUID()).ok();
  }

  private String round(String alert) {
    return dora.get("/alerts/" + alert).ok().at("/rounds/0/id").asString();
  }

  @DisplayName(
      "One letter over all alerts, each work once with why, ages, access and what was said")
  @Test
  void oneLetter() {
    String one = group.alert(folder, "Apples", "title: aone", "at-once");
    group.alert(folder, "Pears", "title: aone or title: atwo", "at-once");
    supply("aone", 2);
    at(1);
    supply("atwo", 1);
    at(2);
    assertThat(got(bens)).as("not before the hour").isEmpty();
    String work =
        dora.get("/rounds/" + round(one)).ok().at("/arrivals/0/publication/id").asString();
    dora.post(
            "/marks",
            Map.of(
                "publications",
                List.of(work),
                "mark",
                "keep",
                "reason",
                "for the talk",
                "round",
                round(one)))
        .ok();
    dora.post("/publications/" + work + "/remarks", Map.of("text", "@Ben have a look")).ok();
    at(7);
    at(7.5);
    assertThat(got(bens)).hasSize(1);
    MailDrop.Got letter = got(bens).get(0);
    assertThat(letter.subject()).startsWith("3 new, and something waits for you in “Group ");
    String text = letter.text().replaceAll("\\R", "\n");
    assertThat(text)
        .contains("Apples: 2 new", "Pears: 1 new", "/r/" + round(one), "/p/" + work)
        .contains("appeared 4 March 2026, here since ", "aone in title", "also found by “Pears”")
        .contains("Dora Digest: keep, “for the talk”", "@Ben have a look", "/account", "/letters/");
    assertThat(text.split("Glowworms aone at pond 0", -1)).as("each once").hasSize(2);
    assertThat(letter.html())
        .contains(
            "<b>aone</b>",
            "pond 0 &lt;b&gt;",
            "/mark/" + work + "?say&#x3D;keep&amp;in&#x3D;",
            "/mark/" + work + "?say&#x3D;hold+for+text&amp;in&#x3D;")
        .contains("prefers-color-scheme: dark");
    assertThat(got(email(0)).get(0).text())
        .as("what one has looked at comes last, and is said")
        .containsSubsequence("at pond 0", "at pond 1", "You: keep");
    assertThat(got(email(2))).as("guests get what they choose").isEmpty();
    at(24 + 7);
    assertThat(got(bens)).as("nothing came since").hasSize(1);
  }

  @DisplayName("What was withdrawn meanwhile is left out and said; alone it is no letter")
  @Test
  void withdrawn() {
    group.alert(folder, "W", "title: withone", "at-once");
    supply("withone", 2);
    at(1);
    DATABASE.update(
        "update publication set withdrawn = now() where fields->>'title' like '%withone at pond 0%'");
    at(7);
    assertThat(got(bens)).hasSize(1);
    assertThat(got(bens).get(0).text())
        .contains("One work that had come was withdrawn", "pond 1")
        .doesNotContain("pond 0");
    group.alert(folder, "W2", "title: withtwo", "at-once");
    supply("withtwo", 1);
    at(8);
    DATABASE.update(
        "update publication set withdrawn = now() where fields->>'title' like '%withtwo%'");
    at(24 + 7);
    assertThat(got(bens)).hasSize(1);
  }

  @DisplayName("At several hours on some days, at once, or also of nothing")
  @Test
  void moments() {
    settings(ben, Map.of("letterHours", List.of("16:00", "06:30")));
    group.alert(folder, "M", "title: mone", "at-once");
    supply("mone", 1);
    at(6.4);
    assertThat(got(bens)).isEmpty();
    at(6.6);
    assertThat(got(bens)).hasSize(1);
    supply("mone x", 1);
    at(15.9);
    assertThat(got(bens)).hasSize(1);
    at(16);
    assertThat(got(bens)).hasSize(2);

    settings(ben, Map.of("lettersAtOnce", true));
    supply("mone y", 1);
    at(16.5);
    assertThat(got(bens)).as("at once").hasSize(3);
    at(24 + 7);
    assertThat(got(bens)).as("and not again").hasSize(3);

    settings(ben, Map.of("lettersOfNothing", true));
    at(48 + 7);
    assertThat(got(bens)).hasSize(4);
    assertThat(got(bens).get(3).subject()).startsWith("Nothing new in");

    int day =
        midnight
            .plus(Duration.ofHours(72 + 7))
            .atZone(java.time.ZoneId.of("Europe/Oslo"))
            .getDayOfWeek()
            .getValue();
    settings(ben, Map.of("letterDays", List.of(day % 7 + 1), "lettersOfNothing", true));
    at(72 + 8);
    assertThat(got(bens)).hasSize(4);
    at(96 + 8);
    assertThat(got(bens)).hasSize(5);
    for (List<String> bad : List.of(List.<String>of(), List.of("1:00", "2:00"))) {
      assertThat(
              ben.below("")
                  .write("PUT", "/api/me/settings", Map.of("letterHours", bad), UUID.randomUUID())
                  .status())
          .isBetween(400, 422);
    }
  }

  @DisplayName("Who gets an alert: all, whom its setter named, and what each member says since")
  @Test
  void receivers() {
    String saved = group.search(folder, "R", "title: rone").get("id").asString();
    String alert =
        dora.post(
                "/alerts",
                Map.of(
                    "search",
                    saved,
                    "rhythm",
                    "at-once",
                    "receivers",
                    List.of(group.member(0).pid())))
            .ok()
            .get("id")
            .asString();
    String mail = "/alerts/" + alert + "/mail";
    assertThat(ben.get(mail).ok().get("mine").asBoolean()).isFalse();
    Client gus = group.client(2);
    gus.write("PUT", mail, Map.of("receive", true), UUID.randomUUID()).ok();
    supply("rone", 1);
    at(7);
    assertThat(got(bens)).isEmpty();
    assertThat(got(email(0))).hasSize(1);
    assertThat(got(email(2))).hasSize(1);
    assertThat(got(email(2)).get(0).html()).as("guests mark nothing").doesNotContain("/mark/");
    ben.write("PUT", mail, Map.of("receive", true), UUID.randomUUID()).ok();
    JsonNode now = dora.write("PUT", mail, Map.of("receive", false), UUID.randomUUID()).ok();
    assertThat(now.get("names").valueStream().map(JsonNode::asString))
        .containsExactly("Ben Member", "Gus Guest");
    supply("rone z", 1);
    at(24 + 7);
    assertThat(got(bens)).hasSize(1);
    assertThat(got(email(0))).hasSize(1);
    assertThat(
            dora.post(
                    "/alerts",
                    Map.of(
                        "search", group.search(folder, "S", "title: other").get("id").asString(),
                        "rhythm", "daily",
                        "receivers", List.of(APP.group("Olga Other").member(0).pid())))
                .status())
        .isEqualTo(422);
  }

  @DisplayName("RFC 8058: one POST stops an alert, or all; opening it changes nothing")
  @Test
  void stopping() {
    String alert = group.alert(folder, "Stop", "title: sone", "at-once");
    supply("sone", 1);
    at(7);
    MailDrop.Got letter = got(bens).get(0);
    assertThat(letter.stop()).startsWith("http://lantern.test/letters/").doesNotContain(bens);
    String all = URI.create(letter.stop()).getPath();
    String ofAlert =
        letter
            .html()
            .replaceAll(
                "(?s).*href=\"http://lantern.test(/letters/[^\"]*/" + alert + "/[^\"]*)\".*", "$1");
    Client stranger = new Client(APP.address());
    assertThat(stranger.get(ofAlert).body()).contains("“Stop”", "<form method=\"post\"");
    assertThat(stranger.get(all).status()).isEqualTo(200);
    supply("sone b", 1);
    at(24 + 7);
    assertThat(got(bens)).as("looking stopped nothing").hasSize(2);

    assertThat(stranger.oneClick(ofAlert).status()).isEqualTo(200);
    assertThat(stranger.oneClick(ofAlert).status()).as("once more").isEqualTo(200);
    assertThat(ben.get("/alerts/" + alert + "/mail").ok().get("mine").asBoolean()).isFalse();
    supply("sone c", 1);
    at(48 + 7);
    assertThat(got(bens)).hasSize(2);
    assertThat(stranger.oneClick(all).status()).isEqualTo(200);
    assertThat(ben.below("").get("/api/me/settings").ok().get("letters").asBoolean()).isFalse();
    for (String wrong :
        List.of(all + "x", all.replace("/all/", "/" + alert + "/"), "/letters/a/all/b")) {
      assertThat(stranger.oneClick(wrong).status()).as(wrong).isEqualTo(404);
      assertThat(stranger.get(wrong).status()).as(wrong).isEqualTo(404);
    }
  }

  @DisplayName("Letters that come back warn the member; after five the address rests")
  @Test
  void returned() {
    APP.outside().mail().returnInto(RETURNS);
    MailFaults faults = APP.outside().mail().faults();
    settings(ben, Map.of("lettersOfNothing", true));
    try {
      faults.set(MailFaults.Fault.NOBODY_LATER);
      at(7);
      faults.set(MailFaults.Fault.NOBODY);
      at(24 + 7);
    } finally {
      faults.set(MailFaults.Fault.NONE);
    }
    APP.bean(ReturnedLetters.class).run();
    JsonNode arrive = ben.below("").get("/api/me/letters").ok();
    assertThat(arrive.get("came").asInt()).isEqualTo(2);
    assertThat(arrive.get("why").asString()).contains("There is nobody of that name");
    assertThat(arrive.get("rests").asBoolean()).isFalse();

    // The same report once more, one of a letter that was never written, and what is no report.
    for (Path file : files("cur")) {
      copy(file, "again");
      write("made-up", read(file).replaceAll("Message-ID: <[^>]*>", "Message-ID: <x@y.example>"));
      write("broken", "no message\u0000" + read(file).substring(40));
    }
    APP.bean(ReturnedLetters.class).run();
    assertThat(files("new")).isEmpty();
    assertThat(ben.below("").get("/api/me/letters").ok().get("came").asInt()).isEqualTo(2);

    try {
      faults.set(MailFaults.Fault.NOBODY);
      at(48 + 7);
      at(72 + 7);
      at(96 + 7);
    } finally {
      faults.set(MailFaults.Fault.NONE);
    }
    assertThat(ben.below("").get("/api/me/letters").ok().get("rests").asBoolean()).isTrue();
    int before = got(bens).size();
    at(120 + 7);
    assertThat(got(bens)).as("it rests").hasSize(before);
    ben.below("").write("POST", "/api/me/letters/again", Map.of(), UUID.randomUUID()).ok();
    at(144 + 7);
    assertThat(got(bens)).hasSize(before + 1);
  }

  private static List<Path> files(String of) {
    try (var all = Files.list(RETURNS.resolve(of))) {
      return all.toList();
    } catch (IOException failed) {
      throw new java.io.UncheckedIOException(failed);
    }
  }

  private static String read(Path file) {
    try {
      return Files.readString(file);
    } catch (IOException failed) {
      throw new java.io.UncheckedIOException(failed);
    }
  }

  private static void copy(Path file, String name) {
    write(name, read(file));
  }

  private static void write(String name, String text) {
    try {
      Files.writeString(RETURNS.resolve("new").resolve(name), text);
    } catch (IOException failed) {
      throw new java.io.UncheckedIOException(failed);
    }
  }

  @DisplayName("Four processes at the same moment tell each arrival once, under a name that lasts")
  @Test
  void manyProcesses() {
    settings(ben, Map.of("lettersAtOnce", true));
    group.alert(folder, "P", "title: pone", "at-once");
    supply("pone", 70);
    APP.setClock(midnight.plus(Duration.ofHours(1)));
    APP.bean(Watching.class).run();
    CompletableFuture.allOf(
            IntStream.range(0, 4)
                .mapToObj(n -> CompletableFuture.runAsync(APP.bean(Digests.class)::run))
                .toArray(CompletableFuture[]::new))
        .join();
    APP.bean(MailJob.class).run();
    assertThat(got(bens)).hasSize(1);
    assertThat(got(bens).get(0).subject()).startsWith("70 new in");
    assertThat(got(bens).get(0).text())
        .contains("P: 70 new, 60 of them here", "10 more stand in Arrivals");
    assertThat(
            DATABASE.queryForObject(
                "select count(*) from digest_item where membership = ?",
                Integer.class,
                group.member(1).id()))
        .isEqualTo(70);
    at(7);
    assertThat(got(bens)).hasSize(1);
  }

  @DisplayName("Who was away is told of everything once, on the first moment after")
  @Test
  void away() {
    group.alert(folder, "Away", "title: awone", "at-once");
    DATABASE.update(
        "insert into absence (pid, membership, from_day, to_day, at)"
            + " values (gen_random_uuid()::text, ?, ?::date, ?::date, now())",
        group.member(1).id(),
        midnight.plus(Duration.ofHours(12)).toString().substring(0, 10),
        midnight.plus(Duration.ofHours(36)).toString().substring(0, 10));
    supply("awone", 1);
    at(7);
    supply("awone b", 1);
    at(24 + 7);
    assertThat(got(bens)).isEmpty();
    at(48 + 6);
    assertThat(got(bens)).isEmpty();
    at(48 + 7);
    assertThat(got(bens)).hasSize(1);
    assertThat(got(bens).get(0).subject()).startsWith("2 new");
  }

  @DisplayName("What came while no letters were wanted is no news when they are again")
  @Test
  void offAndOn() {
    group.alert(folder, "Off", "title: offone", "at-once");
    settings(ben, Map.of("letters", false));
    supply("offone a", 1);
    at(7);
    settings(ben, Map.of("letters", true));
    at(48);
    supply("offone b", 1);
    at(48 + 7);
    assertThat(got(bens)).hasSize(1);
    assertThat(got(bens).get(0).text()).contains("offone b").doesNotContain("offone a");
  }
}
