package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** Strategies of several lines over HTTP. */
class SheetTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Sven Sheet", "Siri Sheet");
  private final Client sven = group.client(0);

  private static Map<String, Object> words(String id, String text) {
    return Map.of("id", id, "kind", "words", "text", text);
  }

  private static Map<String, Object> limit(String property, String... chosen) {
    return Map.of("id", property, "kind", "limit", "property", property, "chosen", List.of(chosen));
  }

  private static Map<String, Object> strategy(Object... lines) {
    return Map.of("version", 2, "lines", List.of(lines));
  }

  private JsonNode answer(Object... lines) {
    return sven.post("/search", Map.of("strategy", strategy(lines))).ok().get("answer");
  }

  private static JsonNode line(JsonNode answer, String id) {
    return answer
        .get("lines")
        .valueStream()
        .filter(l -> l.get("line").asString().equals(id))
        .findFirst()
        .orElseThrow();
  }

  @DisplayName("M10: counts of every line, and which one costs most")
  @Test
  void counts() {
    JsonNode answer =
        answer(words("a", "moths or bats"), words("b", "dimming"), limit("kind", "article"));
    int all = answer.get("count").asInt();
    assertThat(line(answer, "kind").get("left").asInt()).isEqualTo(all);
    assertThat(line(answer, "a").get("left")).isEqualTo(line(answer, "a").get("alone"));
    assertThat(line(answer, "b").get("without").asInt())
        .isEqualTo(
            answer(words("a", "moths or bats"), limit("kind", "article")).get("count").asInt());
    assertThat(
            answer.get("lines").valueStream().filter(l -> l.get("costsMost").asBoolean()).count())
        .isPositive();
    assertThat(line(answer, "b").get("forms").get(0).get("forms").valueStream())
        .extracting(JsonNode::asString)
        .contains("dimming");
  }

  @DisplayName("M9: the same strategy finds the same on the sheet, in a saved search and an alert")
  @Test
  void oneMatcher() {
    Map<String, Object> whole = strategy(words("a", "moths or bats"), limit("kind", "article"));
    int count =
        sven.post("/search", Map.of("strategy", whole)).ok().get("answer").get("count").asInt();
    String folder = group.folder("Sheets");
    JsonNode saved =
        sven.post(
                "/folders/" + folder + "/searches",
                Map.of("name", "Articles", "asked", Map.of("strategy", whole)))
            .ok();
    assertThat(saved.get("count").asInt()).isEqualTo(count);
    JsonNode alert =
        sven.post("/alerts", Map.of("search", saved.get("id").asString(), "rhythm", "daily")).ok();
    assertThat(alert.get("baseline").asInt()).isEqualTo(count);
    String name = "s:" + saved.get("id").asString() + ":1";
    Map<String, Object> held = Map.of("id", "h", "kind", "held", "strategies", List.of(name));
    assertThat(answer(held).get("count").asInt()).isEqualTo(count);
    JsonNode cql = sven.post("/search/cql", Map.of("strategy", strategy(held))).ok();
    assertThat(cql.get("sentence").asString()).contains("Articles, revision 1");
    assertThat(
            sven.post("/search/cql/read", Map.of("cql", cql.get("cql").asString()))
                .ok()
                .get("lines")
                .size())
        .isEqualTo(1);
  }

  @DisplayName("N9: an alert that depends on the moment is refused, naming the line")
  @Test
  void momentsAreNotWatched() {
    String folder = group.folder("Moments");
    Map<String, Object> came =
        Map.of("id", "c", "kind", "limit", "property", "came", "from", "2026-01-01");
    JsonNode saved =
        sven.post(
                "/folders/" + folder + "/searches",
                Map.of(
                    "name",
                    "New",
                    "asked",
                    Map.of("strategy", strategy(words("a", "moths"), came))))
            .ok();
    Client.Response refused =
        sven.post("/alerts", Map.of("search", saved.get("id").asString(), "rhythm", "daily"));
    assertThat(refused.type()).isEqualTo("not-watchable");
    assertThat(refused.json().get("line").asString()).isEqualTo("c");
  }

  @DisplayName("What another group holds is not there; what cannot be read is said")
  @Test
  void heldByOthersOnly() {
    TestGroup others = APP.group("Olga Other");
    String folder = others.folder("Theirs");
    String id = others.search(folder, "Moths", "moths").get("id").asString();
    Map<String, Object> held =
        Map.of("id", "h", "kind", "held", "strategies", List.of("s:" + id + ":1"));
    Client.Response refused = sven.post("/search", Map.of("strategy", strategy(held)));
    assertThat(refused.json().get("problems").get(0).get("code").asString())
        .isEqualTo("HELD_UNKNOWN");
  }

  @DisplayName("A strategy of each former version is read; of one to come it is refused")
  @Test
  void versions() {
    for (int version = 1; version <= 3; version++) {
      Map<String, Object> old = Map.of("version", version, "lines", List.of(words("1", "moths")));
      assertThat(
              sven.post("/search", Map.of("strategy", old)).ok().get("answer").get("count").asInt())
          .isEqualTo(answer(words("1", "moths")).get("count").asInt());
    }
    Map<String, Object> later = Map.of("version", 4, "lines", List.of(words("1", "moths")));
    assertThat(sven.post("/search", Map.of("strategy", later)).type()).isEqualTo("strategy");
    assertThat(sven.post("/search", Map.of("strategy", strategy(limit("colour", "red")))).type())
        .isEqualTo("strategy");
    assertThat(sven.post("/search", Map.of("strategy", strategy())).ok().get("problems").size())
        .isEqualTo(1);
  }

  @DisplayName("O4: the same strategy has the same address, whatever its lines are called")
  @Test
  void oneAddress() {
    JsonNode first = step(words("l1", "moths"), words("l2", "dimming"));
    JsonNode second = step(words("l8", "moths"), words("l9", "dimming"));
    assertThat(second.get("q")).isEqualTo(first.get("q"));
    assertThat(second.get("step")).isEqualTo(first.get("step"));
  }

  private JsonNode step(Object... lines) {
    Map<String, Object> asked = Map.of("strategy", strategy(lines));
    return sven.post("/steps", Map.of("asked", asked, "order", "relevance")).ok();
  }

  @DisplayName("200 lines and 20,000 characters are served; beyond, the bound is said")
  @Test
  void bounds() {
    List<Object> lines = new ArrayList<>();
    IntStream.range(0, 200).forEach(i -> lines.add(words("l" + i, "moth" + " or bat".repeat(11))));
    assertThat(answer(lines.toArray()).get("lines").size()).isEqualTo(200);
    lines.add(words("one too many", "moth"));
    assertThat(sven.post("/search", Map.of("strategy", strategy(lines.toArray()))).body())
        .contains("it has 201 lines; the most are 200");
    List<Object> long1 =
        IntStream.range(0, 11).mapToObj(i -> (Object) words("l" + i, "moth ".repeat(400))).toList();
    assertThat(sven.post("/search", Map.of("strategy", strategy(long1.toArray()))).body())
        .contains("the most are 20,000");
  }

  @DisplayName("L4: reversed years are swapped and said; unreadable ones are refused")
  @Test
  void years() {
    Map<String, Object> reversed =
        Map.of("id", "d", "kind", "limit", "property", "date", "from", "2026", "to", "2020");
    Map<String, Object> forwards =
        Map.of("id", "d", "kind", "limit", "property", "date", "from", "2020", "to", "2026");
    JsonNode answer = answer(words("a", "moths"), reversed);
    assertThat(answer.get("count")).isEqualTo(answer(words("a", "moths"), forwards).get("count"));
    assertThat(answer.get("notes").get(0).get("code").asString()).isEqualTo("RANGE_REVERSED");
    Map<String, Object> soon =
        Map.of("id", "d", "kind", "limit", "property", "date", "from", "soon");
    assertThat(sven.post("/search", Map.of("strategy", strategy(soon))).body())
        .contains("“soon” cannot be read as a year (2016) or a month (2016-03)");
  }

  @DisplayName("L6, L7: the breakdown by access follows the group's holdings, for this group only")
  @Test
  void holdings() {
    Map<String, Object> asked =
        Map.of("strategy", strategy(words("a", "moths or bats or light")), "property", "access");
    assertThat(values(sven.post("/search/breakdown", asked).ok())).doesNotContain("yours to read");
    String file = org.quietlantern.standins.corpus.Holdings.kbart() + "Broken\t\t\tsoon\n";
    JsonNode taken =
        sven.write(
                "PUT",
                "/holdings/group",
                Map.of("name", "ours.txt", "file", file),
                java.util.UUID.randomUUID())
            .ok();
    assertThat(taken.get("titles").asInt()).isGreaterThan(40);
    assertThat(taken.get("problems").size()).isEqualTo(1);
    JsonNode breakdown = sven.post("/search/breakdown", asked).ok();
    assertThat(values(breakdown)).contains("yours to read");
    int sum = breakdown.get("bars").valueStream().mapToInt(b -> b.get("count").asInt()).sum();
    assertThat(sum + breakdown.get("unknown").asInt()).isEqualTo(breakdown.get("base").asInt());
    int held =
        answer(words("a", "moths or bats or light"), limit("access", "yours to read"))
            .get("count")
            .asInt();
    assertThat(held).isPositive();
    assertThat(values(APP.group("Nils Nothing").client(0).post("/search/breakdown", asked).ok()))
        .doesNotContain("yours to read");
    Client.Response refused =
        group
            .client(1)
            .write(
                "PUT",
                "/holdings/group",
                Map.of("name", "x", "file", file),
                java.util.UUID.randomUUID());
    assertThat(refused.type()).isEqualTo("not-yours");
    assertThat(
            sven.write(
                    "PUT",
                    "/holdings/group",
                    Map.of("name", "x", "file", "no,kbart"),
                    java.util.UUID.randomUUID())
                .type())
        .isEqualTo("holdings-file");
    assertThat(sven.get("/holdings/group").ok().get("name").asString()).isEqualTo("ours.txt");
  }

  private static List<String> values(JsonNode breakdown) {
    return breakdown.get("bars").valueStream().map(b -> b.get("value").asString()).toList();
  }

  @DisplayName(
      "L5: what a limit leaves out for want of a value is counted, and taken in with one act")
  @Test
  void unknown() {
    JsonNode without = answer(words("a", "light"), limit("peer", "peer reviewed"));
    int leftOut = line(without, "peer").get("unknown").asInt();
    JsonNode with = answer(words("a", "light"), limit("peer", "peer reviewed", "unknown"));
    assertThat(with.get("count").asInt()).isEqualTo(without.get("count").asInt() + leftOut);
    assertThat(leftOut).isPositive();
  }

  @DisplayName("Trees take in all below; several languages of labels are told apart")
  @Test
  void trees() {
    Map<String, Object> asked =
        Map.of("strategy", strategy(words("a", "light")), "property", "taxon", "most", 500);
    JsonNode bars = sven.post("/search/breakdown", asked).ok().get("bars");
    assertThat(bars.get(0).get("value").asString()).isEqualTo("Organisms");
    int insects =
        bars.valueStream()
            .filter(b -> b.get("value").asString().equals("Insects"))
            .findFirst()
            .orElseThrow()
            .get("count")
            .asInt();
    assertThat(answer(words("a", "light"), limit("taxon", "Insects")).get("count").asInt())
        .isEqualTo(insects);
  }

  @DisplayName("A named set of limits is put on by anybody of the group")
  @Test
  void limitSets() {
    Map<String, Object> whole = strategy(words("a", "moths"), limit("kind", "article"));
    sven.post("/limit-sets", Map.of("name", "Articles only", "strategy", whole)).ok();
    JsonNode sets = group.client(1).get("/limit-sets").ok();
    assertThat(sets.get(0).get("limits").size()).isEqualTo(1);
    assertThat(sets.get(0).get("by").asString()).isEqualTo("Sven Sheet");
    assertThat(sven.post("/limit-sets", Map.of("name", "articles ONLY", "strategy", whole)).type())
        .isEqualTo("limit-set-there");
    assertThat(
            sven.post("/limit-sets", Map.of("name", "None", "strategy", strategy(words("a", "x"))))
                .type())
        .isEqualTo("limit-set");
  }

  @DisplayName("Source by source: what is only here, and what a source cannot answer")
  @Test
  void bySource() {
    JsonNode found =
        sven.post(
                "/search/sources",
                Map.of("strategy", strategy(words("a", "moths"), limit("taxon", "Insects"))))
            .ok();
    JsonNode share = found.get("shares").get(0);
    assertThat(share.get("name").asString()).isEqualTo("The Night Index");
    assertThat(share.get("found")).isEqualTo(found.get("count"));
    assertThat(share.get("only")).isEqualTo(found.get("count"));
    assertThat(share.get("lines").get("a").asInt()).isPositive();
    assertThat(sven.get("/sources").ok().get(0).get("records").asInt()).isGreaterThan(200);
  }

  @DisplayName("M8, M10: a passage becomes a line; too few are helped with counts that hold")
  @Test
  void passagesAndWaysOut() {
    String line =
        sven.post(
                "/search/passage",
                Map.of("text", "Do moths leave verges once street lamps are dimmed?"))
            .ok()
            .get("line")
            .asString();
    assertThat(line).contains("moths").contains(" or ");
    JsonNode ways =
        sven.post(
                "/search/ways-out",
                Map.of("strategy", strategy(words("a", "moths"), words("b", "dimmming"))))
            .ok();
    JsonNode first = ways.get(0);
    assertThat(first.get("kind").asString()).isEqualTo("spelling");
    assertThat(
            answer(words("a", "moths"), words("b", first.get("line").get("text").asString()))
                .get("count"))
        .isEqualTo(first.get("count"));
  }

  @DisplayName("How many there are by now can be asked without the list")
  @Test
  void countAlone() {
    Map<String, Object> asked = Map.of("strategy", strategy(words("a", "moths")));
    JsonNode alone = sven.post("/search/count", asked).ok();
    assertThat(alone.get("count")).isEqualTo(answer(words("a", "moths")).get("count"));
    assertThat(alone.get("count").asInt()).isPositive();
  }

  @DisplayName("R3: what a member opened is that member's own")
  @Test
  void opened() {
    String id = group.find("moths").get(0);
    sven.write("PUT", "/publications/" + id + "/opened", Map.of(), java.util.UUID.randomUUID());
    assertThat(opened(sven, id)).isTrue();
    assertThat(opened(group.client(1), id)).isFalse();
  }

  private static boolean opened(Client who, String id) {
    return who.post("/rows", Map.of("ids", List.of(id))).ok().get(0).get("opened").asBoolean();
  }

  @DisplayName("K1: a pile is the member's own; keeping there says no more than seen")
  @Test
  void piles() {
    String id = group.find("moths").get(1);
    JsonNode kept =
        sven.post("/pile/items", Map.of("publications", List.of(id), "note", "mine")).ok();
    assertThat(kept.get("folder").asString()).isEqualTo("My pile");
    String pile = kept.get("folderId").asString();
    assertThat(sven.get("/folders/" + pile).ok().get("items").size()).isEqualTo(1);
    assertThat(group.client(1).get("/folders/" + pile).status()).isEqualTo(404);
    assertThat(group.client(1).get("/folders").body()).doesNotContain("My pile");
    JsonNode others = group.client(1).get("/publications/" + id).ok();
    assertThat(others.get("folders").size()).isZero();
    assertThat(others.get("said").get(0).get("mark").asString()).isEqualTo("seen");
    assertThat(others.get("said").get(0).get("reason").asString()).isEmpty();
  }
}
