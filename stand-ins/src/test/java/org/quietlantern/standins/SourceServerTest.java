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
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.standins.corpus.Corpus;
import org.quietlantern.standins.oai.SourceServer;

/** The stand-in keeps to OAI-PMH 2.0, so that what harvests it can harvest others. */
class SourceServerTest {
  private static final Instant NOW = Instant.parse("2026-11-17T07:00:00Z");
  private static final Pattern IDENTIFIER = Pattern.compile("<identifier>(oai:[^<]+)</identifier>");
  private static final Pattern TOKEN = Pattern.compile("<resumptionToken[^>]*>([^<]+)<");
  private SourceServer source;

  @BeforeEach
  void start() throws IOException {
    source = new SourceServer(0, Corpus.of(1887));
    source.setClock(NOW);
  }

  @AfterEach
  void stop() {
    source.close();
  }

  private String ask(String query) throws IOException, InterruptedException {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(URI.create(source.address() + "?" + query)).build(),
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
            "<baseURL>" + source.address() + "</baseURL>",
            "<responseDate>2026-11-17T07:0");
  }

  @DisplayName("Every record comes once, page by page, however long the list")
  @Test
  void pages() throws IOException, InterruptedException {
    List<String> all = listAll("metadataPrefix=mods");
    assertThat(all).hasSize(380).doesNotHaveDuplicates();
    String first = ask("verb=ListRecords&metadataPrefix=mods");
    assertThat(first).contains("completeListSize=\"380\" cursor=\"0\"");
    assertThat(IDENTIFIER.matcher(first).results()).hasSize(100);
  }

  @DisplayName(
      "A range holds exactly what changed in it; what is to come is not told before its time")
  @Test
  void ranges() throws IOException, InterruptedException {
    Set<String> before = new HashSet<>(listAll("metadataPrefix=mods"));
    source.setClock(NOW.plusSeconds(40L * 86_400));
    List<String> since = listAll("metadataPrefix=mods&from=2026-11-17T07:00:00Z");
    Set<String> all = new HashSet<>(listAll("metadataPrefix=mods"));
    assertThat(all).containsAll(before).containsAll(since).hasSizeGreaterThan(before.size());
    Set<String> fresh = new HashSet<>(all);
    fresh.removeAll(before);
    assertThat(since).containsAll(fresh);
    assertThat(listAll("metadataPrefix=mods&until=2026-11-17"))
        .as("changed later, so no longer in this range")
        .hasSizeLessThanOrEqualTo(before.size());
    assertThat(ask("verb=ListRecords&metadataPrefix=mods&from=2026-11-17"))
        .contains("<header status=\"deleted\">");
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
    source.breakAfter(1);
    assertThat(ask("verb=Identify")).contains("</OAI-PMH>");
    assertThatThrownBy(() -> ask("verb=Identify")).isInstanceOf(IOException.class);
    assertThat(ask("verb=Identify")).contains("</OAI-PMH>");
  }

  @Test
  void noAnswerHoldsTwoRecordsOfOneIdentifier() throws IOException, InterruptedException {
    source.setClock(NOW.plusSeconds(170L * 86_400));
    String page = ask("verb=ListRecords&metadataPrefix=mods");
    assertThat(IDENTIFIER.matcher(page).results().map(MatchResult::group)).doesNotHaveDuplicates();
  }
}
