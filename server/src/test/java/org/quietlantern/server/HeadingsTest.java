package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** Headings over the real protocol, in the test's literature. */
class HeadingsTest {
  private static final TestApp APP = TestApp.shared();
  private final Client sven = APP.group("Sven Sheet").client(0);

  @DisplayName("H1: an everyday word leads to its heading, with the name it was met by and counts")
  @Test
  void everydayWord() {
    JsonNode first = sven.get("/headings?words=moths").ok().get(0);
    assertThat(first.get("label").asString()).isEqualTo("Lepidoptera");
    assertThat(first.get("by").asString()).isEqualTo("Moths");
    int alone = first.get("count").asInt();
    int all = first.get("withNarrower").asInt();
    assertThat(alone).isPositive().isEqualTo(count("heading/exact: \"Lepidoptera\""));
    assertThat(all).isGreaterThan(alone).isEqualTo(count("heading/narrower: moths"));
    assertThat(count("heading/narrower/central: \"Moths\"")).isPositive().isLessThan(all);
  }

  @DisplayName("H1: a heading shows its names, its place, its aspects with their meaning")
  @Test
  void oneHeading() {
    JsonNode heading = one("moths");
    assertThat(heading.get("label").asString()).isEqualTo("Lepidoptera");
    assertThat(texts(heading.get("names"))).contains("Moths", "Butterflies and moths");
    assertThat(heading.get("note").asString()).startsWith("Moths in the main");
    assertThat(texts(heading.get("path"))).containsExactly("Organisms", "Insects");
    assertThat(heading.get("narrower").findValuesAsString("label")).contains("Noctuidae");
    JsonNode aspect = heading.get("aspects").get(0);
    assertThat(aspect.get("word").asString()).isEqualTo("effects-of-light-on");
    assertThat(aspect.get("note").asString()).isNotEmpty();
  }

  @DisplayName("H2: each other way to ask for a heading says what it would find, one part changed")
  @Test
  void ways() {
    JsonNode asked =
        sven.get("/headings/asked?name=moths&below=true&aspects=effects-of-light-on").ok();
    String both = "heading/narrower/effects-of-light-on: \"Lepidoptera\"";
    int now = asked.get("count").asInt();
    assertThat(now).isPositive().isEqualTo(count(both));
    assertThat(asked.get("withBelow").asInt()).isEqualTo(now);
    assertThat(asked.get("anywhere").asInt()).isEqualTo(now);
    assertThat(asked.get("itOnly").asInt())
        .isEqualTo(count("heading/effects-of-light-on: \"Lepidoptera\""));
    assertThat(asked.get("central").asInt())
        .isEqualTo(count("heading/narrower/central/effects-of-light-on: \"Lepidoptera\""));
    assertThat(asked.get("unwidened").asInt()).isEqualTo(now);
    JsonNode plain = sven.get("/headings/asked?name=moths").ok();
    assertThat(plain.get("names").asInt()).isGreaterThan(plain.get("unwidened").asInt());
    JsonNode aspect = asked.get("aspects").get(0);
    assertThat(aspect.get("word").asString()).isEqualTo("effects-of-light-on");
    assertThat(aspect.get("count").asInt()).isEqualTo(now);
    JsonNode second = asked.get("aspects").get(1);
    assertThat(second.get("count").asInt())
        .isEqualTo(count(both.replace(": ", "/" + second.get("word").asString() + ": ")));
    assertThat(sven.get("/headings/asked?name=moths&aspects=smell-of").status()).isEqualTo(404);
    assertThat(sven.get("/headings/asked?name=xylophone").status()).isEqualTo(404);
    assertThat(sven.get("/headings/asked?name=moths&below=perhaps").status()).isEqualTo(400);
  }

  @Test
  void theTopAndNothing() {
    assertThat(sven.get("/headings").ok().findValuesAsString("label")).contains("Organisms");
    assertThat(sven.get("/headings?words=xylophone").ok().size()).isZero();
    assertThat(sven.get("/headings/one?name=xylophone").status()).isEqualTo(404);
  }

  private JsonNode one(String name) {
    return sven.get("/headings/one?name=" + URLEncoder.encode(name, StandardCharsets.UTF_8)).ok();
  }

  private static List<String> texts(JsonNode array) {
    List<String> texts = new ArrayList<>();
    array.forEach(text -> texts.add(text.asString()));
    return texts;
  }

  private int count(String text) {
    Map<String, Object> line = Map.of("id", "a", "kind", "words", "text", text);
    return sven.post(
            "/search/count", Map.of("strategy", Map.of("version", 2, "lines", List.of(line))))
        .ok()
        .get("count")
        .asInt();
  }

  private static final String EDITION =
      """
      @prefix skos: <http://www.w3.org/2004/02/skos/core#> .
      @prefix dct: <http://purl.org/dc/terms/> .
      @prefix x: <urn:x-test:> .
      x:a skos:inScheme x:s ; skos:prefLabel "%s" ; skos:broader x:nowhere .
      x:b skos:inScheme x:s ; skos:prefLabel "Lamp posts"%s .
      """;

  private static Client steward(String name) {
    TestGroup group = APP.group(name);
    APP.makeSteward(group.member(0));
    return group.client(0);
  }

  private static Map<String, Object> file(String skos) {
    byte[] bytes = skos.getBytes(StandardCharsets.UTF_8);
    return Map.of("file", Base64.getEncoder().encodeToString(bytes));
  }

  @DisplayName("H4, R1: a steward looks at a newer vocabulary, takes it in, and nothing is lost")
  @Test
  void newerVocabulary() {
    Map<String, Object> first = file(EDITION.formatted("Lanterns", ""));
    assertThat(sven.post("/vocabulary/look", first).status()).isEqualTo(403);
    Client stig = steward("Stig Steward");
    JsonNode looked = stig.post("/vocabulary/look", first).ok();
    assertThat(looked.get("added").asInt()).isEqualTo(2);
    assertThat(looked.get("problems").get(0).get("sentence").asString())
        .isEqualTo("“Lanterns” is under urn:x-test:nowhere, which is not there");
    assertThat(stig.get("/headings/one?name=Lanterns").status()).isEqualTo(404);
    stig.write("PUT", "/vocabulary", first, UUID.randomUUID()).ok();
    assertThat(stig.get("/headings/one?name=Lanterns").status()).isEqualTo(200);
    JsonNode changes =
        stig.write(
                "PUT",
                "/vocabulary",
                file(EDITION.formatted("Lamps", " ; dct:isReplacedBy x:a")),
                UUID.randomUUID())
            .ok();
    assertThat(changes.get("renamed").get(0).get("to").asString()).isEqualTo("Lamps");
    assertThat(changes.get("replaced").get(0).get("label").asString()).isEqualTo("Lamp posts");
    JsonNode lamps = one("Lanterns");
    assertThat(lamps.get("label").asString()).isEqualTo("Lamps");
    assertThat(texts(lamps.get("former"))).containsExactly("Lanterns");
    assertThat(texts(one("Lamp posts").get("replacedBy"))).containsExactly("Lamps");
    assertThat(sven.get("/vocabulary/skos.ttl").body())
        .contains("skos:prefLabel \"Lamps\"@en", "skos:prefLabel \"Lepidoptera\"@en");
  }

  @DisplayName("The trees of what is studied go out as they came in, without any heading")
  @Test
  void trees() {
    String trees = sven.get("/vocabulary/trees.ttl").body();
    assertThat(trees)
        .contains("urn:quietlantern:taxon", "urn:quietlantern:region")
        .doesNotContain("urn:quietlantern:aspects");
    JsonNode again = steward("Stella Steward").post("/vocabulary/look", file(trees)).ok();
    assertThat(again.get("terms").asInt()).isGreaterThan(50);
    assertThat(again.get("added").asInt()).isZero();
    assertThat(again.get("renamed")).isEmpty();
    assertThat(again.get("retired")).isEmpty();
  }

  @DisplayName("While a large file is read, its steward sees how far that is; nobody else does")
  @Test
  void progress() {
    Client signe = steward("Signe Steward");
    StringBuilder many =
        new StringBuilder("@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n");
    for (int i = 0; i < 30_000; i++) {
      many.append("<urn:x:%d> skos:prefLabel \"Lamp %d\" .\n".formatted(i, i));
    }
    CompletableFuture<Client.Response> looked =
        CompletableFuture.supplyAsync(() -> signe.post("/vocabulary/look", file(many.toString())));
    Set<Integer> seen = new TreeSet<>();
    while (!looked.isDone()) {
      seen.add(termsRead(signe));
      assertThat(termsRead(sven)).isZero();
    }
    assertThat(looked.join().ok().get("added").asInt()).isEqualTo(30_000);
    assertThat(seen).as("how far it was").hasSizeGreaterThan(2);
    assertThat(termsRead(signe)).as("nothing is read any more").isZero();
  }

  private static int termsRead(Client who) {
    return who.get("/vocabulary/progress").ok().get("terms").asInt();
  }

  @DisplayName("A file out of which nothing can be used changes nothing, and says why")
  @Test
  void unusableVocabulary() {
    Client stine = steward("Stine Steward");
    Client.Response broken =
        stine.write("PUT", "/vocabulary", file("no turtle at all"), UUID.randomUUID());
    assertThat(broken.status()).isEqualTo(422);
    assertThat(broken.body()).contains("line 1");
    assertThat(stine.write("PUT", "/vocabulary", Map.of("file", "!"), UUID.randomUUID()).status())
        .isEqualTo(422);
    assertThat(one("moths").get("label").asString()).isEqualTo("Lepidoptera");
  }
}
