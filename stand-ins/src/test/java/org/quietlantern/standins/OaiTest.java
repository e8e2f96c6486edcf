package org.quietlantern.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;

/** The stand-in keeps to OAI-PMH 2.0, so that what harvests it can harvest others. */
class OaiTest {
  private static final Instant NOW = Instant.parse("2026-11-17T07:00:00Z");
  private static final Pattern IDENTIFIER = Pattern.compile("<identifier>(oai:[^<]+)</identifier>");
  private static final Pattern TOKEN = Pattern.compile("<resumptionToken[^>]*>([^<]+)<");
  private static final Literature LITERATURE = Literature.of(Literature.SEED, Extent.SMALL);
  private Outside outside;
  private String source = "night-index";

  @BeforeEach
  void start() throws IOException {
    outside = new Outside(0, LITERATURE);
    outside.setClock(NOW);
  }

  @AfterEach
  void stop() {
    outside.close();
  }

  private String ask(String query) throws IOException, InterruptedException {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(URI.create(outside.source(source) + "?" + query)).build(),
            HttpResponse.BodyHandlers.ofString())
        .body();
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  private List<String> listAll(String query) throws IOException, InterruptedException {
    List<String> identifiers = new ArrayList<>();
    String page = ask("verb=ListIdentifiers&" + query);
    while (true) {
      IDENTIFIER.matcher(page).results().map(r -> r.group(1)).forEach(identifiers::add);
      List<String> tokens = TOKEN.matcher(page).results().map(r -> r.group(1)).toList();
      if (tokens.isEmpty()) {
        return identifiers;
      }
      page = ask("verb=ListIdentifiers&resumptionToken=" + encoded(tokens.get(0)));
    }
  }

  @Test
  void identifiesItself() throws IOException, InterruptedException {
    assertThat(ask("verb=Identify"))
        .contains(
            "<protocolVersion>2.0</protocolVersion>",
            "<deletedRecord>persistent</deletedRecord>",
            "<granularity>YYYY-MM-DDThh:mm:ssZ</granularity>",
            "<baseURL>" + outside.source(source) + "</baseURL>",
            "<responseDate>2026-11-17T07:0");
  }

  @DisplayName("Every record comes once, page by page, however long the list")
  @Test
  void pages() throws IOException, InterruptedException {
    List<String> all = listAll("metadataPrefix=mods");
    assertThat(all).hasSizeGreaterThan(220).doesNotHaveDuplicates();
    String first = ask("verb=ListRecords&metadataPrefix=mods");
    assertThat(first).contains("completeListSize=\"" + all.size() + "\" cursor=\"0\"");
    assertThat(IDENTIFIER.matcher(first).results()).hasSize(200);
  }

  @DisplayName(
      "A range holds exactly what changed in it; what is to come is not told before its time")
  @Test
  void ranges() throws IOException, InterruptedException {
    Set<String> before = new HashSet<>(listAll("metadataPrefix=mods"));
    outside.setClock(NOW.plusSeconds(40L * 86_400));
    List<String> since = listAll("metadataPrefix=mods&from=2026-11-17T07:00:00Z");
    Set<String> all = new HashSet<>(listAll("metadataPrefix=mods"));
    assertThat(all).containsAll(before).containsAll(since).hasSizeGreaterThan(before.size());
    Set<String> fresh = new HashSet<>(all);
    fresh.removeAll(before);
    assertThat(since).containsAll(fresh);
    assertThat(listAll("metadataPrefix=mods&until=2026-11-17"))
        .as("changed later, so no longer in this range")
        .hasSizeLessThanOrEqualTo(before.size());
  }

  @DisplayName("2.5.1: what was taken back stands in the list with its header alone")
  @Test
  void deletions() throws IOException, InterruptedException {
    outside.setClock(NOW.plusSeconds(150L * 86_400));
    StringBuilder all = new StringBuilder(ask("verb=ListRecords&metadataPrefix=mods"));
    Optional<MatchResult> token = TOKEN.matcher(all).results().findFirst();
    while (token.isPresent()) {
      String page = ask("verb=ListRecords&resumptionToken=" + encoded(token.get().group(1)));
      all.append(page);
      token = TOKEN.matcher(page).results().findFirst();
    }
    assertThat(all)
        .containsPattern("<record><header status=\"deleted\">.{80,160}</header></record>");
  }

  @DisplayName("3.6: errors by their codes")
  @ParameterizedTest(name = "{0} -> {1}")
  @CsvSource(
      textBlock =
          """
          verb=Sing,                                                     badVerb
          '',                                                            badVerb
          verb=ListRecords,                                              badArgument
          verb=ListRecords&metadataPrefix=marc,                          cannotDisseminateFormat
          verb=ListRecords&metadataPrefix=mods&song=x,                   badArgument
          verb=ListRecords&metadataPrefix=mods&from=yesterday,           badArgument
          verb=ListRecords&metadataPrefix=mods&from=2026-02-01&until=2026-01-01, badArgument
          verb=ListRecords&metadataPrefix=mods&from=2099-01-01,          noRecordsMatch
          verb=ListRecords&metadataPrefix=mods&set=moths,                noSetHierarchy
          verb=ListRecords&resumptionToken=guessed,                      badResumptionToken
          verb=ListRecords&resumptionToken=a&metadataPrefix=mods,        badArgument
          verb=ListSets,                                                 noSetHierarchy
          verb=GetRecord&metadataPrefix=mods,                            badArgument
          verb=GetRecord&metadataPrefix=mods&identifier=oai:x:1,         idDoesNotExist
          """)
  void errors(String query, String code) throws IOException, InterruptedException {
    assertThat(ask(query)).contains("<error code=\"" + code + "\">");
  }

  @Test
  void aRecordIsGivenInBothFormats() throws IOException, InterruptedException {
    String record = "verb=GetRecord&identifier=oai:nightindex.example:00001&metadataPrefix=";
    assertThat(ask(record + "mods"))
        .contains("<mods xmlns=\"http://www.loc.gov/mods/v3\"", "urn:quietlantern:supply:1");
    assertThat(ask(record + "oai_dc")).contains("<dc:title>", "<dc:identifier>doi:10.5555/");
    assertThat(ask("verb=ListMetadataFormats")).contains("oai_dc", "mods");
  }

  @DisplayName("Told to, it breaks off in the middle of one answer and then goes on as before")
  @Test
  void breaksOff() throws IOException, InterruptedException {
    outside.faults(source).breakAfter(1);
    assertThat(ask("verb=Identify")).contains("</OAI-PMH>");
    assertThatThrownBy(() -> ask("verb=Identify")).isInstanceOf(IOException.class);
    assertThat(ask("verb=Identify")).contains("</OAI-PMH>");
  }

  @Test
  void noAnswerHoldsTwoRecordsOfOneIdentifier() throws IOException, InterruptedException {
    outside.setClock(NOW.plusSeconds(170L * 86_400));
    String page = ask("verb=ListRecords&metadataPrefix=mods");
    assertThat(IDENTIFIER.matcher(page).results().map(MatchResult::group)).doesNotHaveDuplicates();
  }

  @DisplayName(
      "The repository speaks only oai_dc; the preprint server is silent about what is gone")
  @Test
  void theOtherSources() throws IOException, InterruptedException {
    source = "fjordside";
    assertThat(ask("verb=ListMetadataFormats")).contains("oai_dc").doesNotContain("mods");
    assertThat(ask("verb=ListRecords&metadataPrefix=mods")).contains("cannotDisseminateFormat");
    assertThat(ask("verb=ListRecords&metadataPrefix=oai_dc")).contains("<dc:creator>");
    source = "early-light";
    assertThat(ask("verb=Identify")).contains("<deletedRecord>no</deletedRecord>");
    outside.setClock(NOW.plusSeconds(170L * 86_400));
    assertThat(ask("verb=ListRecords&metadataPrefix=mods")).doesNotContain("status=\"deleted\"");
  }

  @DisplayName("Bad days come by the calendar: down for three of them, and every page twice")
  @Test
  void badDays() throws IOException, InterruptedException {
    source = "fjordside";
    outside.setClock(Instant.parse("2026-12-08T03:00:00Z"));
    HttpResponse<String> down =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create(outside.source(source) + "?verb=Identify"))
                    .build(),
                HttpResponse.BodyHandlers.ofString());
    assertThat(down.statusCode()).isEqualTo(503);
    assertThat(down.headers().firstValue("Retry-After")).contains("3600");
    outside.setClock(Instant.parse("2026-12-10T03:00:00Z"));
    assertThat(ask("verb=Identify")).contains("Fjordside");
    Set<String> once = new HashSet<>(listAll("metadataPrefix=oai_dc"));
    outside.setClock(Instant.parse("2026-12-13T03:00:00Z"));
    assertThat(listAll("metadataPrefix=oai_dc")).hasSizeGreaterThan(2 * once.size() - 1);
  }
}
