package org.quietlantern.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Work;

/** What the outside world supplies in files: the vocabulary, the holdings, the journals. */
class FilesTest {
  private static final Pattern CONCEPT =
      Pattern.compile("(?m)^<([^>]+)> a skos:Concept ;\\n(?:  .*\\n?)+");
  private static final Pattern LINK = Pattern.compile("skos:(broader|related) <([^>]+)>");
  private static final Pattern FACET =
      Pattern.compile(
          "<urn:quietlantern:([a-z]+):[^>]+> a skos:Concept ; skos:inScheme <[^>]+> ;"
              + " (?:skos:broader <([^>]+)>|skos:topConceptOf <[^>]+>) ;"
              + " skos:prefLabel \"([^\"]+)\"@en");
  private static final Literature LITERATURE = Literature.of(Literature.SEED, Extent.SMALL);
  private static Outside outside;

  @BeforeAll
  static void start() throws IOException {
    outside = new Outside(0, LITERATURE);
  }

  @AfterAll
  static void stop() {
    outside.close();
  }

  private static String get(String path) throws IOException, InterruptedException {
    HttpResponse<String> answer =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create(outside.address() + path)).build(),
                HttpResponse.BodyHandlers.ofString());
    assertThat(answer.statusCode()).as(path).isEqualTo(200);
    return answer.body();
  }

  @DisplayName("SKOS: each heading has one preferred name, and its links lead to headings")
  @Test
  void vocabulary() throws IOException, InterruptedException {
    Map<String, String> concepts =
        CONCEPT
            .matcher(get("/vocabulary.ttl"))
            .results()
            .collect(Collectors.toMap(r -> r.group(1), MatchResult::group));
    assertThat(concepts).hasSizeBetween(290, 340);
    assertThat(concepts.values())
        .allMatch(text -> text.split("skos:prefLabel").length == 2)
        .allMatch(text -> text.stripTrailing().endsWith("."));
    for (String text : concepts.values()) {
      assertThat(LINK.matcher(text).results().map(r -> r.group(2))).allMatch(concepts::containsKey);
      assertThat(text.contains("topConceptOf")).isNotEqualTo(text.contains("skos:broader"));
    }
    assertThat(concepts.values()).anyMatch(text -> text.split("skos:broader").length == 3);
  }

  @DisplayName("What works studied, and how, stands in small trees of SKOS, every value in one")
  @Test
  void facets() throws IOException, InterruptedException {
    String turtle = get("/facets.ttl");
    Map<String, List<String>> labels =
        FACET
            .matcher(turtle)
            .results()
            .collect(
                Collectors.groupingBy(
                    r -> r.group(1), Collectors.mapping(r -> r.group(3), Collectors.toList())));
    assertThat(labels.keySet())
        .containsExactlyInAnyOrder("study", "stage", "sex", "taxon", "region");
    assertThat(FACET.matcher(turtle).results().filter(r -> r.group(2) != null))
        .hasSizeGreaterThan(100)
        .allMatch(r -> turtle.contains("\n<" + r.group(2) + "> a skos:Concept"));
    for (Work work : LITERATURE.works()) {
      Work.Facts facts = work.facts();
      if (work.about().isEmpty()) {
        assertThat(labels.get("study")).contains(facts.studyKind());
        assertThat(labels.get("taxon")).contains(facts.taxon());
        assertThat(labels.get("region")).contains(facts.region());
      }
      assertThat(labels.get("stage")).containsAll(facts.lifeStages());
      assertThat(labels.get("sex")).containsAll(facts.sexes());
    }
  }

  @DisplayName(
      "KBART (NISO RP-9-2014): 25 columns, one type a line; gaps, embargoes, journals left out")
  @Test
  void holdings() throws IOException, InterruptedException {
    List<String[]> lines = get("/holdings.txt").lines().map(line -> line.split("\t", -1)).toList();
    assertThat(lines).allMatch(cells -> cells.length == 25);
    List<String> head = Arrays.asList(lines.get(0));
    assertThat(head).startsWith("publication_title").endsWith("access_type");
    List<String[]> held = lines.subList(1, lines.size());
    Map<String, Long> times =
        held.stream()
            .map(cells -> cells[head.indexOf("online_identifier")])
            .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
    assertThat(times.values()).as("a gap makes two lines").contains(2L);
    assertThat(times).hasSizeBetween(40, 58);
    assertThat(held.stream().map(cells -> cells[head.indexOf("embargo_info")]))
        .anyMatch(embargo -> embargo.matches("P\\d+M"))
        .allMatch(embargo -> embargo.isEmpty() || embargo.matches("P\\d+[MY]"));
    assertThat(held.stream().map(cells -> cells[24]).distinct())
        .containsExactlyInAnyOrder("F", "P");
    List<String> printed = get("/printed.txt").lines().skip(1).toList();
    assertThat(printed).isNotEmpty().allMatch(line -> line.contains("\tlower hall, bay "));
    List<String> college = get("/college.txt").lines().skip(1).toList();
    assertThat(college).isNotEmpty();
    assertThat(Stream.concat(printed.stream(), college.stream()).map(line -> line.split("\t")[2]))
        .as("what the group does not hold")
        .doesNotContainAnyElementsOf(times.keySet())
        .doesNotHaveDuplicates();
    Set<String> journals =
        get("/journals.csv").lines().skip(1).map(FilesTest::issn).collect(Collectors.toSet());
    assertThat(journals).hasSize(60).containsAll(times.keySet());
  }

  private static String issn(String line) {
    return line.replaceAll("^\"[^\"]*\",([0-9X-]{9}),.*", "$1");
  }

  @DisplayName("An unknown text is not found, and asks for nothing else")
  @Test
  void unknownTexts() throws IOException, InterruptedException {
    for (String path : List.of("/text/999999.pdf", "/text/1.exe", "/text/../journals.csv")) {
      assertThat(
              HttpClient.newHttpClient()
                  .send(
                      HttpRequest.newBuilder(URI.create(outside.address() + path)).build(),
                      HttpResponse.BodyHandlers.discarding())
                  .statusCode())
          .as(path)
          .isEqualTo(404);
    }
  }
}
