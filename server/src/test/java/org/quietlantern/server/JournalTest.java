package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.holdings.KnownJournals;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.corpus.Journal;
import tools.jackson.databind.JsonNode;

/** Journals: looked up, with what is here of them and what may be read. */
class JournalTest {
  private static final TestApp APP = TestApp.shared();

  /** One that was called otherwise before. */
  private static final Journal RENAMED =
      Journal.ALL.stream().filter(j -> !j.formerTitle().isEmpty()).findFirst().orElseThrow();

  private final TestGroup group = APP.group("Jory Journal");
  private final Client jory = group.client(0);

  static {
    APP.bean(KnownJournals.class).take(org.quietlantern.standins.corpus.Holdings.journals());
  }

  private JsonNode find(String query) {
    return jory.get("/journals" + query).ok();
  }

  @DisplayName(
      "By words of a title it has or had, by discipline, letter, and whether it can be read")
  @Test
  void lookingUp() {
    JsonNode all = find("");
    assertThat(all.get("found").asInt()).isEqualTo(Journal.ALL.size());
    JsonNode former = find("?words=" + RENAMED.formerTitle().replace(" ", "%20")).get("journals");
    assertThat(former.findValuesAsString("issn")).contains(RENAMED.issn());
    assertThat(former.get(0).get("by").asString()).isEqualTo(RENAMED.formerTitle());
    assertThat(former.get(0).get("count"))
        .isEqualTo(jory.get("/journals/" + former.get(0).get("issn").asString()).ok().get("count"));
    JsonNode discipline = all.get("disciplines").get(0);
    assertThat(find("?discipline=" + discipline.get("name").asString()).get("found").asInt())
        .isEqualTo(discipline.get("journals").asInt());
    assertThat(find("?letter=Z").get("found").asInt()).isZero();
    assertThat(find("?letter=L").get("journals").findValuesAsString("title"))
        .isNotEmpty()
        .allMatch(title -> title.startsWith("L") || title.startsWith("The L"));
    assertThat(find("?access=held").get("found").asInt()).isZero();
    String held =
        "publication_title\tonline_identifier\tdate_first_issue_online\tembargo_info\n"
            + "Lamp\t%s\t2001-01-01\tP12M\n".formatted(RENAMED.issn());
    jory.write("PUT", "/holdings/group", Map.of("name", "h", "file", held), UUID.randomUUID());
    assertThat(find("?access=held").get("journals").findValuesAsString("issn"))
        .containsExactly(RENAMED.issn());
    JsonNode may = jory.get("/journals/" + RENAMED.issn()).ok().get("mayRead").get(0);
    assertThat(may.get("from").asString()).isEqualTo("2001-01-01");
    assertThat(may.get("embargo").asString()).isEqualTo("not the last 12 months");
  }

  @DisplayName("What is here of it adds up, under both of its titles, by year and issue")
  @Test
  void contents() {
    JsonNode journal = jory.get("/journals/" + RENAMED.issn()).ok();
    assertThat(journal.get("line").get("chosen").valueStream().map(JsonNode::asString))
        .containsExactly(RENAMED.title(), RENAMED.formerTitle());
    int count = journal.get("count").asInt();
    assertThat(count).isPositive();
    int sum = 0;
    List<String> seen = new ArrayList<>();
    for (JsonNode year : journal.get("years")) {
      JsonNode issues =
          jory.get("/journals/" + RENAMED.issn() + "/years/" + year.get("year").asInt()).ok();
      int inYear = 0;
      for (JsonNode issue : issues) {
        inYear += issue.get("contents").size();
        issue.get("contents").forEach(hit -> seen.add(hit.at("/publication/id").asString()));
      }
      assertThat(inYear).isEqualTo(year.get("count").asInt());
      sum += inYear;
    }
    assertThat(sum).isEqualTo(count);
    assertThat(seen).doesNotHaveDuplicates();
    Map<String, Object> strategy = Map.of("version", 2, "lines", List.of(journal.get("line")));
    assertThat(jory.post("/search/count", Map.of("strategy", strategy)).ok().get("count").asInt())
        .as("search only here")
        .isEqualTo(count);
    assertThat(jory.get("/journals/0000-0000").status()).isEqualTo(404);
  }
}
