package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("V9: each work that came has one fate, and each number leads to as many works")
class FlowTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Flo Flows", "Fay Flows").guest("Gil Guest");
  private final Client flo = group.client(0);
  private final Client fay = group.client(1);
  private final String folder = group.folder("Kept");
  private final String word = "flow" + UUID.randomUUID().toString().substring(0, 6);
  private final String alert = group.alert(folder, word, "title: " + word, "at-once");
  private final List<String> works = came();

  private List<String> came() {
    Supply.made(APP, word, 5)
        .take(
            IntStream.range(0, 7)
                .mapToObj(n -> Supply.mods(word + n, word + " number " + n, "Flow", ""))
                .toList());
    APP.bean(Watching.class).run();
    return flo.get("/rounds/" + flo.get("/rounds").ok().at("/rounds/0/id").asString())
        .ok()
        .get("arrivals")
        .valueStream()
        .map(one -> one.get("id").asString())
        .toList();
  }

  private void says(Client who, String mark, int work, String reason) {
    String round = flo.get("/rounds").ok().at("/rounds/0/id").asString();
    List<String> one = List.of(works.get(work));
    who.post("/marks", Map.of("publications", one, "mark", mark, "reason", reason, "round", round))
        .ok();
  }

  private Map<String, Integer> numbers(String asked) {
    Map<String, Integer> all = new HashMap<>();
    for (JsonNode box : flo.get("/flow" + asked).ok().get("boxes")) {
      all.put(box.get("key").asString(), box.get("n").asInt());
      box.get("parts").forEach(p -> all.put(p.get("key").asString(), p.get("n").asInt()));
    }
    return all;
  }

  private List<String> leadsTo(String number) {
    return flo.get(
            "/flow/works?number="
                + java.net.URLEncoder.encode(number, java.nio.charset.StandardCharsets.UTF_8))
        .ok()
        .get("works")
        .valueStream()
        .map(one -> one.get("id").asString())
        .toList();
  }

  private void fates() {
    says(flo, "keep", 0, "");
    says(flo, "pass", 1, "no data");
    says(fay, "pass", 1, "");
    says(flo, "keep", 2, "");
    says(fay, "pass", 2, "not ours");
    says(fay, "raise", 3, "Is it?");
    says(fay, "seen", 4, "");
    says(fay, "hold", 5, "");
  }

  @DisplayName("From the sources to what is kept: by mark, by reason, by what keeps it open")
  @Test
  void fate() {
    fates();
    Map<String, Integer> n = numbers("");
    assertThat(n)
        .containsEntry("found", 7)
        .containsEntry("joined", 0)
        .containsEntry("came", 7)
        .containsEntry("nobody", 1)
        .containsEntry("passed:no data", 1)
        .containsEntry("open:we disagree", 1)
        .containsEntry("open:raised", 1)
        .containsEntry("open:on hold", 1)
        .containsEntry("seen", 1)
        .containsEntry("kept", 1);
    n.forEach(
        (number, count) -> {
          if (!number.equals("joined")) {
            assertThat(leadsTo(number)).as(number).hasSize(count);
          }
        });
    assertThat(leadsTo("passed:no data")).containsExactly(works.get(1));
    assertThat(leadsTo("whatever")).isEmpty();
    assertThat(numbers("?alert=" + alert)).isEqualTo(n);
    assertThat(numbers("?from=2020-01-01&to=2020-12-31")).containsEntry("came", 0);
    assertThat(flo.get("/flow?from=2026-12-31&to=2026-01-01").status()).isEqualTo(422);
    assertThat(flo.get("/flow?alert=nowhere").status()).isEqualTo(404);
  }

  @DisplayName("What a meeting comes to counts; works that turn out to be one are one")
  @Test
  void together() {
    fates();
    String meeting =
        flo.post("/meetings", Map.of("day", "2026-12-02", "time", "14:00", "place", ""))
            .ok()
            .get("id")
            .asString();
    flo.put("/meetings/" + meeting + "/begin", Map.of("present", List.of(), "version", 0)).ok();
    decides(meeting, 2, "pass");
    decides(meeting, 3, "keep");
    assertThat(numbers(""))
        .containsEntry("passed:decided together", 1)
        .containsEntry("kept", 2)
        .doesNotContainKeys("open:we disagree", "open:raised");
    assertThat(leadsTo("kept")).containsExactlyInAnyOrder(works.get(0), works.get(3));
  }

  private void decides(String meeting, int work, String what) {
    Map<String, Object> body = new HashMap<>();
    body.put("publication", works.get(work));
    body.put("what", what);
    body.put("words", "");
    body.put("was", "");
    body.put("folder", folder);
    flo.post("/meetings/" + meeting + "/decisions", body).ok();
  }

  @DisplayName("As a report, with names only where one asks for them; a drawing that is XML")
  @Test
  void report() {
    fates();
    String name = flo.get("/flow?alert=" + alert).ok().get("name").asString();
    String told = flo.get("/report/text?of=" + name).body();
    assertThat(told)
        .contains("What became of what “" + word + "” brought")
        .contains("no data", "Not looked at yet", word)
        .doesNotContain("Fay Flows\t", "Who reviewed");
    assertThat(flo.get("/report/text?of=" + name + ":names").body())
        .contains("Who reviewed", "Fay Flows");
    assertThat(flo.get("/flow/drawing?alert=" + alert).body())
        .startsWith("<svg ")
        .contains("no data");
    for (String wrong :
        List.of("flow:all", "flow:all:yesterday:today", "flow:nowhere:2026-01-01:2026-02-01")) {
      assertThat(flo.get("/report?of=" + wrong).status()).as(wrong).isEqualTo(404);
    }
    assertThat(group.client(2).get("/flow").status()).as("guests read").isEqualTo(200);
    Client stranger = APP.group("Sid Stranger").client(0);
    assertThat(stranger.get("/report?of=" + name).status()).isEqualTo(404);
    assertThat(stranger.get("/flow").ok().at("/boxes/0/n").asInt()).isZero();
  }
}
