package org.quietlantern.server.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Texts come in, are read by their group and by nobody else, and go again (rule T4). */
class TextsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);
  private TestGroup group;
  private Client ada;

  @BeforeEach
  void found() {
    group = APP.group("Ada Reader", "Ben Reader").guest("Gus Guest");
    ada = group.client(0);
  }

  /** A publication whose open copy behaves as the place does whose number leaves {@code rest}. */
  private String open(int rest) {
    String sql =
        "select pid from publication p, jsonb_array_elements(p.fields::jsonb->'copies') c"
            + " where c->>'open' = 'true' and c->>'address' like '%/text.html'"
            + " and canonical is null and grp is null and withdrawn is null"
            + " and substring(c->>'address' from '/doc/([0-9]+)/')::int % 61"
            + (rest < 0 ? " not in (7, 13, 19, 29, 37, 43)" : " = " + rest)
            + " and fields->>'kind' = 'ARTICLE' and fields->>'abstractText' <> ''"
            + " order by p.id limit 1";
    return database.queryForObject(sql, String.class);
  }

  private String title(String publication) {
    return database.queryForObject(
        "select fields->>'title' from publication where pid = ?", String.class, publication);
  }

  private static Client.Response fetch(Client who, String publication) {
    return who.post("/publications/" + publication + "/texts/fetched", Map.of());
  }

  private static Client.Response bring(Client who, String publication, String more, byte[] file) {
    return who.sendBytes(
        "PUT", "/publications/" + publication + "/texts?name=moths.pdf" + more, file);
  }

  private static byte[] page(String title, String words) {
    return ("<!doctype html><title>" + title + "</title><h1>" + title + "</h1><p>" + words)
        .getBytes(StandardCharsets.UTF_8);
  }

  private static JsonNode here(Client who, String publication) {
    return who.get("/publications/" + publication + "/texts").ok();
  }

  @DisplayName("An open text is fetched in one act, once, and read with its parts and its words")
  @Test
  void fetched() {
    String publication = open(-1);
    assertThat(here(ada, publication).get("copies")).isEmpty();
    assertThat(here(ada, publication).get("offered")).isNotEmpty();
    JsonNode copy = fetch(ada, publication).ok().get("copies").get(0);
    assertThat(copy.get("origin").asString()).isEqualTo("fetched");
    assertThat(copy.get("by").asString()).isEqualTo("Ada Reader");
    assertThat(copy.get("doubt")).isNull();
    assertThat(fetch(group.client(1), publication).ok().get("copies")).hasSize(1);

    String text = "/texts/" + copy.get("id").asString();
    JsonNode shown = group.client(1).get(text).ok();
    assertThat(shown.get("title").asString()).isEqualTo(title(publication));
    assertThat(shown.get("html").asString()).contains("<h1", "<svg").doesNotContain("<style");
    assertThat(shown.get("parts").findValuesAsString("title")).contains("Introduction");
    assertThat(group.client(1).get(text + "/words").ok().get(0).asString())
        .contains(title(publication));
  }

  @DisplayName("What a place does instead of giving the text is said, and the next way is tried")
  @Test
  void places() {
    assertThat(fetch(ada, open(7)).status()).isEqualTo(409);
    assertThat(fetch(ada, open(7)).json().get("detail").asString())
        .contains("No text came", "answered 410");
    assertThat(fetch(ada, open(13)).ok().get("copies").get(0).get("doubt")).isNull();
    assertThat(fetch(ada, open(29)).ok().get("copies").get(0).get("doubt").asString())
        .isEqualTo("abstract");
    assertThat(fetch(ada, open(37)).ok().get("copies").get(0).get("doubt").asString())
        .isEqualTo("other work");
    long before = System.nanoTime();
    Client.Response slow = fetch(ada, open(19));
    assertThat(slow.json().get("detail").asString()).contains("did not end in");
    // All ways together, and a little for a busy machine.
    assertThat(Duration.ofNanos(System.nanoTime() - before)).isLessThan(Duration.ofSeconds(60));
  }

  @DisplayName("Only addresses that the catalogue tells are fetched, whatever is asked for")
  @Test
  void noOtherAddress() {
    String publication = open(-1);
    Client.Response answer =
        ada.post(
            "/publications/" + publication + "/texts/fetched",
            Map.of("address", APP.outside().address() + "/oai"));
    assertThat(answer.status()).isEqualTo(409);
    assertThat(answer.json().get("detail").asString()).startsWith("No open copy is known");
  }

  @DisplayName(
      "A file that a member brings in is the group's: no guest, no other group, no stranger")
  @Test
  void whoSeesIt() {
    String publication = open(-1);
    String text =
        bring(ada, publication, "&licence=for+our+study", page(title(publication), "own words"))
            .ok()
            .get("text")
            .asString();
    JsonNode copy = here(group.client(1), publication).get("copies").get(0);
    assertThat(copy.get("id").asString()).isEqualTo(text);
    assertThat(copy.get("licence").asString()).isEqualTo("for our study");
    assertThat(copy.get("name").asString()).isEqualTo("moths.pdf");

    Client guest = group.client(2);
    assertThat(here(guest, publication).get("copies")).isEmpty();
    Client other = APP.group("Other Person").client(0);
    assertThat(here(other, publication).get("copies")).isEmpty();
    for (String path : new String[] {"", "/words", "/file"}) {
      assertThat(guest.get("/texts/" + text + path).status()).isEqualTo(404);
      assertThat(other.get("/texts/" + text + path).status()).isEqualTo(404);
    }
    assertThat(new Client(APP.address()).get("/p/" + publication).body()).doesNotContain(text);
  }

  @DisplayName("A file that seems to be of another work is asked about, and kept when one is sure")
  @Test
  void doubtful() {
    String publication = open(-1);
    byte[] other = page("Bats under bridges", "They fly.");
    Client.Response asked = bring(ada, publication, "", other);
    assertThat(asked.status()).isEqualTo(409);
    assertThat(asked.type()).endsWith("text-doubtful");
    assertThat(asked.json().get("title").asString()).isEqualTo("Bats under bridges");
    assertThat(here(ada, publication).get("copies")).isEmpty();
    bring(ada, publication, "&sure=true", other).ok();
    assertThat(here(ada, publication).at("/copies/0/doubt").isMissingNode()).isTrue();
  }

  @DisplayName("What cannot be read is refused in a sentence and leaves nothing")
  @Test
  void unreadable() {
    String publication = open(-1);
    Map<String, byte[]> files =
        Map.of(
            "neither a PDF nor a page", "PK word".getBytes(StandardCharsets.UTF_8),
            "is broken", "%PDF-1.7 nothing".getBytes(StandardCharsets.UTF_8),
            "nested too deeply", page("x", "<div>".repeat(400)));
    files.forEach(
        (why, file) -> {
          Client.Response answer = bring(ada, publication, "", file);
          assertThat(answer.status()).as(why).isEqualTo(422);
          assertThat(answer.json().get("detail").asString()).contains(why);
        });
    Client.Response large = bring(ada, publication, "", new byte[TextStore.LARGEST + 1]);
    assertThat(large.json().get("detail").asString()).isEqualTo("The file is larger than 40 MB.");
    assertThat(here(ada, publication).get("copies")).isEmpty();
  }

  @DisplayName("A small file that grows to gigabytes ends its reader, not the server")
  @Test
  void bomb() throws Exception {
    String publication = open(-1);
    Client.Response answer = bring(ada, publication, "", bombPdf());
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().get("detail").asString()).containsAnyOf("more memory", "a minute");
    // The next one is read as if nothing had been.
    bring(ada, publication, "", page(title(publication), "words")).ok();
  }

  /** A page whose content is two gigabytes of blanks between words. */
  private static byte[] bombPdf() throws Exception {
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream deflater = new DeflaterOutputStream(packed)) {
      byte[] some = "(moth) Tj ".repeat(100_000).getBytes(StandardCharsets.US_ASCII);
      for (int n = 0; n < 2_000; n++) {
        deflater.write(some);
      }
    }
    ByteArrayOutputStream pdf = new ByteArrayOutputStream();
    String head =
        "%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n"
            + "2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj\n"
            + "3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 99 99]/Contents 4 0 R>>endobj\n"
            + "4 0 obj<</Length "
            + packed.size()
            + "/Filter/FlateDecode>>stream\n";
    pdf.write(head.getBytes(StandardCharsets.US_ASCII));
    pdf.write(packed.toByteArray());
    pdf.write(
        "\nendstream endobj\ntrailer<</Root 1 0 R>>\n%%EOF".getBytes(StandardCharsets.US_ASCII));
    return pdf.toByteArray();
  }

  @DisplayName(
      "The file comes back as it was, whole and in pieces, under a name that says whose it is")
  @Test
  void file() {
    String publication = open(-1);
    byte[] noise = new byte[700_000];
    new Random(7).nextBytes(noise);
    String words = Base64.getEncoder().encodeToString(noise).replace('/', ' ');
    byte[] file = page(title(publication), words);
    String text = bring(ada, publication, "", file).ok().get("text").asString();
    String path = "/texts/" + text + "/file";
    assertThat(ada.getBytes(path)).isEqualTo(file);
    Client.Response piece = ada.get(path, "Range", "bytes=600000-600009");
    assertThat(piece.status()).isEqualTo(206);
    assertThat(piece.header("Content-Range")).isEqualTo("bytes 600000-600009/" + file.length);
    assertThat(piece.body()).isEqualTo(new String(file, 600_000, 10, StandardCharsets.UTF_8));
    assertThat(piece.header("Content-Disposition")).contains("attachment", ".html");
    assertThat(piece.header("Content-Type")).isEqualTo("application/octet-stream");
  }

  @DisplayName(
      "Taken along with its citation: file, text and RIS under one name, and on one's trail")
  @Test
  void bundle() throws Exception {
    String publication = open(-1);
    String text = fetch(ada, publication).ok().get("copies").get(0).get("id").asString();
    Map<String, String> inside = new LinkedHashMap<>();
    byte[] file = ada.getBytes("/texts/" + text + "/bundle");
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        inside.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
      }
    }
    assertThat(inside.keySet().stream().map(name -> name.replaceFirst("[.]\\w+$", "")).distinct())
        .hasSize(1);
    String cited = inside.get(inside.keySet().stream().skip(1).findFirst().orElseThrow());
    assertThat(cited).contains(title(publication), "/p/" + publication);
    assertThat(inside.values().stream().skip(2).findFirst().orElseThrow())
        .contains("TY  - ", "/p/" + publication);
    assertThat(group.client(2).get("/texts/" + text + "/bundle").status()).isEqualTo(200);

    String opened = "/publications/" + publication + "/opened";
    ada.write("PUT", opened, Map.of(), UUID.randomUUID());
    ada.write("PUT", opened, Map.of("downloaded", true), UUID.randomUUID());
    ada.write("PUT", opened, Map.of("downloaded", true), UUID.randomUUID());
    JsonNode lines = ada.get("/trail/opened").ok().get("lines");
    assertThat(lines).hasSize(2);
    assertThat(lines.get(0).get("downloaded").asBoolean()).isTrue();
    assertThat(lines.get(1).get("downloaded").asBoolean()).isFalse();
  }

  @DisplayName("Taken out, it comes back by an undo for thirty days; then its file is gone")
  @Test
  void takenOut() {
    String publication = open(-1);
    byte[] file = page(title(publication), "taken out " + UUID.randomUUID());
    String text = bring(ada, publication, "", file).ok().get("text").asString();
    UUID command = UUID.randomUUID();
    ada.write("DELETE", "/texts/" + text, Map.of(), command).ok();
    assertThat(here(ada, publication).get("copies")).isEmpty();
    assertThat(ada.get("/texts/" + text).status()).isEqualTo(404);
    ada.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(ada.get("/texts/" + text).status()).isEqualTo(200);

    ada.write("DELETE", "/texts/" + text, Map.of(), UUID.randomUUID()).ok();
    pass(29);
    assertThat(files(file)).isEqualTo(1);
    pass(2);
    assertThat(files(file)).isZero();
  }

  private void pass(int days) {
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofDays(days)));
    APP.bean(GoneTexts.class).run();
  }

  private int files(byte[] content) {
    return database.queryForObject(
        "select count(*) from text_file where content = ?", Integer.class, (Object) content);
  }
}
