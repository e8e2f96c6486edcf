package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.review.OpenPoints;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@DisplayName("V8: a meeting decides for the group on what is raised and what members disagree on")
class MeetingTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group =
      APP.group("Mia Meets", "Mo Meets", "May Meets").guest("Gus Guest");
  private final Client mia = group.client(0);
  private final Client mo = group.client(1);
  private final Client may = group.client(2);
  private final String folder = group.folder("Kept");
  private String round = "";
  private List<String> works = List.of();

  @BeforeEach
  void threeCame() {
    String word = "meet" + UUID.randomUUID().toString().substring(0, 6);
    assertThat(group.alert(folder, word, "title: " + word, "at-once")).isNotEmpty();
    Supply.made(APP, word, 5)
        .take(
            IntStream.range(0, 4)
                .mapToObj(n -> Supply.mods(word + n, word + " number " + n, "Meet", ""))
                .toList());
    APP.bean(Watching.class).run();
    round = mia.get("/rounds").ok().at("/rounds/0/id").asString();
    works =
        mia.get("/rounds/" + round)
            .ok()
            .get("arrivals")
            .valueStream()
            .map(one -> one.get("id").asString())
            .toList();
  }

  private void says(Client who, String mark, int work, String reason) {
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
                round))
        .ok();
  }

  private String called() {
    return mia.post("/meetings", Map.of("day", "2026-12-02", "time", "14:00", "place", "Room 4"))
        .ok()
        .get("id")
        .asString();
  }

  private int version(String meeting) {
    return mia.get("/meetings/" + meeting).ok().at("/meeting/version").asInt();
  }

  private void begun(String meeting, int... there) {
    mia.put(
            "/meetings/" + meeting + "/begin",
            Map.of(
                "present",
                IntStream.of(there).mapToObj(n -> group.member(n).pid()).toList(),
                "version",
                version(meeting)))
        .ok();
  }

  private Client.Response decides(
      Client who, UUID act, String meeting, int work, String what, String was, String... outOf) {
    Map<String, Object> body =
        new HashMap<>(
            Map.of(
                "publication", works.get(work), "what", what, "words", "As we said.", "was", was));
    body.put("folder", folder);
    body.put("outOf", List.of(outOf));
    return who.write("POST", "/meetings/" + meeting + "/decisions", body, act);
  }

  private static Stream<String> onAgenda(Client who, String meeting) {
    return who.get("/meetings/" + meeting + "/works")
        .ok()
        .valueStream()
        .map(one -> one.at("/work/arrival/id").asString() + " " + one.get("why").asString());
  }

  private List<String> list(Client who, String list) {
    return who.get("/arrivals/" + list)
        .ok()
        .get("arrivals")
        .valueStream()
        .map(one -> one.at("/arrival/id").asString())
        .toList();
  }

  private List<String> lamps(int work) {
    return mia.get("/rounds/" + round)
        .ok()
        .get("arrivals")
        .valueStream()
        .filter(one -> one.get("id").asString().equals(works.get(work)))
        .flatMap(one -> one.get("lamps").valueStream())
        .map(lamp -> lamp.path("mark").asString("-"))
        .toList();
  }

  private List<String> kept() {
    return mia.get("/folders/" + folder)
        .ok()
        .get("ids")
        .valueStream()
        .map(JsonNode::asString)
        .toList();
  }

  private static void undo(Client who, UUID act) {
    who.post("/actions/" + act + "/undo", Map.of()).ok();
  }

  @DisplayName(
      "What is decided settles both, is kept by the group, and marks who was there as seen")
  @Test
  void decides() {
    says(mia, "keep", 0, "night work");
    says(mo, "pass", 0, "no lamps");
    says(mo, "raise", 1, "Is this ours?");
    says(may, "hold", 1, "");
    String meeting = called();
    assertThat(onAgenda(may, meeting))
        .containsExactly(works.get(1) + " raised", works.get(0) + " disputed");
    begun(meeting, 0, 1, 2);
    UUID kept = UUID.randomUUID();
    decides(mo, kept, meeting, 1, "keep", "").ok();
    assertThat(kept()).as("in the group's name").contains(works.get(1));
    assertThat(lamps(1)).as("who said something said it").containsExactly("seen", "raise", "hold");
    assertThat(list(may, "raised")).isEmpty();
    assertThat(list(may, "unsure")).as("what one is unsure of is one's own").hasSize(1);

    UUID passed = UUID.randomUUID();
    decides(mo, passed, meeting, 0, "pass", "", folder).ok();
    assertThat(kept()).containsExactly(works.get(1));
    assertThat(list(mia, "disputed")).isEmpty();
    assertThat(lamps(0)).containsExactly("keep", "pass", "seen");
    JsonNode decided = mia.get("/publications/" + works.get(0) + "/decisions").ok();
    assertThat(decided.at("/0/what").asString()).isEqualTo("pass");
    assertThat(decided.at("/0/words").asString()).isEqualTo("As we said.");
    assertThat(APP.bean(OpenPoints.class).look()).as("every night").isZero();

    undo(mo, passed);
    assertThat(kept()).containsExactlyInAnyOrder(works.get(0), works.get(1));
    assertThat(lamps(0)).containsExactly("keep", "pass", "-");
    assertThat(list(mia, "disputed")).containsExactly(works.get(0));
    undo(mo, kept);
    assertThat(kept()).containsExactly(works.get(0));
    assertThat(list(mia, "raised")).containsExactly(works.get(1));
    assertThat(APP.bean(OpenPoints.class).look()).isZero();
  }

  @DisplayName(
      "What is said later stands open again; what the group keeps a member does not take out")
  @Test
  void later() {
    says(mo, "raise", 0, "");
    String meeting = called();
    begun(meeting, 0, 1);
    decides(mo, UUID.randomUUID(), meeting, 0, "keep", "").ok();
    says(mo, "keep", 0, "mine, too");
    says(mo, "pass", 0, "or not");
    assertThat(kept()).as("the group keeps it").containsExactly(works.get(0));
    assertThat(list(mia, "disputed")).as("one passes it, and no member keeps it").isEmpty();
    says(may, "keep", 0, "");
    assertThat(list(mia, "disputed")).containsExactly(works.get(0));
    says(may, "raise", 0, "again?");
    assertThat(list(mia, "raised")).containsExactly(works.get(0));
    assertThat(APP.bean(OpenPoints.class).look()).isZero();
  }

  @DisplayName(
      "Decided otherwise: it leaves its folder; taken back, the first decision counts again")
  @Test
  void otherwise() {
    says(mo, "raise", 0, "");
    String meeting = called();
    begun(meeting, 0);
    decides(mia, UUID.randomUUID(), meeting, 0, "keep", "").ok();
    Client.Response late = decides(mo, UUID.randomUUID(), meeting, 0, "pass", "");
    assertThat(late.status()).as("who has not seen what was written down").isEqualTo(409);
    assertThat(late.type()).isEqualTo("changed-since");
    UUID other = UUID.randomUUID();
    decides(mo, other, meeting, 0, "open", "keep").ok();
    assertThat(kept()).isEmpty();
    assertThat(list(mia, "raised")).as("left open").containsExactly(works.get(0));
    undo(mo, other);
    assertThat(kept()).containsExactly(works.get(0));
    assertThat(list(mia, "raised")).isEmpty();
  }

  @DisplayName(
      "Its agenda stands when it begins; what is raised since is taken on when one says so")
  @Test
  void agenda() {
    says(mo, "raise", 0, "");
    String meeting = called();
    begun(meeting, 0);
    says(may, "raise", 2, "");
    assertThat(onAgenda(mia, meeting)).containsExactly(works.get(0) + " raised");
    assertThat(mia.get("/meetings/" + meeting).ok().get("since").asInt()).isEqualTo(1);
    assertThat(decides(mia, UUID.randomUUID(), meeting, 2, "keep", "").status())
        .as("not on its agenda")
        .isEqualTo(404);
    UUID taken = UUID.randomUUID();
    may.post("/meetings/" + meeting + "/works", Map.of(), taken).ok();
    assertThat(onAgenda(mia, meeting))
        .containsExactly(works.get(0) + " raised", works.get(2) + " raised");
    UUID decided = UUID.randomUUID();
    decides(mia, decided, meeting, 2, "pass", "").ok();
    assertThat(may.post("/actions/" + taken + "/undo", Map.of()).type())
        .as("it was decided on since")
        .isEqualTo("changed-since");
    undo(mia, decided);
    undo(may, taken);
    assertThat(onAgenda(mia, meeting)).hasSize(1);

    Map<String, Integer> seen = Map.of("version", version(meeting));
    mia.put("/meetings/" + meeting + "/end", seen).ok();
    assertThat(decides(mia, UUID.randomUUID(), meeting, 0, "pass", "").type())
        .as("over")
        .isEqualTo("changed-since");
    assertThat(mo.put("/meetings/" + meeting + "/end", seen).status()).isEqualTo(409);
  }

  @DisplayName("Minutes tell what each had said before, whatever they say since; kept in a folder")
  @Test
  void minutes() {
    says(mia, "keep", 0, "night work");
    says(mo, "pass", 0, "no lamps");
    says(mo, "raise", 1, "Is this ours?");
    says(may, "raise", 2, "");
    String meeting = called();
    assertThat(mia.get("/report?of=meeting:" + meeting).status()).as("not begun").isEqualTo(404);
    begun(meeting, 0, 1);
    decides(mia, UUID.randomUUID(), meeting, 0, "keep", "").ok();
    decides(mia, UUID.randomUUID(), meeting, 1, "open", "").ok();
    says(mo, "keep", 0, "I was wrong");
    mia.put("/meetings/" + meeting + "/end", Map.of("version", version(meeting))).ok();
    says(may, "seen", 2, "");
    String told = mia.get("/report/text?of=meeting:" + meeting).body();
    assertThat(told)
        .contains("Meeting of 2 December 2026", "Room 4", "There: Mia Meets, Mo Meets.")
        .contains("Not there: May Meets.", "1. Left open", "2. Not talked about", "3. Kept in Kept")
        .contains("no lamps", "Is this ours?", "As we said.")
        .doesNotContain("I was wrong", "Gus");
    String note =
        may.post("/folders/" + folder + "/notes", Map.of("of", "meeting:" + meeting))
            .ok()
            .at("/note/id")
            .asString();
    assertThat(mo.get("/notes/" + note).body()).contains("Is this ours?");
    assertThat(mia.getBytes("/report/docx?of=meeting:" + meeting)).startsWith('P', 'K');
    JsonNode page = mia.get("/meetings").ok();
    assertThat(page.get("over").get(0).get("decided").asInt()).isEqualTo(1);
    assertThat(page.get("standing").asInt()).as("what was left open").isEqualTo(1);
  }

  @DisplayName("Its agenda goes to every member by mail, and not again within ten minutes")
  @Test
  void letters() {
    says(mo, "raise", 0, "Is <this> ours?");
    String meeting = called();
    String path = "/meetings/" + meeting + "/letters";
    assertThat(mia.post(path, Map.of()).ok().get("letters").asInt()).isEqualTo(3);
    List<String> letters = new ArrayList<>();
    APP.bean(JdbcTemplate.class)
        .query(
            "select body_text, body_html from outbox where subject like ? and body_text like ?",
            row -> {
              letters.add(row.getString(1) + row.getString(2));
            },
            "%2 December 2026, 14:00",
            "%" + meeting + "%");
    assertThat(letters)
        .hasSize(3)
        .allSatisfy(
            one ->
                assertThat(one)
                    .contains("Mo Meets: raise, “Is <this> ours?”", "Room 4")
                    .contains("Is &lt;this&gt; ours?", "/meetings/" + meeting));
    assertThat(mo.post(path, Map.of()).type()).isEqualTo("sent-before");
    begun(meeting);
    assertThat(mo.post(path, Map.of()).type()).isEqualTo("changed-since");
  }

  @DisplayName("Two who change it at once, a guest, a folder for some, a work that is not on it")
  @Test
  void roughHands() {
    says(mo, "raise", 0, "");
    String meeting = called();
    Map<String, Object> moved =
        Map.of("day", "2026-12-03", "time", "09:00", "place", "x".repeat(201), "version", 0);
    assertThat(mo.put("/meetings/" + meeting, moved).status()).isEqualTo(422);
    Map<String, Object> right = new HashMap<>(moved);
    right.put("place", "Room 5");
    mo.put("/meetings/" + meeting, right).ok();
    assertThat(mia.put("/meetings/" + meeting, right).type()).isEqualTo("changed-since");
    Map<String, Object> there =
        Map.of("present", List.of(group.member(3).pid()), "version", version(meeting));
    assertThat(mia.put("/meetings/" + meeting + "/begin", there).status())
        .as("guests are not noted")
        .isEqualTo(422);
    assertThat(decides(mia, UUID.randomUUID(), meeting, 0, "keep", "").type())
        .as("not begun")
        .isEqualTo("changed-since");
    begun(meeting, 0);
    List<String> one = List.of(works.get(3));
    String pile =
        mia.post("/pile/items", Map.of("publications", one, "note", ""))
            .ok()
            .get("folderId")
            .asString();
    Map<String, Object> body =
        Map.of("publication", works.get(0), "what", "keep", "words", "", "was", "", "folder", pile);
    assertThat(mia.post("/meetings/" + meeting + "/decisions", body).status()).isBetween(404, 409);
    assertThat(list(mia, "raised")).as("nothing of it was done").hasSize(1);
    assertThat(decides(mia, UUID.randomUUID(), meeting, 0, "maybe", "").status()).isEqualTo(422);
    mo.write("DELETE", "/meetings/" + meeting, Map.of("version", 2), UUID.randomUUID());
    assertThat(version(meeting)).as("it is under way").isEqualTo(2);
    assertThat(group.client(3).get("/meetings/" + meeting).status()).isEqualTo(200);
    String off = called();
    UUID act = UUID.randomUUID();
    mo.write("DELETE", "/meetings/" + off, Map.of("version", 0), act).ok();
    assertThat(mia.get("/meetings").ok().get("ahead")).hasSize(1);
    undo(mo, act);
    assertThat(mia.get("/meetings").ok().get("ahead")).hasSize(2);
  }
}
