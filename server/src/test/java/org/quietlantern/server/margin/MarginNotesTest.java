package org.quietlantern.server.margin;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.StreamSupport;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationMarkup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** T3: a note holds to its words; it is its writer's until it is shared. */
class MarginNotesTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private TestGroup group;
  private Client ada;
  private Client ben;
  private String publication;

  @BeforeEach
  void found() {
    group = APP.group("Ada Writer", "Ben Answerer").guest("Gus Guest");
    ada = group.client(0);
    ben = group.client(1);
    publication = group.find("moth*").get(0);
  }

  private static Map<String, Object> note(String quote, String text, boolean shared) {
    Map<String, Object> passage =
        Map.of("quote", quote, "before", "", "after", "", "page", 0, "start", 0);
    Map<String, Object> note = new HashMap<>();
    note.put("kind", "note");
    note.put("text", text);
    note.put("shared", shared);
    note.put("passage", passage);
    note.put("label", "204");
    note.put("version", "final");
    return note;
  }

  private String write(Client who, Map<String, Object> note) {
    return who.post("/publications/" + publication + "/margin-notes", note)
        .ok()
        .get("note")
        .asString();
  }

  private JsonNode at(Client who) {
    return who.get("/publications/" + publication + "/margin-notes").ok();
  }

  private static Map<String, Object> saying(
      String kind, String text, boolean shared, boolean done) {
    return Map.of("kind", kind, "text", text, "shared", shared, "done", done);
  }

  private static Client.Response change(Client who, String note, Map<String, Object> saying) {
    return who.write("PUT", "/margin-notes/" + note, saying, UUID.randomUUID());
  }

  @DisplayName(
      "Nobody else sees a note, or that there is one, until it is shared; then they answer")
  @Test
  void whoSeesIt() {
    String note = write(ada, note("lamps of one make", "ask for the type", false));
    assertThat(at(ada)).hasSize(1);
    assertThat(at(ben)).isEmpty();
    assertThat(ben.get("/margin-notes").ok().get("notes")).isEmpty();
    assertThat(ben.post("/margin-notes/" + note + "/remarks", Map.of("text", "I")).status())
        .isEqualTo(404);
    assertThat(ada.post("/margin-notes/" + note + "/remarks", Map.of("text", "I")).type())
        .isEqualTo("not-shared");
    assertThat(ben.get("/changes?since=0").body()).doesNotContain(note, "lamps of one make");

    change(ada, note, saying("note", "ask for the type", true, false)).ok();
    ben.post("/margin-notes/" + note + "/remarks", Map.of("text", "cite this one for it")).ok();
    assertThat(at(ada).at("/0/remarks/0/by").asString()).isEqualTo("Ben Answerer");
    assertThat(at(group.client(2)).at("/0/text").asString()).isEqualTo("ask for the type");
    assertThat(APP.group("Other Person").client(0).get("/margin-notes").ok().get("notes"))
        .isEmpty();
  }

  @DisplayName("Its writer changes it; that a shared task is done, anybody may say, but no guest")
  @Test
  void whoChangesIt() {
    String note = write(ada, note("reference 17", "look it up", true));
    change(ada, note, saying("task", "look it up", true, false)).ok();
    assertThat(change(ben, note, saying("task", "other words", true, false)).type())
        .isEqualTo("not-yours");
    assertThat(change(ben, note, saying("task", "look it up", false, false)).type())
        .isEqualTo("not-yours");
    change(ben, note, saying("task", "look it up", true, true)).ok();
    assertThat(at(ada).at("/0/done").asBoolean()).isTrue();
    assertThat(change(group.client(2), note, saying("task", "look it up", true, false)).status())
        .isEqualTo(403);
    assertThat(ben.write("DELETE", "/margin-notes/" + note, Map.of(), UUID.randomUUID()).type())
        .isEqualTo("not-yours");
  }

  @DisplayName("In a newer text it stands where its words stand, or is kept as place not found")
  @Test
  void anotherText() {
    write(ada, note("nobody counted the moths", "!", false));
    write(ada, note("at the old bridge", "?", false));
    String text =
        ada.sendBytes(
                "PUT",
                "/publications/" + publication + "/texts?name=a.html&sure=true",
                "<!doctype html><p>Street lamps.<p>No-\nbody  counted the moths.<p>At the new bridge."
                    .getBytes(StandardCharsets.UTF_8))
            .ok()
            .get("text")
            .asString();
    JsonNode notes = ada.get("/publications/" + publication + "/margin-notes?in=" + text).ok();
    assertThat(notes.at("/0/place/page").asInt()).isZero();
    assertThat(notes.at("/0/place/nth").asInt()).isZero();
    assertThat(notes.at("/1/place").isMissingNode()).isTrue();
    assertThat(notes.at("/1/quote").asString()).isEqualTo("at the old bridge");
  }

  @DisplayName(
      "All notes over all texts: by words of note, passage or remark, by kind, page by page")
  @Test
  void all() {
    String first = write(ada, note("lamps", "of 100% amber_glass", true));
    for (int n = 0; n < 60; n++) {
      write(ada, note("moths " + n, "seen", n % 2 == 0));
    }
    ben.post("/margin-notes/" + first + "/remarks", Map.of("text", "like ours")).ok();
    assertThat(words(ben, "100%25 amber_")).isEqualTo(1);
    assertThat(words(ben, "LIKE OURS")).isEqualTo(1);
    assertThat(words(ben, "moths 3")).isEqualTo(5);
    assertThat(words(ada, "moths 3")).isEqualTo(11);
    assertThat(words(ada, "%25")).isEqualTo(1);

    JsonNode page = ada.get("/margin-notes").ok();
    assertThat(page.get("notes")).hasSize(50);
    JsonNode rest = ada.get("/margin-notes?before-note=" + page.get("next").asString()).ok();
    assertThat(rest.get("notes")).hasSize(11);
    assertThat(rest.get("next")).isNull();
    assertThat(rest.at("/notes/10/title").asString()).isNotEmpty();
    change(ada, first, saying("task", "x", true, false)).ok();
    assertThat(ada.get("/margin-notes?kind=task&open=true").ok().get("notes")).hasSize(1);
    assertThat(ben.get("/margin-notes?mine=true").ok().get("notes")).isEmpty();
  }

  private static int words(Client who, String words) {
    return who.get("/margin-notes?words=" + words.replace(" ", "+")).ok().get("notes").size();
  }

  @DisplayName("Taken along: text with citation, DOCX, and Web Annotations that others read")
  @Test
  void files() throws Exception {
    write(ada, note("lamps <of> one \"make\"", "ask", true));
    write(ben, note("only Ben's", "mine", false));
    String text = ada.get("/margin-notes/file/txt").body();
    assertThat(text).contains("“lamps <of> one \"make\"” (p. 204)", "Ada Writer, ask", "10.5555/");
    assertThat(text).doesNotContain("only Ben's");

    JsonNode annotations =
        JsonMapper.builder().build().readTree(ada.get("/margin-notes/file/jsonld").body());
    assertThat(annotations.get("@context").asString())
        .isEqualTo("http://www.w3.org/ns/anno.jsonld");
    JsonNode one = annotations.at("/first/items/0");
    assertThat(one.get("type").asString()).isEqualTo("Annotation");
    assertThat(one.at("/body/0/value").asString()).isEqualTo("ask");
    assertThat(one.at("/target/source").asString()).endsWith("/p/" + publication);
    assertThat(one.at("/target/selector/0/exact").asString()).isEqualTo("lamps <of> one \"make\"");

    try (ZipInputStream docx =
        new ZipInputStream(new ByteArrayInputStream(ada.getBytes("/margin-notes/file/docx")))) {
      String document = "";
      for (var entry = docx.getNextEntry(); entry != null; entry = docx.getNextEntry()) {
        if (entry.getName().equals("word/document.xml")) {
          document = new String(docx.readAllBytes(), StandardCharsets.UTF_8);
        }
      }
      assertThat(document).contains("lamps &lt;of");
    }
    assertThat(ada.get("/margin-notes/file/exe").status()).isEqualTo(404);
  }

  @DisplayName("The file with its notes: what its reader may see, each as an annotation")
  @Test
  void noted() throws Exception {
    publication =
        group.find("moth*").stream()
            .filter(one -> fetched(one, "/text.pdf").isPresent())
            .filter(one -> fetched(one, "/text.html").isPresent())
            .findFirst()
            .orElseThrow();
    String pdf = fetched(publication, "/text.pdf").orElseThrow();
    String html = fetched(publication, "/text.html").orElseThrow();
    String words = ada.get("/texts/" + pdf + "/words").ok().get(0).asString();
    String quote = words.lines().filter(line -> line.length() > 20).findFirst().orElseThrow();
    write(ada, note(quote, "mine alone", false));
    String shared = write(ada, note(quote, "for all", true));
    ben.post("/margin-notes/" + shared + "/remarks", Map.of("text", "agreed")).ok();
    write(ben, note("stands nowhere at all", "lost", true));
    assertThat(contents(ada, pdf))
        .containsExactlyInAnyOrder(
            "mine alone",
            "for all\nBen Answerer: agreed",
            "Place not found: “stands nowhere at all”\nlost");
    assertThat(contents(ben, pdf)).hasSize(2);
    assertThat(APP.group("Other Person").client(0).get("/texts/" + pdf + "/noted").status())
        .isEqualTo(404);
    assertThat(ada.get("/texts/" + html + "/noted").status()).isEqualTo(409);
  }

  /** The id of the text that the group has from an address with an ending; empty: none came. */
  private Optional<String> fetched(String of, String ending) {
    String path = "/publications/" + of + "/texts";
    for (JsonNode way : ada.get(path).ok().get("offered")) {
      String address = way.get("address").asString();
      if (address.endsWith(ending)) {
        Client.Response come = ada.post(path + "/fetched", Map.of("address", address));
        return come.status() != 200
            ? Optional.empty()
            : StreamSupport.stream(come.json().get("copies").spliterator(), false)
                .filter(copy -> address.equals(copy.get("address").asString()))
                .map(copy -> copy.get("id").asString())
                .findFirst();
      }
    }
    return Optional.empty();
  }

  private static List<String> contents(Client who, String text) throws Exception {
    byte[] noted = who.getBytes("/texts/" + text + "/noted");
    try (PDDocument pdf = Loader.loadPDF(noted)) {
      List<String> all = new ArrayList<>();
      for (PDPage page : pdf.getPages()) {
        for (PDAnnotation annotation : page.getAnnotations()) {
          if (annotation instanceof PDAnnotationMarkup markup) {
            all.add(markup.getContents());
          }
        }
      }
      return all;
    }
  }

  @DisplayName("What cannot be a note is refused in a sentence")
  @Test
  void refused() {
    Map<String, Object> empty = note(" … ", "x", false);
    empty.put("passage", Map.of("quote", "  ", "before", "", "after", "", "page", 0, "start", 0));
    for (Map<String, Object> bad :
        List.of(empty, note("x", "y".repeat(5_001), false), kind("colour"))) {
      Client.Response answer = ada.post("/publications/" + publication + "/margin-notes", bad);
      assertThat(answer.status()).isEqualTo(422);
    }
    String nul = write(ada, note("a\u0000b", "c\u0000d", false));
    assertThat(nul).isNotEmpty();
  }

  private static Map<String, Object> kind(String kind) {
    Map<String, Object> note = note("x", "y", false);
    note.put("kind", kind);
    return note;
  }
}
