package org.quietlantern.server.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** The saved searches that stand in a folder. */
class SearchesOfFolderTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Bea Saver", "Bo Saver");
  private final Client bea = group.client(0);
  private final Client bo = group.client(1);
  private final String folder = group.folder("Verges");

  @DisplayName("A saved search is copied as it is now, and the copy goes its own way")
  @Test
  void copied() {
    String search = group.search(folder, "Moths", "moth").get("id").asString();
    String other = group.folder("Other");
    UUID command = UUID.randomUUID();
    Map<String, String> to = Map.of("name", "Moths", "folder", other);
    JsonNode copy = bo.post("/searches/" + search + "/copies", to, command).ok();
    assertThat(copy.at("/folder/id").asString()).isEqualTo(other);
    assertThat(copy.get("by").asString()).isEqualTo("Bo Saver");
    assertThat(copy.get("strategy")).isEqualTo(bea.get("/searches/" + search).ok().get("strategy"));
    assertThat(bo.post("/searches/" + search + "/copies", to).type()).isEqualTo("search-there");
    bo.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(bea.get("/searches/" + copy.get("id").asString()).status()).isEqualTo(404);
    assertThat(bea.get("/searches/" + search).status()).isEqualTo(200);
  }

  @DisplayName("What each found when it was saved stands beside what it finds now")
  @Test
  void thenAndNow() {
    JsonNode saved = group.search(folder, "Everything", TestGroup.EVERYTHING);
    int then = saved.get("count").asInt();
    assertThat(now(saved)).isEqualTo(then);
    APP.passUntilSomethingCame();
    assertThat(now(saved)).isGreaterThan(then);
    JsonNode still = bea.get("/folders/" + folder + "/searches").ok().get(0);
    assertThat(still.get("count").asInt()).isEqualTo(then);
  }

  private int now(JsonNode saved) {
    JsonNode counts = bea.get("/folders/" + folder + "/searches/counts").ok();
    assertThat(counts.get(0).get("id")).isEqualTo(saved.get("id"));
    return counts.get(0).get("count").asInt();
  }
}
