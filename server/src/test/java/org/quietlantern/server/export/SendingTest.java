package org.quietlantern.server.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.core.reference.RisReader;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.mail.MailDrop;
import org.quietlantern.standins.mail.MailFaults;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@DisplayName("Works are sent by mail")
class SendingTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Sena Sender", "Bo Berg");
  private final Client client = group.client(0);
  private final String folder = group.folder("To be sent");
  private final String path = "/folders/" + folder + "/sendings";
  private final String outside = UUID.randomUUID() + "@elsewhere.example";
  private final List<String> kept = group.find("moth").subList(0, 5);

  SendingTest() {
    keep(kept);
  }

  @AfterEach
  void right() {
    APP.outside().mail().faults().set(MailFaults.Fault.NONE);
  }

  private void keep(List<String> works) {
    client.post("/folders/" + folder + "/items", Map.of("publications", works, "note", "lux")).ok();
  }

  private Map<String, Object> wanted(List<String> addresses, String format) {
    Map<String, Object> body = new HashMap<>();
    body.put("addresses", addresses);
    body.put("members", List.of());
    body.put("copy", false);
    body.put("note", "For the talk.\n\nWhat do <you> think?");
    body.put("format", format);
    body.put("with", List.of("link"));
    return body;
  }

  /** Whatever waits leaves, some at a time. */
  private static void work() {
    for (int n = 0; n < 10; n++) {
      APP.bean(MailJob.class).run();
    }
  }

  private MailDrop.Got got(String address) {
    List<MailDrop.Got> all = APP.outside().mail().gotBy(address);
    assertThat(all).hasSize(1);
    return all.get(0);
  }

  @DisplayName(
      "A letter cites each work, says where its text is, encloses the file, and is answered to the sender")
  @Test
  void letter() {
    Map<String, Object> body =
        wanted(List.of(outside, outside.toUpperCase(java.util.Locale.ROOT)), "ris");
    body.put("members", List.of(group.member(1).pid()));
    body.put("copy", true);
    UUID command = UUID.randomUUID();
    assertThat(client.post(path, body, command).ok().get("letters").asInt()).isEqualTo(3);
    // Twice in a hurry is once.
    client.post(path, body, command).ok();
    work();
    MailDrop.Got letter = got(outside);
    assertThat(letter.subject()).isEqualTo("5 publications: To be sent");
    assertThat(letter.text()).contains("Sena Sender", "For the talk.", "What do <you> think?");
    assertThat(letter.html()).contains("What do &lt;you&gt; think?").doesNotContain("<you>");
    for (String one : kept) {
      assertThat(letter.text()).contains("http://lantern.test/p/" + one);
    }
    assertThat(letter.text().split("\\nText, open to all: |\\nIts text is ")).hasSize(6);
    assertThat(letter.text()).contains("/f/" + folder);
    assertThat(letter.files()).hasSize(1);
    assertThat(letter.files().get(0).name()).isEqualTo("To-be-sent.ris");
    assertThat(RisReader.read(letter.files().get(0).text()).references()).hasSize(5);
    assertThat(letter.text()).doesNotContain("lux");
    String own = got(letter.replyTo()).subject();
    assertThat(own).isEqualTo(letter.subject());
  }

  @DisplayName(
      "Texts go along where their licence lets them, and the letter says why others do not")
  @Test
  void texts() {
    String text = group.text();
    String work = client.get("/texts/" + text).ok().at("/copy/publication").asString();
    Map<String, Object> chosen = wanted(List.of(outside, "two-" + outside), "ris");
    chosen.put("publications", List.of(kept.get(4), work));
    chosen.put("texts", true);
    JsonNode foreseen = client.post("/sendings/texts", chosen(kept.get(4), work)).ok();
    assertThat(foreseen.at("/along/0/publication").asString()).isEqualTo(work);
    assertThat(foreseen.at("/not/0/why").asString()).isEqualTo("The group has no text of it.");
    assertThat(client.post("/sendings", chosen).ok().get("texts").asInt()).isEqualTo(1);
    JdbcTemplate database = APP.bean(JdbcTemplate.class);
    // What goes to two is kept once.
    assertThat(files(database)).isEqualTo(2);
    work();
    assertThat(files(database)).isZero();
    MailDrop.Got letter = got(outside);
    String name = foreseen.at("/along/0/name").asString();
    assertThat(letter.files()).extracting(MailDrop.Enclosed::name).contains(name).hasSize(2);
    assertThat(letter.files().get(1).text()).startsWith("%PDF-").endsWith("%%EOF\n");
    assertThat(letter.text()).contains("Its text goes along: " + name);
    assertThat(client.get("/sendings").ok().get(0).get("texts").asInt()).isEqualTo(1);

    database.update("update text_copy set licence = 'a copy for your group alone'");
    foreseen = client.post("/sendings/texts", chosen(work)).ok();
    assertThat(foreseen.get("along")).isEmpty();
    assertThat(foreseen.at("/not/0/why").asString())
        .startsWith("Its text is not sent (a copy for your group alone); members read it at ")
        .endsWith("/p/" + work + "/text");
    database.update("update text_copy set licence = 'CC BY 4.0'");
    database.update("update text_file set size = 10000001");
    assertThat(client.post("/sendings/texts", chosen(work)).ok().at("/not/0/why").asString())
        .contains("10,000 KB", "too large");
  }

  private static Map<String, Object> chosen(String... works) {
    return Map.of("publications", List.of(works));
  }

  private static int files(JdbcTemplate database) {
    return database.queryForObject("select count(*)::int from letter_file", Integer.class);
  }

  @DisplayName(
      "A bibliography is sent in its style, with its headings and what is said below entries")
  @Test
  void bibliography() {
    String at = "/folders/" + folder;
    client
        .put(
            at + "/annotations/" + kept.get(2),
            Map.of("text", "Counts *moths* by <night>.", "version", 0))
        .ok();
    client
        .put(
            at + "/bibliography/chapters",
            Map.of(
                "chaptersSeen",
                List.of(),
                "chapters",
                List.of(Map.of("was", "", "name", "By night"))))
        .ok();
    client
        .put(
            at + "/bibliography/chapter",
            Map.of("publications", kept.subList(2, 3), "chapter", "By night"))
        .ok();
    Map<String, Object> letter = wanted(List.of(outside), "");
    letter.put("note", "");
    Map<String, Object> body = Map.of("letter", letter, "annotations", "all", "form", "docx");
    client.post(at + "/bibliography/sendings", body).ok();
    work();
    MailDrop.Got got = got(outside);
    assertThat(got.text()).contains("    Counts moths by <night>.", "[draft]", "/bibliography");
    assertThat(got.text()).containsPattern("\\R\\RBy night\\R\\R");
    assertThat(got.html()).contains(">By night</h2>");
    assertThat(got.html()).contains("Counts <i>moths</i> by &lt;night&gt;.");
    assertThat(got.files().get(0).name()).isEqualTo("To-be-sent.docx");
    assertThat(got.files().get(0).text()).startsWith("PK");
    Map<String, Object> none = Map.of("letter", letter, "annotations", "agreed", "form", "");
    assertThat(client.post(at + "/bibliography/sendings", none).ok().get("letters").asInt())
        .isOne();
    Map<String, Object> odd = Map.of("letter", letter, "annotations", "all", "form", "pdf");
    assertThat(client.post(at + "/bibliography/sendings", odd).type()).isEqualTo("format");
  }

  @DisplayName("The sender sees how the letters stand, and nobody else sees them")
  @Test
  void failures() {
    APP.outside().mail().faults().set(MailFaults.Fault.NOBODY);
    client.post(path, wanted(List.of(outside), "")).ok();
    work();
    JsonNode shown = client.get("/sendings").ok().get(0);
    assertThat(shown.get("name").asString()).isEqualTo("To be sent");
    assertThat(shown.get("works").asInt()).isEqualTo(5);
    assertThat(shown.at("/letters/0/state").asString()).isEqualTo("given up");
    assertThat(shown.at("/letters/0/trouble").asString()).contains("nobody of that name");
    assertThat(group.client(1).get("/sendings").ok()).isEmpty();
    assertThat(group.client(1).get("/sendings?before=" + shown.get("id").asString()).status())
        .isEqualTo(404);
    assertThat(client.get("/sendings?before=" + shown.get("id").asString()).ok()).isEmpty();
  }

  @DisplayName("What cannot be sent is refused in words, and not one letter leaves")
  @Test
  void refused() {
    JdbcTemplate database = APP.bean(JdbcTemplate.class);
    int before = database.queryForObject("select count(*)::int from outbox", Integer.class);
    assertThat(client.post(path, wanted(List.of("nobody"), "")).body())
        .contains("“nobody” is no e-mail address");
    assertThat(client.post(path, wanted(List.of(), "")).body()).contains("Say to whom");
    List<String> many = new ArrayList<>();
    for (int i = 0; i < 500; i++) {
      many.add(i + "@many.example");
    }
    assertThat(client.post(path, wanted(many, "")).body()).contains("500", "20 at once");
    assertThat(client.post(path, wanted(List.of(outside), "docx")).type()).isEqualTo("format");
    Map<String, Object> stranger = wanted(List.of(), "");
    stranger.put("members", List.of("zzzzzzzzzz"));
    assertThat(client.post(path, stranger).type()).isEqualTo("members");
    Map<String, Object> none = wanted(List.of(outside), "");
    assertThat(client.post("/sendings", none).type()).isEqualTo("publications");
    assertThat(database.queryForObject("select count(*)::int from outbox", Integer.class))
        .isEqualTo(before);
  }

  @DisplayName("A letter lists fifty; of more it says where they are, or has them in its file")
  @Test
  void manyWorks() {
    List<String> many = group.find("moth or lamp* or light").subList(0, 60);
    Map<String, Object> chosen = wanted(List.of(outside), "");
    chosen.put("publications", many);
    assertThat(client.post("/sendings", chosen).body()).contains("choose a file for all 60");
    chosen.put("format", "bibtex");
    client.post("/sendings", chosen).ok();
    work();
    MailDrop.Got letter = got(outside);
    assertThat(letter.text()).contains("10 more are not listed here.");
    assertThat(letter.files().get(0).text()).endsWith("% Entries: 60\n");
  }

  @DisplayName("A group sends sixty letters an hour; what goes beyond is refused whole")
  @Test
  void throttled() {
    for (int n = 0; n < 3; n++) {
      List<String> twenty = new ArrayList<>();
      for (int i = 0; i < 20; i++) {
        twenty.add(n + "-" + i + "-" + outside);
      }
      client.post(path, wanted(twenty, "")).ok();
    }
    Client.Response more = client.post(path, wanted(List.of(outside), ""));
    assertThat(more.status()).isEqualTo(429);
    assertThat(client.get("/sendings").ok()).hasSize(3);
  }
}
