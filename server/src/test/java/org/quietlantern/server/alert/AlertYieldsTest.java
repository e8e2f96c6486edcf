package org.quietlantern.server.alert;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("What came of what an alert brought")
class AlertYieldsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Yva Yield", "Yan Yield");
  private final Client yva = group.client(0);
  private final String folder = group.folder("Kept");

  private static void supply(String key, String word, int many) {
    List<SourceRecord> records = new ArrayList<>();
    for (int n = 0; n < many; n++) {
      records.add(Supply.mods(key + n, "%s %s %d".formatted(word, key, n), "Pond" + n, ""));
    }
    Supply.made(APP, key, 5).take(records);
  }

  private JsonNode came(String alert) {
    return yva.get("/alerts/" + alert + "/yield").ok();
  }

  private void mark(Client who, List<String> publications, String mark) {
    if (mark.equals("keep")) {
      who.post("/folders/" + folder + "/items", Map.of("publications", publications, "note", ""))
          .ok();
    } else {
      who.post("/marks", Map.of("publications", publications, "mark", mark, "reason", "")).ok();
    }
  }

  @DisplayName("Word by word, with what could be spared; what it says holds over all that came")
  @Test
  void words() {
    JsonNode search = group.search(folder, "Yields", "title: (quern* or sluice*)");
    String alert =
        yva.post("/alerts", Map.of("search", search.get("id").asString(), "rhythm", "daily"))
            .ok()
            .get("id")
            .asString();
    assertThat(came(alert).get("arrivals").asInt()).isZero();
    supply("querns", "Quern", 4);
    supply("sluices", "Sluice", 12);
    supply("both", "Quern and sluice", 1);
    APP.bean(Watching.class).run();
    // Another group's marks on the same works are not ours.
    TestGroup others = APP.group("Otto Other");
    others
        .client(0)
        .post(
            "/marks",
            Map.of("publications", group.find("title: querns"), "mark", "pass", "reason", ""))
        .ok();
    mark(yva, group.find("title: querns").subList(0, 2), "keep");
    mark(yva, group.find("title: sluices").subList(0, 3), "pass");
    mark(group.client(1), group.find("title: querns").subList(0, 1), "pass");

    JsonNode all = came(alert);
    assertThat(all.get("arrivals").asInt()).isEqualTo(17);
    assertThat(all.get("kept").asInt()).isEqualTo(2);
    assertThat(all.get("passed").asInt()).isEqualTo(3);
    assertThat(all.get("unseen").asInt()).isEqualTo(12);
    assertThat(all.at("/words/0/typed").asString()).isEqualTo("sluice*");
    assertThat(all.at("/words/0/brought").asInt()).isEqualTo(13);
    assertThat(all.at("/words/0/kept").asInt()).isZero();
    assertThat(all.at("/words/1/brought").asInt()).isEqualTo(5);
    assertThat(all.get("spared")).hasSize(1);
    JsonNode spared = all.at("/spared/0");
    assertThat(spared.get("says").asString()).isEqualTo("title: quern*");
    assertThat(spared.get("lost").asInt()).as("that came by no other word").isEqualTo(12);
    assertThat(spared.get("lostKept").asInt()).isZero();

    mark(yva, group.find("title: sluices").subList(4, 5), "keep");
    assertThat(came(alert).get("spared")).as("one in thirteen is worth it").isEmpty();
    assertThat(group.client(1).get("/alerts/zzzzzzzzzz/yield").status()).isEqualTo(404);
  }
}
