package org.quietlantern.server.bibliography;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("Annotations are written by one, read by all, and agreed by two")
class AnnotationTest {
  private static final TestApp APP = TestApp.shared();
  private static final String TEXT = "Fewer moths came to lit verges.\nThey were counted by hand.";
  private final TestGroup group = APP.group("Anna Annot", "Abel Berg").guest("Gil Guest");
  private final Client anna = group.client(0);
  private final Client abel = group.client(1);
  private final String folder = group.folder("Verges");
  private final String work = group.find("moth").get(0);

  AnnotationTest() {
    keep(folder, work);
  }

  private void keep(String where, String publication) {
    anna.post(
            "/folders/" + where + "/items",
            Map.of("publications", List.of(publication), "note", ""))
        .ok();
  }

  private String said(String where) {
    return "/folders/" + where + "/annotations/" + work;
  }

  private JsonNode read(Client who) {
    return who.get(said(folder)).ok();
  }

  private int version() {
    return read(anna).get("version").asInt();
  }

  private Client.Response write(Client who, String text) {
    return who.put(said(folder), Map.of("text", text, "version", version()));
  }

  private Client.Response state(Client who, String state) {
    return who.put(said(folder) + "/state", Map.of("state", state, "version", version()));
  }

  private Client.Response suggest(Client who, String instead, String why) {
    Map<String, Object> body = new HashMap<>();
    body.put("text", why);
    body.put("instead", instead);
    body.put("seen", read(anna).get("text").asString());
    return who.post(said(folder) + "/remarks", body);
  }

  private Client.Response deal(Client who, int which, String outcome) {
    String remark = read(anna).at("/remarks/" + which + "/id").asString();
    return who.put(said(folder) + "/remarks/" + remark, Map.of("outcome", outcome));
  }

  @DisplayName("A colleague suggests other words; the writer takes one and leaves one; both agree")
  @Test
  void agreed() {
    write(anna, TEXT).ok();
    assertThat(state(anna, "agreed").type()).isEqualTo("agreed-by-two");
    state(anna, "to be read").ok();
    String other = TEXT.replace("Fewer moths", "Far fewer moths").replace("hand.", "eye.");
    assertThat(suggest(abel, other, "more exact").ok().get("count").asInt()).isEqualTo(2);
    JsonNode remarks = read(anna).get("remarks");
    assertThat(remarks.get(0).get("words").asString()).isEqualTo("Fewer");
    assertThat(remarks.get(0).get("instead").asString()).isEqualTo("Far fewer");
    assertThat(remarks.get(0).get("text").asString()).isEqualTo("more exact");
    assertThat(remarks.get(1).get("start").asInt()).isEqualTo(TEXT.indexOf("hand."));
    assertThat(state(abel, "agreed").type()).isEqualTo("open");
    assertThat(deal(abel, 0, "taken").type()).isEqualTo("not-yours");
    deal(anna, 0, "taken").ok();
    assertThat(read(anna).get("text").asString()).startsWith("Far fewer moths came");
    deal(anna, 0, "left").ok();
    assertThat(deal(anna, 0, "left").type()).isEqualTo("stale");
    assertThat(read(anna).get("text").asString()).endsWith("by hand.");
    state(abel, "agreed").ok();
    JsonNode done = read(anna);
    assertThat(done.get("agreedBy").asString()).isEqualTo("Abel Berg");
    assertThat(done.get("by").asString()).isEqualTo("Anna Annot");
    // What is written anew is read again.
    write(anna, TEXT + " Twice.").ok();
    assertThat(read(anna).get("state").asString()).isEqualTo("to be read");
    assertThat(read(anna).get("agreedBy")).isNull();
  }

  private static String waits(Client who) {
    JsonNode waiting = who.get("/today").ok().get("annotations");
    return waiting.isEmpty()
        ? ""
        : "%d to be read, %d remarks"
            .formatted(waiting.at("/0/toBeRead").asInt(), waiting.at("/0/remarks").asInt());
  }

  @DisplayName("On Today wait what others wrote to be read, and what was said of one's own")
  @Test
  void today() {
    write(anna, TEXT).ok();
    assertThat(waits(abel)).as("a draft").isEmpty();
    state(anna, "to be read").ok();
    assertThat(waits(abel)).isEqualTo("1 to be read, 0 remarks");
    assertThat(waits(anna)).isEmpty();
    suggest(abel, TEXT.replace("hand", "eye"), "").ok();
    assertThat(waits(abel)).as("it is the writer's turn").isEmpty();
    assertThat(waits(anna)).isEqualTo("0 to be read, 1 remarks");
    deal(anna, 0, "left").ok();
    assertThat(waits(anna)).isEmpty();
    assertThat(waits(abel)).isEqualTo("1 to be read, 0 remarks");
    Map<String, Object> taken = Map.of("publications", List.of(work));
    anna.write("DELETE", "/folders/" + folder + "/items", taken, UUID.randomUUID()).ok();
    assertThat(waits(abel)).as("of what was taken out").isEmpty();
    keep(folder, work);
    state(abel, "agreed").ok();
    assertThat(waits(abel)).isEmpty();
  }

  @DisplayName("A suggestion is for the words that one saw, however far they are by now")
  @Test
  void forWordsSeen() {
    write(anna, TEXT).ok();
    Map<String, Object> body = new HashMap<>();
    body.put("seen", TEXT);
    body.put("text", "");
    body.put("instead", TEXT.replace("hand", "eye"));
    state(anna, "to be read").ok();
    abel.post(said(folder) + "/remarks", body).ok();
    write(anna, TEXT + " Twice.").ok();
    assertThat(abel.post(said(folder) + "/remarks", body).type()).isEqualTo("stale");
  }

  @DisplayName("Words that are taken and taken back are as they were, with their suggestion open")
  @Test
  void takenBack() {
    write(anna, TEXT).ok();
    suggest(abel, TEXT.replace("hand", "eye"), "").ok();
    JsonNode before = read(anna);
    String remark = before.at("/remarks/0/id").asString();
    UUID act = UUID.randomUUID();
    anna.write("PUT", said(folder) + "/remarks/" + remark, Map.of("outcome", "taken"), act).ok();
    assertThat(read(anna).get("text").asString()).contains("by eye");
    anna.post("/actions/" + act + "/undo", Map.of()).ok();
    assertThat(read(anna)).isEqualTo(before);
  }

  @DisplayName("Words that are not there any more cannot be replaced, and say so")
  @Test
  void wordsGone() {
    write(anna, TEXT).ok();
    suggest(abel, TEXT.replace("hand", "eye"), "").ok();
    write(anna, "Something else.").ok();
    assertThat(read(anna).at("/remarks/0").get("start")).isNull();
    assertThat(deal(anna, 0, "taken").type()).isEqualTo("words-gone");
    deal(anna, 0, "left").ok();
  }

  @DisplayName("Earlier words stay and are read again; a stale page and another's text are refused")
  @Test
  void earlierWords() {
    write(anna, TEXT).ok();
    write(anna, "Shorter.").ok();
    assertThat(read(abel).get("wordings")).hasSize(2);
    assertThat(abel.get(said(folder) + "/wordings/1").ok().get("text").asString()).isEqualTo(TEXT);
    assertThat(anna.get(said(folder) + "/wordings/9").status()).isEqualTo(404);
    assertThat(anna.put(said(folder), Map.of("text", "Late.", "version", 1)).type())
        .isEqualTo("stale");
    assertThat(write(anna, "Shorter.").type()).isEqualTo("same");
    Client.Response other = write(abel, "Mine.");
    assertThat(other.type()).isEqualTo("not-yours");
    assertThat(other.json().get("detail").asString()).startsWith("Anna Annot writes it");
    abel.put(said(folder) + "/writer", Map.of("version", version())).ok();
    write(abel, "Mine.").ok();
    assertThat(read(anna).get("by").asString()).isEqualTo("Abel Berg");
    assertThat(write(anna, "x".repeat(10_001)).type()).isEqualTo("annotation");
    // An empty text takes it away; whoever comes next may write.
    write(abel, "").ok();
    assertThat(anna.get("/folders/" + folder + "/bibliography").ok().get("annotated").asInt())
        .isZero();
    write(anna, "Anew.").ok();
    assertThat(read(anna).get("by").asString()).isEqualTo("Anna Annot");
  }

  @DisplayName(
      "A remark is about words that are there, or about all of it; one's own is taken back")
  @Test
  void remarks() {
    write(anna, TEXT).ok();
    String path = said(folder) + "/remarks";
    Map<String, Object> wanted =
        Map.of("text", "Which?", "about", Map.of("start", 6, "end", 11), "seen", TEXT);
    abel.post(path, wanted).ok();
    assertThat(read(anna).at("/remarks/0/words").asString()).isEqualTo("moths");
    assertThat(abel.post(path, Map.of("text", "", "seen", TEXT)).type()).isEqualTo("remark");
    assertThat(
            abel.post(
                    path,
                    Map.of("text", "x", "about", Map.of("start", 3, "end", 900), "seen", TEXT))
                .type())
        .isEqualTo("words");
    assertThat(abel.post(path, Map.of("text", "x", "seen", TEXT + "!")).type()).isEqualTo("stale");
    String id = read(anna).at("/remarks/0/id").asString();
    assertThat(anna.write("DELETE", path + "/" + id, Map.of(), UUID.randomUUID()).status())
        .isEqualTo(403);
    abel.write("DELETE", path + "/" + id, Map.of(), UUID.randomUUID()).ok();
    assertThat(read(anna).get("remarks")).isEmpty();
    assertThat(group.client(2).post(path, wanted).status()).isEqualTo(403);
    assertThat(group.client(2).get(said(folder)).status()).isEqualTo(200);
  }

  @DisplayName("It goes where the work goes, and comes back with it")
  @Test
  void goesAlong() {
    write(anna, TEXT).ok();
    suggest(abel, TEXT.replace("hand", "eye"), "").ok();
    JsonNode before = read(anna);
    String second = group.folder("Second");
    UUID act = UUID.randomUUID();
    anna.write(
            "POST",
            "/folders/" + folder + "/items/moved",
            Map.of("to", second, "publications", List.of(work)),
            act)
        .ok();
    assertThat(anna.get(said(folder)).status()).isEqualTo(404);
    assertThat(anna.get(said(second)).ok()).isEqualTo(before);
    anna.post("/actions/" + act + "/undo", Map.of()).ok();
    assertThat(read(anna)).isEqualTo(before);
    // Taken out, it waits; kept again, it is there.
    anna.write(
            "DELETE",
            "/folders/" + folder + "/items",
            Map.of("publications", List.of(work)),
            UUID.randomUUID())
        .ok();
    assertThat(anna.get(said(folder)).status()).isEqualTo(404);
    keep(folder, work);
    assertThat(read(anna)).isEqualTo(before);
  }

  @DisplayName("Where both folders say something, one says it as a remark; undone, it does not")
  @Test
  void bothSay() {
    write(anna, TEXT).ok();
    String second = group.folder("Second");
    keep(second, work);
    abel.put(said(second), Map.of("text", "Abel says.", "version", 0)).ok();
    JsonNode first = read(anna);
    JsonNode other = anna.get(said(second)).ok();
    UUID act = UUID.randomUUID();
    anna.write("POST", "/folders/" + folder + "/merged", Map.of("to", second), act).ok();
    JsonNode both = anna.get(said(second)).ok();
    assertThat(both.get("text").asString()).isEqualTo("Abel says.");
    assertThat(both.at("/remarks/0/text").asString()).isEqualTo("In “Verges” it read: " + TEXT);
    assertThat(both.at("/remarks/0/by").asString()).isEqualTo("Anna Annot");
    anna.post("/actions/" + act + "/undo", Map.of()).ok();
    assertThat(read(anna)).isEqualTo(first);
    assertThat(anna.get(said(second)).ok()).isEqualTo(other);
  }

  @DisplayName("A copy that is taken back takes nothing along that a colleague said of it")
  @Test
  void copyTakenBack() {
    write(anna, TEXT).ok();
    String second = group.folder("Second");
    UUID act = UUID.randomUUID();
    Map<String, Object> there = Map.of("to", second, "publications", List.of(work));
    anna.write("POST", "/folders/" + folder + "/items/copied", there, act).ok();
    assertThat(anna.get(said(second)).ok().get("text").asString()).isEqualTo(TEXT);
    abel.post(said(second) + "/remarks", Map.of("text", "Whose?", "seen", TEXT)).ok();
    anna.post("/actions/" + act + "/undo", Map.of()).ok();
    assertThat(anna.get(said(second)).status()).isEqualTo(404);
    keep(second, work);
    assertThat(anna.get(said(second)).ok().at("/remarks/0/text").asString()).isEqualTo("Whose?");
  }

  @DisplayName("A copy of a folder says the same, with headings and style; its undo keeps changes")
  @Test
  void copied() {
    write(anna, TEXT).ok();
    state(anna, "to be read").ok();
    String bibliography = "/folders/" + folder + "/bibliography";
    anna.put(bibliography, Map.of("style", "ieee", "language", "", "byHand", false)).ok();
    anna.put(
            bibliography + "/chapters",
            Map.of(
                "chaptersSeen",
                List.of(),
                "chapters",
                List.of(Map.of("was", "", "name", "By night"))))
        .ok();
    anna.put(
            bibliography + "/chapter", Map.of("publications", List.of(work), "chapter", "By night"))
        .ok();
    UUID act = UUID.randomUUID();
    String copy =
        anna.write("POST", "/folders/" + folder + "/copies", Map.of("name", "Copy"), act)
            .ok()
            .get("id")
            .asString();
    assertThat(anna.get(said(copy)).ok().get("text").asString()).isEqualTo(TEXT);
    assertThat(anna.get(said(copy)).ok().get("state").asString()).isEqualTo("to be read");
    JsonNode shown = anna.get("/folders/" + copy + "/bibliography").ok();
    assertThat(shown.at("/style/name").asString()).isEqualTo("ieee");
    assertThat(shown.at("/entries/0/chapter").asString()).isEqualTo("By night");
    anna.put(said(copy), Map.of("text", "Otherwise.", "version", 1)).ok();
    assertThat(anna.post("/actions/" + act + "/undo", Map.of()).type()).isEqualTo("folder-holds");
    assertThat(read(anna).get("text").asString()).isEqualTo(TEXT);
  }

  @DisplayName("Files carry annotations with their emphasis, all of them or the agreed alone")
  @Test
  void files() {
    write(anna, "Counts *Noctua pronuba* by hand.\nTwice.").ok();
    String path = "/folders/" + folder + "/bibliography";
    String html = anna.get(path + "/html").body();
    assertThat(html)
        .contains("[draft]")
        .contains("Counts <i>Noctua pronuba</i> by hand.</p>")
        .contains(">Twice.</p>");
    assertThat(anna.get(path + "/html?annotations=agreed").body()).doesNotContain("pronuba");
    assertThat(anna.get(path + "/html?annotations=none").body()).doesNotContain("pronuba");
    assertThat(anna.get(path + "/html?annotations=some").type()).isEqualTo("annotations");
    state(abel, "agreed").ok();
    assertThat(anna.get(path + "/text?annotations=agreed").body())
        .contains("    Counts Noctua pronuba by hand.")
        .doesNotContain("[");
    JsonNode shown = anna.get(path).ok();
    assertThat(shown.get("agreed").asInt()).isEqualTo(1);
    assertThat(shown.at("/entries/0/annotation/paragraphs/0/words/1/emphasised").asBoolean())
        .isTrue();
  }
}
