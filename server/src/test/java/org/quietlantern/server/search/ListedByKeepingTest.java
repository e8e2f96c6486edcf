package org.quietlantern.server.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** M9: what differs by member only filters the list. */
class ListedByKeepingTest {
  private static final TestApp APP = TestApp.shared();
  private static final String LINE = "moth* or bat*";
  private final TestGroup group = APP.group("Mia Member", "Moe Member");
  private final Client mia = group.client(0);
  private final Client moe = group.client(1);
  private final List<String> all = group.find(LINE);

  private static JsonNode search(Client who, String kept, String order) {
    return who.post("/search", Map.of("text", LINE, "kept", kept, "order", order))
        .ok()
        .get("answer");
  }

  private static List<String> ids(JsonNode answer) {
    return answer.get("ids").valueStream().map(JsonNode::asString).toList();
  }

  private void keep(Client who, String path, List<String> works) {
    who.post(path + "/items", Map.of("publications", works, "note", "")).ok();
  }

  private Stream<String> without(List<String> some) {
    return all.stream().filter(one -> !some.contains(one));
  }

  @DisplayName("Kept nowhere yet: in no folder and not in one's own pile; count and order stay")
  @Test
  void nowhere() {
    String folder = group.folder("Some");
    keep(mia, "/folders/" + folder, all.subList(0, 3));
    keep(moe, "/pile", all.subList(3, 4));
    JsonNode hers = search(mia, "nowhere", "relevance");
    assertThat(hers.get("count").asInt()).isEqualTo(all.size());
    assertThat(hers.get("listed").asInt()).isEqualTo(all.size() - 3);
    assertThat(ids(hers)).containsExactlyElementsOf(without(all.subList(0, 3)).toList());
    assertThat(ids(search(moe, "nowhere", "relevance")))
        .as("a pile is its owner's")
        .containsExactlyElementsOf(without(all.subList(0, 4)).toList());
    List<String> byTitle =
        group
            .client(0)
            .post("/search", Map.of("text", LINE, "order", "title"))
            .ok()
            .at("/answer/ids")
            .valueStream()
            .map(JsonNode::asString)
            .filter(one -> !all.subList(0, 3).contains(one))
            .toList();
    assertThat(ids(search(mia, "nowhere", "title"))).containsExactlyElementsOf(byTitle);
    mia.write("DELETE", "/folders/" + folder, Map.of(), java.util.UUID.randomUUID()).ok();
    assertThat(search(mia, "nowhere", "relevance").get("listed").asInt())
        .as("what lies in the bin is kept nowhere")
        .isEqualTo(all.size());
  }

  @DisplayName("In one folder: what of the result lies there; one that is not seen is unknown")
  @Test
  void inOne() {
    String folder = group.folder("Some");
    keep(mia, "/folders/" + folder, all.subList(2, 5));
    keep(mia, "/folders/" + folder, group.find("not (moth* or bat*)").subList(0, 2));
    JsonNode answer = search(moe, folder, "relevance");
    assertThat(answer.get("count").asInt()).isEqualTo(all.size());
    assertThat(ids(answer)).containsExactlyElementsOf(all.subList(2, 5));
    mia.put(
            "/folders/" + folder + "/rights",
            Map.of(
                "openTo",
                "named",
                "groupMay",
                "edit",
                "named",
                List.of(Map.of("member", group.member(0).pid(), "may", "edit")),
                "version",
                1))
        .ok();
    assertThat(moe.post("/search", Map.of("text", LINE, "kept", folder)).status()).isEqualTo(404);
    assertThat(ids(search(moe, "nowhere", "relevance"))).containsExactlyElementsOf(all);
    assertThat(moe.post("/search", Map.of("text", LINE, "kept", "nothing")).status())
        .isEqualTo(404);
  }
}
