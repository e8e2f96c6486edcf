package org.quietlantern.server.holdings;

import static org.assertj.core.api.Assertions.assertThat;

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
    JsonNode look = cora.post("/holdings/look", Map.of("name", "a.txt", "file", first)).ok();
    assertThat(look.get("added").toString()).isEqualTo("[\"Moths\",\"Dusk\"]");
    assertThat(look.get("problems").get(0).get("line").asInt()).isEqualTo(4);
    assertThat(cora.get("/holdings").ok().get("titles")).as("only looked at").isEmpty();

    Map<String, Object> body = Map.of("name", "Our library 2026.txt", "file", first);
    cora.write("PUT", "/holdings", body, UUID.randomUUID()).ok();
    Client mats = group.client(1);
    assertThat(mats.get("/holdings/file").body()).isEqualTo(first);
    assertThat(APP.group("Other One").client(0).get("/holdings/file").body()).isEmpty();

    String next = NAMES + MOTHS.replace("1997", "2001");
    JsonNode changes = cora.post("/holdings/look", Map.of("name", "b.txt", "file", next)).ok();
    assertThat(changes.get("changed").toString()).isEqualTo("[\"Moths\"]");
    assertThat(changes.get("gone").toString()).isEqualTo("[\"Dusk\"]");
    assertThat(changes.get("added")).isEmpty();
  }

  @DisplayName("Only coordinators look and take; each line that cannot be used is told")
  @Test
  void refused() {
    TestGroup group = APP.group("Cora Coordinator", "Mats Member");
    Map<String, Object> body = Map.of("name", "a.txt", "file", NAMES + MOTHS);
    assertThat(group.client(1).post("/holdings/look", body).status()).isEqualTo(403);
    assertThat(group.client(1).write("PUT", "/holdings", body, UUID.randomUUID()).status())
        .isEqualTo(403);
    String odd = NAMES + MOTHS + "no numbers\n".repeat(300);
    JsonNode look =
        group.client(0).post("/holdings/look", Map.of("name", "a.txt", "file", odd)).ok();
    assertThat(look.get("problems")).hasSize(300);
    assertThat(group.client(0).post("/holdings/look", Map.of("name", "x", "file", "")).status())
        .isEqualTo(422);
  }
}
