package org.quietlantern.server.person;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.ibatis.annotations.Select;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Everything about a person: to take along, and to be erased. */
class PersonTest {
  /** Made from others, which are told. */
  private static final Set<String> DERIVED = Set.of("lamp", "round_member");

  private static final TestApp APP = TestApp.shared();
  private final String unsaid = "unsaid-" + UUID.randomUUID();
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);
  private final String name = "Petra " + UUID.randomUUID().toString().replaceAll("\\d", "x");
  private final TestGroup group = APP.group("Cora Ordinator", name);
  private final Client cora = group.client(0);
  private final Client petra = group.client(1);
  private final String pid = group.member(1).pid();
  private final String email = petra.below("").get("/api/me").ok().get("email").asString();
  private final String work = group.find("moth*").get(0);

  private Map<String, byte[]> archive() throws IOException {
    Map<String, byte[]> files = new HashMap<>();
    byte[] zip = petra.below("").getBytes("/api/me/data.zip");
    try (ZipInputStream entries = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry one = entries.getNextEntry(); one != null; one = entries.getNextEntry()) {
        files.put(one.getName(), entries.readAllBytes());
      }
    }
    return files;
  }

  private static JsonNode json(byte[] file) {
    return JsonMapper.shared().readTree(new String(file, StandardCharsets.UTF_8));
  }

  /** Things of every sort. */
  private String acts() {
    String folder = petra.post("/folders", Map.of("name", "Petra’s")).ok().get("id").asString();
    Map<String, Object> kept = Map.of("publications", List.of(work), "note", "my reason");
    petra.post("/folders/" + folder + "/items", kept).ok();
    String pile =
        petra
            .post("/pile/items", Map.of("publications", List.of(work), "note", "in my pile"))
            .ok()
            .get("folderId")
            .asString();
    petra
        .put(
            "/folders/" + pile + "/items/" + work + "/note",
            Map.of("was", "in my pile", "text", unsaid))
        .ok();
    petra.post("/members/" + pid + "/absences", Map.of("from", "2031-05-06")).ok();
    String remark =
        petra
            .post("/publications/" + work + "/remarks", Map.of("text", "what I said"))
            .ok()
            .get("id")
            .asString();
    cora.post(
            "/publications/" + work + "/remarks", Map.of("text", "@Petra look", "answers", remark))
        .ok();
    petra.post("/tasks", Map.of("text", "what I note")).ok();
    String asked = "Where?";
    petra
        .post(
            "/questions", Map.of("to", group.member(0).pid(), "text", asked, "place", "/p/" + work))
        .ok();
    String q =
        petra
            .post("/steps", Map.of("asked", Map.of("text", "my words"), "order", "here"))
            .ok()
            .get("q")
            .asString();
    petra.post("/folders/" + folder + "/notes", Map.of("of", "q:" + q)).ok();
    petra.put("/publications/" + work + "/opened", Map.of()).ok();
    petra.put("/publications/" + work + "/read", Map.of("extent", "text")).ok();
    return folder;
  }

  @DisplayName("The archive has what they kept, said, asked, searched and opened, group by group")
  @Test
  void archived() throws IOException {
    acts();
    Map<String, byte[]> files = archive();
    assertThat(files).containsOnlyKeys("account.json", "group-1.json");
    JsonNode account = json(files.get("account.json"));
    assertThat(account.get("email").asString()).isEqualTo(email);
    assertThat(account.toString()).doesNotContain("argon", "hash");
    JsonNode mine = json(files.get("group-1.json"));
    assertThat(mine.get("kept").findValuesAsString("why")).containsExactly("my reason", unsaid);
    assertThat(mine.get("marks").findValuesAsString("said")).contains("keep");
    assertThat(mine.at("/remarks/0/text").asString()).isEqualTo("what I said");
    assertThat(mine.get("remarks")).hasSize(1);
    assertThat(mine.get("mentioned")).hasSize(1);
    assertThat(mine.at("/tasks/0/text").asString()).isEqualTo("what I note");
    assertThat(mine.at("/questions/0/text").asString()).isEqualTo("Where?");
    assertThat(mine.at("/searched/0/strategy").toString()).contains("my words");
    assertThat(mine.at("/opened/0/publication").asString()).isEqualTo(work);
    assertThat(mine.at("/away/0/from").asString()).isEqualTo("2031-05-06");
    assertThat(mine.at("/read/0/extent").asString()).isEqualTo("text");
    assertThat(mine.get("acts").findValuesAsString("what")).contains("item.keep", "task.add");
  }

  @DisplayName("No table that names a member is forgotten")
  @Test
  void everyTable() throws NoSuchMethodException {
    String told =
        Arrays.toString(
            PersonMapper.class
                .getDeclaredMethod("everything", int.class)
                .getAnnotation(Select.class)
                .value());
    List<String> tables =
        database.queryForList(
            """
            select distinct conrelid::regclass::text from pg_constraint
            where contype = 'f' and confrelid = 'membership'::regclass
            """,
            String.class);
    assertThat(tables).hasSizeGreaterThan(25);
    assertThat(tables.stream().filter(table -> !DERIVED.contains(table)))
        .allSatisfy(table -> assertThat(told).containsPattern("\\b" + table + " "));
  }

  @DisplayName("Erased: no row of the database has their name or address; what they said stays")
  @Test
  void erased() {
    String folder = acts();
    assertThat(erase("not-my-words").status()).isEqualTo(403);
    assertThat(petra.get("").status()).isEqualTo(200);
    assertThat(erase(TestApp.PASSWORD).status()).isEqualTo(204);
    assertThat(petra.get("").status()).isEqualTo(401);
    assertThat(rowsWith(email)).isEmpty();
    assertThat(rowsWith(name)).isEmpty();
    assertThat(rowsWith(unsaid)).as("what was told to nobody").isEmpty();
    assertThat(new Client(APP.address()).signIn(email, TestApp.PASSWORD).status()).isEqualTo(401);
    JsonNode rows = cora.get("/folders/" + folder).ok();
    assertThat(rows.toString()).contains(work);
    assertThat(cora.get("/publications/" + work + "/remarks").ok().toString())
        .contains("what I said")
        .containsIgnoringCase("a former member");
    assertThat(cora.get("/activity").ok().at("/lines/0/deed/who").asString())
        .isEqualTo("A former member");
    assertThat(
            database.queryForObject(
                "select count(*) from step t join membership m on m.id = t.membership where m.pid = ?",
                Integer.class,
                pid))
        .isZero();
  }

  private Client.Response erase(String password) {
    return petra
        .below("")
        .write("POST", "/api/me/erased", Map.of("password", password), UUID.randomUUID());
  }

  /** Tables and columns in which a text stands anywhere. */
  private List<String> rowsWith(String text) {
    List<Map<String, Object>> columns =
        database.queryForList(
            """
            select table_name as t, column_name as c from information_schema.columns
            where table_schema = 'public' and data_type in ('text', 'jsonb', 'json', 'character varying', 'character', 'ARRAY')
              and table_name <> 'publication'
            """);
    assertThat(columns).hasSizeGreaterThan(80);
    return columns.stream()
        .map(one -> one.get("t") + "." + one.get("c"))
        .filter(
            column ->
                database.queryForObject(
                        "select count(*) from \"%s\" where \"%s\"::text ilike ?"
                            .formatted((Object[]) column.split("\\.")),
                        Integer.class,
                        "%" + text + "%")
                    > 0)
        .toList();
  }

  @DisplayName("R2: not while a group would be left without a coordinator")
  @Test
  void lastCoordinator() {
    Client.Response refused =
        cora.below("")
            .write(
                "POST", "/api/me/erased", Map.of("password", TestApp.PASSWORD), UUID.randomUUID());
    assertThat(refused.type()).isEqualTo("last-coordinator");
    assertThat(cora.get("").status()).isEqualTo(200);
  }

  @DisplayName("An undo brings back nobody who was erased; a letter to them leads nowhere")
  @Test
  void nobodyComesBack() {
    UUID ended = UUID.randomUUID();
    cora.write("DELETE", "/members/" + pid, Map.of(), ended).ok();
    assertThat(erase(TestApp.PASSWORD).status()).isEqualTo(204);
    assertThat(cora.post("/actions/" + ended + "/undo", Map.of()).type()).isEqualTo("erased");
    assertThat(cora.get("/members").ok().findValuesAsString("name")).hasSize(1);
  }
}
