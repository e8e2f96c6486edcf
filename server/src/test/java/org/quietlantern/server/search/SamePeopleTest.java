package org.quietlantern.server.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import tools.jackson.databind.JsonNode;

@DisplayName("Who may be behind an author's name")
class SamePeopleTest {
  private static final TestApp APP = TestApp.shared();
  private final TestGroup group = APP.group("Pia People");
  private final Client client = group.client(0);

  private static SourceRecord by(String id, String family, String given, String orcid) {
    SourceRecord one = Supply.mods(id, "Peatmoss walks " + id, family, "");
    String number =
        orcid.isEmpty() ? "" : "<nameIdentifier type=\"orcid\">" + orcid + "</nameIdentifier>";
    return new SourceRecord(
        one.identifier(),
        one.format(),
        one.raw().replace("Liv Marie</namePart>", given + "</namePart>" + number),
        one.datestamp(),
        false);
  }

  @DisplayName("By ORCID, and by names that have none; another given name is another person")
  @Test
  void people() {
    Supply supply = Supply.made(APP, "people", 9);
    supply.take(
        by("sp1", "Quaggle", "Anna", "0000-0002-1825-0097"),
        by("sp2", "Quaggle", "Anna M.", "0000-0002-1825-0097"),
        by("sp3", "Quaggle", "A.", ""),
        by("sp4", "Quaggle", "Anna", "0000-0001-5109-3700"),
        by("sp5", "Quaggle", "Berta", "0000-0003-1415-9269"));
    List<String> first = group.find("title: \"Peatmoss walks sp1\"");
    JsonNode asked = client.get("/publications/" + first.get(0) + "/authors/0").ok();
    assertThat(asked.get("name").asString()).isEqualTo("Anna Quaggle");
    assertThat(asked.get("found").asInt()).isEqualTo(5);
    JsonNode people = asked.get("people");
    assertThat(people.valueStream().map(one -> one.get("orcid").asString()))
        .containsExactly("0000-0002-1825-0097", "0000-0001-5109-3700", "");
    assertThat(people.valueStream().map(one -> one.get("works").asInt())).containsExactly(2, 1, 1);
    // Each is found by its line, and nobody else.
    assertThat(group.find("author: " + people.at("/0/line").asString())).hasSize(2);
    assertThat(group.find("author: " + people.at("/1/line").asString())).hasSize(1);
    assertThat(group.find("author: " + people.at("/2/line").asString())).hasSize(1);
    assertThat(client.get("/publications/" + first.get(0) + "/authors/1").status()).isEqualTo(404);
    assertThat(client.get("/publications/" + first.get(0) + "/authors/-1").status()).isEqualTo(404);
  }
}
