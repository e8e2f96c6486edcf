package org.quietlantern.server.bringing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.quietlantern.server.support.Supply.doi;
import static org.quietlantern.server.support.Supply.mods;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.DyingCheckpoint;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@DisplayName("Files of references are brought in")
class BringingTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final JdbcTemplate DATABASE = APP.bean(JdbcTemplate.class);
  private final TestGroup group = APP.group("Brida Bringer", "Coll Colleague");
  private final Client client = group.client(0);
  private final String folder = group.folder("Old records");

  private String begun() {
    return client.post("/brought", Map.of()).ok().get("id").asString();
  }

  private String brought(String name, String content) {
    String brought = begun();
    put(brought, 0, name, content.getBytes(StandardCharsets.UTF_8));
    return brought;
  }

  private void put(String brought, int n, String name, byte[] content) {
    String path = "/brought/" + brought + "/files/" + n + "?name=" + name;
    assertThat(client.sendBytes("PUT", path, content).status()).isEqualTo(204);
  }

  private JsonNode shown(String brought) {
    return client.get("/brought/" + brought).ok();
  }

  private int count(String brought, String of) {
    return shown(brought).get("counts").get(of).asInt();
  }

  private JsonNode entries(String brought, String of) {
    return client.get("/brought/" + brought + "/entries?of=" + of).ok().get("entries");
  }

  private void take(String brought) {
    client.post("/brought/" + brought + "/taken", Map.of("folder", folder)).ok();
    goOn();
    assertThat(shown(brought).get("state").asString()).isEqualTo("taken");
  }

  /** Whatever goes on by itself has gone on. */
  private static void goOn() {
    APP.bean(BroughtJob.class).run();
    APP.bean(IndexKeeper.class).catchUp();
  }

  private void takeBack(String brought) {
    client.write("DELETE", "/brought/" + brought + "/taken", Map.of(), UUID.randomUUID()).ok();
    goOn();
    assertThat(shown(brought).get("state").asString()).isEqualTo("returned");
  }

  private List<String> inFolder() {
    List<String> titles = new ArrayList<>();
    client
        .get("/folders/" + folder)
        .ok()
        .get("items")
        .forEach(item -> titles.add(item.at("/publication/title").asString()));
    return titles;
  }

  private List<String> idsInFolder() {
    return client
        .get("/folders/" + folder)
        .ok()
        .get("ids")
        .valueStream()
        .map(JsonNode::asString)
        .toList();
  }

  private static String ris(String title, String author, String doi) {
    return """
        TY  - JOUR
        TI  - %s
        AU  - %s
        PY  - 2024
        T2  - Journal of Reeds
        DO  - %s
        N1  - Read in spring.
        ER  -
        """
        .formatted(title, author, doi);
  }

  /** A work of the shared catalogue with a DOI and an author. */
  private static Map<String, Object> shared(int which) {
    return DATABASE.queryForMap(
        "select pid, fields->>'title' as title, fields->>'doi' as doi,"
            + " fields->'authors'->0->>'family' as family from publication"
            + " where fields->>'doi' <> '' and fields->'authors'->0->>'family' <> ''"
            + " and grp is null and canonical is null and withdrawn is null"
            + " order by id offset ? limit 1",
        which);
  }

  private static String risOf(Map<String, Object> work) {
    return ris((String) work.get("title"), work.get("family") + ", A", (String) work.get("doi"));
  }

  @DisplayName("What is new, here and doubtful is told before anything is written")
  @Test
  void preview() {
    Map<String, Object> here = shared(0);
    String brought =
        brought(
            "old.ris",
            ris("Reeds that nobody had", "Reed, R", "10.5555/none.1")
                + risOf(here)
                + ris("Otters at weirs", "Otter, O", (String) shared(1).get("doi"))
                + ris("Reeds that nobody had", "Reed, R", "10.5555/none.1")
                + "TY  - JOUR\nAU  - Nobody\nER  - \n");
    long before = DATABASE.queryForObject("select count(*) from source_record", Long.class);
    assertThat(count(brought, "fresh")).isEqualTo(1);
    assertThat(count(brought, "here")).isEqualTo(1);
    assertThat(count(brought, "doubtful")).isEqualTo(1);
    assertThat(count(brought, "twice")).isEqualTo(1);
    assertThat(count(brought, "undecided")).isEqualTo(1);
    JsonNode known = entries(brought, "here").get(0);
    assertThat(known.get("byKey").asString()).isEqualTo("doi");
    assertThat(known.at("/here/0/id").asString()).isEqualTo(here.get("pid"));
    assertThat(known.at("/here/0/own").asBoolean()).isFalse();
    assertThat(known.get("line").asInt()).isEqualTo(9);
    assertThat(known.get("note").asString()).isEqualTo("Read in spring.");
    assertThat(entries(brought, "twice").get(0).get("byKey").asString()).isEqualTo("1");
    assertThat(entries(brought, "faulty").size()).isPositive();
    JsonNode problem = client.get("/brought/" + brought + "/problems").ok().at("/problems/0");
    assertThat(problem.get("sentence").asString()).contains("title");
    assertThat(problem.get("line").asInt()).isEqualTo(33);
    assertThat(DATABASE.queryForObject("select count(*) from source_record", Long.class))
        .isEqualTo(before);
    assertThat(inFolder()).isEmpty();
  }

  @DisplayName("Taken, each entry has its receipt; the same file again adds nothing")
  @Test
  void taken() {
    Map<String, Object> here = shared(2);
    String file = ris("Sedges of the north", "Sedge, S", "10.5555/none.2") + risOf(here);
    String brought = brought("old.ris", file);
    take(brought);
    assertThat(inFolder())
        .containsExactlyInAnyOrder("Sedges of the north", (String) here.get("title"));
    JsonNode added = entries(brought, "added").get(0);
    assertThat(added.at("/work/title").asString()).isEqualTo("Sedges of the north");
    assertThat(entries(brought, "joined").get(0).at("/work/id").asString())
        .isEqualTo(here.get("pid"));
    assertThat(group.find("sedges")).containsExactly(added.at("/work/id").asString());
    String reasons = client.get("/folders/" + folder).ok().toString();
    assertThat(reasons).contains("Read in spring.");

    long records = DATABASE.queryForObject("select count(*) from source_record", Long.class);
    String again = brought("again.ris", file);
    assertThat(count(again, "here")).isEqualTo(2);
    assertThat(entries(again, "here").get(0).get("byKey").asString()).isEqualTo("record");
    take(again);
    assertThat(count(again, "there")).isEqualTo(2);
    assertThat(inFolder()).hasSize(2);
    assertThat(DATABASE.queryForObject("select count(*) from source_record", Long.class))
        .isEqualTo(records);
    // What two files brought in stays by the other.
    takeBack(brought);
    assertThat(group.find("sedges")).hasSize(1);
  }

  @DisplayName("A doubtful entry waits; the same or another: both hold whatever comes later")
  @Test
  void decided() {
    Map<String, Object> one = shared(3);
    Supply shared = new Supply(APP, "night-index");
    shared.take(mods("index:apart", "Plovers in lit lakes", "Plover", doi("10.5555/apart.1")));
    String brought =
        brought(
            "doubtful.ris",
            ris("Herons by the mill", "Heron, H", (String) one.get("doi"))
                + ris("Egrets by the mill", "Egret, E", "10.5555/apart.1")
                + ris("Terns by the mill", "Tern, T", "10.5555/none.3"));
    assertThat(count(brought, "undecided")).isEqualTo(2);
    take(brought);
    assertThat(count(brought, "undecided")).isEqualTo(2);
    assertThat(inFolder()).containsExactly("Terns by the mill");
    String path = "/brought/" + brought + "/decisions";
    client.put(path, Map.of("entries", List.of(1), "decision", "same")).ok();
    UUID command = UUID.randomUUID();
    client.write("PUT", path, Map.of("entries", List.of(2), "decision", "same"), command).ok();
    client.post("/actions/" + command + "/undo", Map.of(), UUID.randomUUID()).ok();
    assertThat(count(brought, "undecided")).isEqualTo(1);
    client.put(path, Map.of("of", "doubtful", "decision", "another")).ok();
    client.put(path, Map.of("entries", List.of(1), "decision", "same")).ok();
    take(brought);
    assertThat(inFolder())
        .containsExactlyInAnyOrder(
            "Terns by the mill", "Egrets by the mill", (String) one.get("title"));
    assertThat(group.find("herons")).isEmpty();
    String egrets = group.find("egrets").get(0);

    // Its source says otherwise now, and all that the rule asks for agrees.
    shared.take(mods("index:apart", "Egrets by the mill", "Egret", doi("10.5555/apart.1")));
    assertThat(group.find("egrets")).hasSize(2).contains(egrets);
    // Of an entry that nobody decided it would be the same.
    String other = brought("other.ris", ris("Egrets by the mill.", "Egret, E.", "10.5555/apart.1"));
    assertThat(count(other, "here")).isEqualTo(1);
  }

  private Client.Response oneBack(String brought, int n) {
    String path = "/brought/" + brought + "/entries/" + n + "/taken";
    return client.write("DELETE", path, Map.of(), UUID.randomUUID());
  }

  @DisplayName("What was decided wrongly is taken back alone, decided anew, and taken again")
  @Test
  void oneBack() {
    Map<String, Object> one = shared(6);
    String brought =
        brought(
            "wrong.ris",
            ris("Bitterns by the mill", "Bittern, B", (String) one.get("doi"))
                + ris("Coots by the mill", "Coot, C", "10.5555/none.7"));
    String decisions = "/brought/" + brought + "/decisions";
    client.put(decisions, Map.of("entries", List.of(1), "decision", "same")).ok();
    take(brought);
    assertThat(inFolder())
        .containsExactlyInAnyOrder("Coots by the mill", (String) one.get("title"));
    oneBack(brought, 1).ok();
    assertThat(oneBack(brought, 1).type()).isEqualTo("nothing-taken");
    assertThat(inFolder()).containsExactly("Coots by the mill");
    client.put(decisions, Map.of("entries", List.of(1), "decision", "another")).ok();
    take(brought);
    assertThat(inFolder()).containsExactlyInAnyOrder("Coots by the mill", "Bitterns by the mill");
    assertThat(group.find("bitterns")).hasSize(1);
    // And the other way round.
    oneBack(brought, 1).ok();
    assertThat(group.find("bitterns")).isEmpty();
    client.put(decisions, Map.of("entries", List.of(1), "decision", "same")).ok();
    take(brought);
    assertThat(group.find("bitterns")).isEmpty();
    assertThat(inFolder()).contains((String) one.get("title"));
    takeBack(brought);
    assertThat(inFolder()).isEmpty();
  }

  @DisplayName("Taken back whole; what a colleague kept or said something of stays")
  @Test
  void takenBack() {
    Map<String, Object> here = shared(5);
    String brought =
        brought(
            "back.ris",
            ris("Mallows of the dike", "Mallow, M", "10.5555/none.4")
                + ris("Nettles of the dike", "Nettle, N", "10.5555/none.5")
                + risOf(here));
    take(brought);
    assertThat(group.find("dike")).hasSize(2);
    String nettles = group.find("nettles").get(0);
    String pile = "/pile/items";
    group.client(1).post(pile, Map.of("publications", List.of(nettles), "note", "")).ok();
    takeBack(brought);
    assertThat(inFolder()).isEmpty();
    assertThat(count(brought, "returned")).isEqualTo(2);
    assertThat(count(brought, "stays")).isEqualTo(1);
    assertThat(group.find("dike")).containsExactly(nettles);
    assertThat(group.client(1).get("/publications/" + here.get("pid")).status()).isEqualTo(200);

    take(brought);
    assertThat(group.find("dike")).hasSize(2);
    assertThat(inFolder()).contains("Mallows of the dike");
  }

  @DisplayName("N5: it goes into the memory of alerts, and is announced in none")
  @Test
  void notAnnounced() {
    String alert = group.alert(folder, "Bitterns", "bitterns", "at-once");
    take(brought("quiet.ris", ris("Bitterns of the fen", "Bittern, B", "10.5555/none.6")));
    APP.bean(Watching.class).run();
    assertThat(group.find("bitterns")).hasSize(1);
    assertThat(client.get("/alerts/" + alert).ok().toString()).doesNotContain("Bitterns of");
    assertThat(client.get("/rounds").ok().toString()).doesNotContain("Bitterns of");
  }

  @DisplayName("Several files, an archive, and a table whose columns have to be told")
  @Test
  void files() throws IOException {
    String brought = begun();
    String bibtex = "@article{a, title={Coots at dusk}, author={Coot, C}, year={2023}}\n";
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry("../../climbs.bib"));
      zip.write(bibtex.getBytes(StandardCharsets.UTF_8));
      zip.putNextEntry(new ZipEntry("nothing.bin"));
      zip.write(new byte[] {0, 1, 2, 3});
    }
    put(brought, 0, "both.zip", bytes.toByteArray());
    put(
        brought,
        1,
        "table.csv",
        "Werk;Wer;Wann\nRails at dawn;\"Rail, R\";2021\n".getBytes(StandardCharsets.UTF_8));
    assertThat(shown(brought).get("reading").asBoolean()).isTrue();
    APP.bean(BroughtJob.class).run();
    JsonNode shown = shown(brought);
    assertThat(shown.get("reading").asBoolean()).isFalse();
    assertThat(shown.at("/counts/fresh").asInt()).isEqualTo(1);
    JsonNode table = file(shown, "table.csv");
    assertThat(table.at("/columns/0/head").asString()).isEqualTo("Werk");
    assertThat(table.at("/columns/0/holds").asString()).isEmpty();
    String columns = "/brought/" + brought + "/files/1/columns";
    Map<String, String> holds = Map.of("Werk", "title", "Wer", "authors", "Wann", "year");
    assertThat(client.put(columns, Map.of("holds", Map.of("Werk", "nonsense"))).status())
        .isEqualTo(422);
    assertThat(client.put(columns, Map.of("holds", holds)).status()).isEqualTo(204);
    assertThat(count(brought, "fresh")).isEqualTo(2);
    assertThat(entries(brought, "").toString()).contains("Rails at dawn", "Rail", "2021");

    // The next table with these heads is read as this one.
    String next = brought("next.csv", "Werk;Wer;Wann\nCrakes at dawn;\"Crake, C\";2020\n");
    assertThat(entries(next, "new").toString()).contains("Crakes at dawn", "2020");
  }

  private static JsonNode file(JsonNode shown, String name) {
    for (JsonNode file : shown.get("files")) {
      if (file.get("name").asString().equals(name)) {
        return file;
      }
    }
    throw new IllegalStateException(name);
  }

  @DisplayName("What stands in two files of one act is the same entry twice")
  @Test
  void inTwoFiles() {
    String brought = brought("one.ris", ris("Ospreys of the lake", "Osprey, O", "10.5555/none.9"));
    String bibtex =
        "@article{a, title={Ospreys of the Lake}, author={Osprey, Ole}, doi={10.5555/none.9}}";
    put(brought, 1, "two.bib", bibtex.getBytes(StandardCharsets.UTF_8));
    assertThat(count(brought, "fresh")).isEqualTo(1);
    assertThat(entries(brought, "twice").get(0).get("byKey").asString()).isEqualTo("1");
    take(brought);
    assertThat(inFolder()).hasSize(1);
    assertThat(count(brought, "added")).isEqualTo(1);
    assertThat(count(brought, "there")).isEqualTo(1);
  }

  @DisplayName("What is begun is its bringer's; the same number again replaces a file")
  @Test
  void mine() {
    String brought = brought("one.ris", ris("Swifts of the tower", "Swift, S", ""));
    put(
        brought,
        0,
        "two.ris",
        ris("Swallows of the barn", "Swallow, S", "").getBytes(StandardCharsets.UTF_8));
    assertThat(entries(brought, "").toString())
        .contains("Swallows of the barn")
        .doesNotContain("Swifts");
    assertThat(group.client(1).get("/brought/" + brought).status()).isEqualTo(404);
    assertThat(group.client(1).get("/brought").ok().get("lines").size()).isZero();
    assertThat(client.get("/brought").ok().at("/lines/0/files/0").asString()).isEqualTo("two.ris");
    client.write("DELETE", "/brought/" + brought, Map.of(), UUID.randomUUID()).ok();
    assertThat(client.get("/brought/" + brought).status()).isEqualTo(404);
  }

  @DisplayName(
      "Whatever a file says is kept as letters: nothing of it is run, nothing breaks by it")
  @Test
  void hostile() {
    String hostile =
        "TY  - JOUR\nTI  - <script>alert(1)</script> \u0001 {{7*7}} ${x}\nAU  - O'Drop, \"; drop table\n"
            + "VL  - \u0001\u0002\nSP  - \u0001\nT2  - Q\nN1  - \u0001 \ud83d\n"
            + "N1  - "
            + "a".repeat(9_000)
            + "\nIS  - \u0000\n"
            + "ER  - \nTY  - \u0001\nZZ\u0001 - x\nTI  - \u0001\nER  - \n";
    String brought = brought("%3Cb%3E%2e%2e%2fold.ris", hostile);
    JsonNode entry = entries(brought, "").get(0);
    assertThat(entry.at("/entry/title").asString())
        .isEqualTo("<script>alert(1)</script> {{7*7}} ${x}");
    take(brought);
    assertThat(inFolder()).contains("<script>alert(1)</script> {{7*7}} ${x}");
    String table = brought("t.csv", "Title\u0001;Wh\u0001o\nMosses;x\u0001\nFerns;y\n");
    assertThat(shown(table).get("reading").asBoolean()).isFalse();
    StringBuilder fields = new StringBuilder("@article{x, title={Many fields}");
    for (int n = 0; n < 5_000; n++) {
      fields.append(", f").append(n).append("={\\input{/etc/passwd}\\loop}");
    }
    String many = brought("many.bib", fields + "}\n");
    assertThat(entries(many, "").toString()).contains("Many fields").doesNotContain("root:");
    StringBuilder authors = new StringBuilder("TY  - JOUR\nTI  - A crowd\n");
    for (int n = 0; n < 20_000; n++) {
      authors.append("AU  - Crowd").append(n).append(", A\n");
    }
    String crowd = brought("crowd.ris", authors + "ER  - \n" + ris("Alone", "Reed, R", ""));
    assertThat(entries(crowd, "").toString()).contains("Alone").doesNotContain("A crowd");
    assertThat(client.get("/brought/" + crowd + "/problems").body()).contains("longer than");
    assertThat(client.post("/reference-list", Map.of("text", hostile)).status()).isEqualTo(200);
  }

  @DisplayName(
      "Twelve hundred entries are taken page by page, each once, and back, wherever the server dies")
  @Test
  void pages() {
    StringBuilder all = new StringBuilder();
    for (int n = 0; n < 1_200; n++) {
      all.append(ris("Gulls " + Integer.toString(n, 26) + "x of isle " + n, "Gull, G", ""));
    }
    String brought = brought("gulls.ris", all.toString());
    assertThat(count(brought, "fresh") + count(brought, "twice")).isEqualTo(1_200);
    client.post("/brought/" + brought + "/taken", Map.of("folder", folder)).ok();
    assertThat(shown(brought).get("state").asString()).isEqualTo("taking");
    assertThat(count(brought, "ready")).isEqualTo(1_000);
    DyingCheckpoint dying = APP.bean(DyingCheckpoint.class);
    dying.dieAt("bringing: page kept and noted, not committed", 2);
    assertThatThrownBy(() -> APP.bean(BroughtJob.class).run())
        .isInstanceOf(DyingCheckpoint.Death.class);
    assertThat(count(brought, "ready")).isEqualTo(800);
    assertThat(idsInFolder()).hasSize(400);
    goOn();
    assertThat(idsInFolder()).hasSize(1_200).doesNotHaveDuplicates();
    assertThat(count(brought, "ready")).isZero();
    int added = count(brought, "added") + count(brought, "there") + count(brought, "joined");
    assertThat(added).isEqualTo(1_200);
    dying.dieAt("bringing: page given back, not committed", 2);
    assertThatThrownBy(() -> takeBack(brought)).isInstanceOf(DyingCheckpoint.Death.class);
    goOn();
    assertThat(shown(brought).get("state").asString()).isEqualTo("returned");
    assertThat(inFolder()).isEmpty();
    assertThat(group.find("gulls")).isEmpty();
  }

  @DisplayName(
      "A long file is looked at as it begins; what was decided meanwhile stays, and nothing stands twice")
  @Test
  void begins() {
    String like =
        client.get("/publications/" + group.find("moth").get(0)).ok().get("doi").asString();
    StringBuilder ris = new StringBuilder();
    ris.append("TY  - JOUR\nTI  - Not the title that is here\nDO  - ")
        .append(like)
        .append("\nER  - \n");
    for (int n = 1; n < 2_000; n++) {
      ris.append("TY  - JOUR\nTI  - Slow carts of parish ").append(n).append("\nAB  - ");
      ris.append("axle ".repeat(120)).append("\nER  - \n");
    }
    String brought = brought("long.ris", ris.toString());
    assertThat(shown(brought).get("reading").asBoolean()).isTrue();
    assertThat(count(brought, "all")).isEqualTo(200);
    String entry = entries(brought, "doubtful").get(0).get("n").asString();
    Map<String, Object> decided =
        Map.of("entries", List.of(Integer.valueOf(entry)), "decision", "another");
    client.put("/brought/" + brought + "/decisions", decided).ok();
    goOn();
    assertThat(shown(brought).get("reading").asBoolean()).isFalse();
    assertThat(count(brought, "all")).isEqualTo(2_000);
    assertThat(count(brought, "twice")).isZero();
    assertThat(count(brought, "undecided")).isZero();
  }

  @DisplayName("A long file whose end says what its beginning means is read anew")
  @Test
  void meantOtherwise() {
    StringBuilder bibtex = new StringBuilder();
    for (int n = 0; n < 2_000; n++) {
      bibtex.append(
          "@inproceedings{k%d, title={Slow carts of field %d}, crossref={all},\n".formatted(n, n));
      bibtex.append(" abstract={").append("axle ".repeat(120)).append("}}\n");
    }
    bibtex.append("@proceedings{all, title={Carts and Axles}, year=2018}\n");
    String brought = brought("long.bib", bibtex.toString());
    assertThat(count(brought, "all")).isEqualTo(200);
    goOn();
    assertThat(count(brought, "all")).isEqualTo(2_001);
    assertThat(entries(brought, "").get(0).toString()).contains("Carts and Axles");
  }
}
