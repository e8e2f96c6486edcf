package org.quietlantern.server.holdings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** What a group may read goes in and out as a file, looked at before it takes another's place. */
class HoldingsFilesTest {
  private static final TestApp APP = TestApp.shared();
  private static final String NAMES =
      "publication_title\tprint_identifier\tonline_identifier\tdate_first_issue_online"
          + "\tdate_last_issue_online\tembargo_info\taccess_type\n";
  private static final String MOTHS = "Moths\t\t9999-1004\t1997\t\tP12M\tP\n";
  private static final String DUSK = "Dusk\t9999-2221\t\t2010-01-01\t\t\tF\n";

  @DisplayName("Looked at before, taken in, out again as it was; other groups see nothing of it")
  @Test
  void inAndOut() {
    TestGroup group = APP.group("Cora Coordinator", "Mats Member");
    Client cora = group.client(0);
    String first = NAMES + MOTHS + DUSK + "no numbers\n";
    JsonNode look = cora.post("/holdings/group/look", Map.of("name", "a.txt", "file", first)).ok();
    assertThat(look.get("added").toString()).isEqualTo("[\"Moths\",\"Dusk\"]");
    assertThat(look.get("problems").get(0).get("line").asInt()).isEqualTo(4);
    assertThat(cora.get("/holdings/group").ok().get("titles")).as("only looked at").isEmpty();

    Map<String, Object> body = Map.of("name", "Our library 2026.txt", "file", first);
    cora.write("PUT", "/holdings/group", body, UUID.randomUUID()).ok();
    Client mats = group.client(1);
    assertThat(mats.get("/holdings/group/file").body()).isEqualTo(first);
    assertThat(APP.group("Other One").client(0).get("/holdings/group/file").body()).isEmpty();

    String next = NAMES + MOTHS.replace("1997", "2001");
    JsonNode changes =
        cora.post("/holdings/group/look", Map.of("name", "b.txt", "file", next)).ok();
    assertThat(changes.get("changed").toString()).isEqualTo("[\"Moths\"]");
    assertThat(changes.get("gone").toString()).isEqualTo("[\"Dusk\"]");
    assertThat(changes.get("added")).isEmpty();
  }

  @DisplayName("Only coordinators look and take; each line that cannot be used is told")
  @Test
  void refused() {
    TestGroup group = APP.group("Cora Coordinator", "Mats Member");
    Map<String, Object> body = Map.of("name", "a.txt", "file", NAMES + MOTHS);
    assertThat(group.client(1).post("/holdings/group/look", body).status()).isEqualTo(403);
    assertThat(group.client(1).write("PUT", "/holdings/group", body, UUID.randomUUID()).status())
        .isEqualTo(403);
    String odd = NAMES + MOTHS + "no numbers\n".repeat(300);
    JsonNode look =
        group.client(0).post("/holdings/group/look", Map.of("name", "a.txt", "file", odd)).ok();
    assertThat(look.get("problems")).hasSize(300);
    assertThat(
            group.client(0).post("/holdings/group/look", Map.of("name", "x", "file", "")).status())
        .isEqualTo(422);
  }

  @DisplayName(
      "In print: a way before the lending library; by rights of one's own: a way for that member")
  @Test
  void elsewhere() {
    TestGroup group = APP.group("Cora Coordinator", "Mats Member").guest("Gus Guest");
    Client cora = group.client(0);
    Client mats = group.client(1);
    String closed = closed(group);
    String issn = cora.get("/publications/" + closed).ok().get("host").get("issn").asString();
    String line = "Journal\t\t%s\t1900\t\t\tP".formatted(issn);
    Map<String, String> printed =
        Map.of(
            "name",
            "printed",
            "file",
            NAMES.strip() + "\tplace\n" + line + "\tlower hall, bay 3\n");
    assertThat(mats.write("PUT", "/holdings/printed", printed, UUID.randomUUID()).status())
        .isEqualTo(403);
    cora.write("PUT", "/holdings/printed", printed, UUID.randomUUID()).ok();
    assertThat(mats.get("/holdings/printed").ok().get("titles").get(0).get("place").asString())
        .isEqualTo("lower hall, bay 3");
    assertThat(ways(mats, closed)).containsSubsequence("shelf", "request");

    Map<String, String> own = Map.of("name", "Harrow college", "file", NAMES + line + "\n");
    mats.write("PUT", "/holdings/own", own, UUID.randomUUID()).ok();
    assertThat(ways(mats, closed)).containsSubsequence("publisher", "shelf", "request");
    assertThat(mats.get("/publications/" + closed + "/ways").body())
        .contains("by rights of your own (Harrow college)");
    assertThat(ways(cora, closed)).doesNotContain("publisher");
    assertThat(cora.get("/holdings/own").ok().get("titles")).isEmpty();
    assertThat(cora.get("/changes?since=0").body()).doesNotContain("Harrow college");
    assertThat(group.client(2).write("PUT", "/holdings/own", own, UUID.randomUUID()).status())
        .as("a guest")
        .isEqualTo(403);
    // What is readable is by what the group holds (M9).
    assertThat(mats.get("/publications/" + closed).ok().get("publication").get("access").asString())
        .isEqualTo("by request");
    Map<String, String> nothing = Map.of("name", "", "file", "");
    mats.write("PUT", "/holdings/own", nothing, UUID.randomUUID()).ok();
    assertThat(ways(mats, closed)).doesNotContain("publisher");
    assertThat(mats.get("/holdings/shed").status()).isEqualTo(404);
  }

  private static String closed(TestGroup group) {
    return group.find("moth").stream()
        .filter(
            id ->
                group
                    .client(0)
                    .get("/publications/" + id)
                    .ok()
                    .get("publication")
                    .get("access")
                    .asString()
                    .equals("by request"))
        .filter(id -> !ways(group.client(0), id).contains("version"))
        .findFirst()
        .orElseThrow();
  }

  private static List<String> ways(Client who, String publication) {
    return who.get("/publications/" + publication + "/ways").ok().findValuesAsString("what");
  }
}
