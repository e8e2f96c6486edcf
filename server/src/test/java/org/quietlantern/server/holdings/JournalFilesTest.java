package org.quietlantern.server.holdings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

/** What is known of journals goes in and out as a file. */
class JournalFilesTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final TestGroup GROUP = APP.group("Stina Steward", "Mats Member");
  private static final Client STINA = GROUP.client(0);
  private static final String FILE =
      """
      title,issn,publisher,discipline,since,peer_reviewed_from,former_title,former_until
      "Fens, and their moths",9999-2101,Fenland Press,ecology,1990,2001,Moths of the fens,1989
      Lamps,9999-2102,,,,,,
      Without a number,,,,,,,
      Late,9999-2103,,,soon,,,
      """;

  @BeforeAll
  static void steward() {
    APP.makeSteward(GROUP.member(0));
  }

  @DisplayName("Looked at before, taken in once, found; out again as it came in")
  @Test
  void inAndOut() {
    String before = STINA.get("/journals.csv").body();
    JsonNode look = STINA.post("/journals/look", Map.of("file", FILE)).ok();
    assertThat(look.get("journals").asInt()).isEqualTo(2);
    assertThat(look.get("added").toString()).isEqualTo("[\"Fens, and their moths\",\"Lamps\"]");
    assertThat(look.get("problems").toString())
        .isEqualTo("[\"line 4: no ISSN\",\"line 5: not a year: “soon”\"]");
    assertThat(STINA.get("/journals.csv").body()).as("only looked at").isEqualTo(before);

    UUID command = UUID.randomUUID();
    Map<String, Object> body = Map.of("file", "\uFEFF" + FILE);
    STINA.write("PUT", "/journals", body, command).ok();
    STINA.write("PUT", "/journals", body, command).ok();
    assertThat(STINA.get("/journals/9999-2101").ok().toString()).contains("Moths of the fens");
    assertThat(STINA.get("/journals.csv").body())
        .contains(
            "\"Fens, and their moths\",9999-2101,Fenland Press,ecology,1990,2001,Moths of the"
                + " fens,1989\r\n")
        .hasSizeGreaterThan(before.length());

    String all = STINA.get("/journals.csv").body();
    JsonNode again = STINA.post("/journals/look", Map.of("file", all)).ok();
    assertThat(again.get("added")).isEmpty();
    assertThat(again.get("changed")).isEmpty();
    JsonNode changed =
        STINA.post("/journals/look", Map.of("file", FILE.replace("1990", "1991"))).ok();
    assertThat(changed.get("changed").toString()).isEqualTo("[\"Fens, and their moths\"]");
  }

  @DisplayName("A file of nothing changes nothing; only stewards bring one in")
  @Test
  void refused() {
    for (String nothing : new String[] {"", "title,year\nMoths,2013\n", "title,issn\n,\n"}) {
      Client.Response refused = STINA.post("/journals/look", Map.of("file", nothing));
      assertThat(refused.status()).isEqualTo(422);
      assertThat(refused.body()).contains("Nothing in this file can be used");
    }
    Client mats = GROUP.client(1);
    assertThat(mats.post("/journals/look", Map.of("file", FILE)).status()).isEqualTo(403);
    assertThat(mats.write("PUT", "/journals", Map.of("file", FILE), UUID.randomUUID()).status())
        .isEqualTo(403);
    assertThat(mats.get("/journals.csv").status()).isEqualTo(200);
  }
}
