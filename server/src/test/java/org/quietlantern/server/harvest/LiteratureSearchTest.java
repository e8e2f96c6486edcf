package org.quietlantern.server.harvest;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.exchange.SuppliedRecord;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.CatalogueIndex;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.IndexEntry;
import org.quietlantern.core.search.Library;
import org.quietlantern.core.search.SearchContext;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.standins.Outside;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;
import org.roaringbitmap.RoaringBitmap;

/**
 * The literature is such that it matters how it is searched: two ways to say the same thing find
 * sets that differ, and that overlap as they would in a real one. As it comes from the tidy index.
 */
class LiteratureSearchTest {
  @TempDir private static Path folder;
  private static CatalogueIndex index;
  private static final SearchContext TODAY =
      SearchContext.on(LocalDate.of(2026, 11, 17), ZoneId.of("Europe/Oslo"));
  private static Snapshot snapshot;

  @BeforeAll
  static void readTheIndex() throws IOException, InterruptedException {
    index = CatalogueIndex.open(folder, "literature");
    try (Outside outside = new Outside(0, Literature.of(Literature.SEED, Extent.WHOLE))) {
      outside.setClock(Instant.parse("2026-11-17T07:00:00Z"));
      URI base = outside.source("night-index");
      OaiPage page = ask(base, "metadataPrefix=mods");
      int number = take(page, 0);
      while (page.token().isPresent()) {
        page = ask(base, "resumptionToken=" + page.token().get());
        number = take(page, number);
      }
    }
    snapshot = index.snapshot();
  }

  private static OaiPage ask(URI base, String query) throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(base + "?verb=ListRecords&" + query)).build();
    return OaiReader.read(
        "mods",
        HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofInputStream()).body());
  }

  private static int take(OaiPage page, int before) throws IOException {
    List<IndexEntry> entries = new ArrayList<>();
    for (SourceRecord record : page.records()) {
      if (!record.deleted()
          && RecordReader.read(record.raw()) instanceof SuppliedRecord.Read read) {
        int id = before + entries.size() + 1;
        entries.add(
            new IndexEntry(
                id, "p" + id, IndexEntry.SHARED, Instant.EPOCH, List.of(), read.publication()));
      }
    }
    index.apply(entries, List.of(), before + entries.size());
    return before + entries.size();
  }

  @AfterAll
  static void close() throws IOException {
    snapshot.close();
    index.close();
  }

  private static RoaringBitmap find(String line) {
    return snapshot.all((Compiled.Ready) snapshot.compile(Strategy.of(line), TODAY, Library.EMPTY));
  }

  /** How sets stand to each other: both have their own, one has more, or they hardly meet. */
  @DisplayName("Two searches that could be taken for the same are not")
  @ParameterizedTest(name = "{0} | {1}: {2}")
  @CsvSource(
      delimiter = ';',
      quoteCharacter = '~',
      textBlock =
          """
          title: moth*;            heading: lepidoptera;                        overlap
          moths;                   lepidoptera;                                 overlap
          glow-worms;              lampyridae;                                  overlap
          noctules;                nyctalus;                                    wider
          bats;                    pipistrelles;                                overlap
          "street lamps";          "street lighting";                           overlap
          ALAN;                    "artificial light at night";                 overlap
          HPS;                     "high-pressure sodium";                      overlap
          LED;                     "light-emitting diode";                      wider
          CCT;                     "correlated colour temperature";             wider
          keyword: "colour temperature"; keyword: "color temperature";          apart
          abstract: behaviour;     abstract: behavior;                          apart
          abstract: colour;        abstract: color;                             apart
          "lamp";                  "lamps";                                      overlap
          plant;                   "plants";                                    wider
          light traps;             "light traps";                               wider
          seed set;                "seed set";                                  wider
          bats;                    title: bats;                                 wider
          title: "street lighting"; heading: "street lighting";                 overlap
          heading: noctuidae;      heading: lepidoptera;                        apart
          heading: lepidoptera or heading: noctuidae or heading: sphingidae; heading: lepidoptera; wider
          "mast seeding" or "mast fall" or "mast years" or "mast synchrony"; "mast lighting";                     apart
          mast;                    "mast lighting";                             wider
          skyglow;                 "night sky brightness";                      overlap
          dimming;                 "part-night lighting";                       overlap
          """)
  void pairs(String one, String other, String how) {
    RoaringBitmap left = find(one);
    RoaringBitmap right = find(other);
    assertThat(left.getCardinality()).as(one).isGreaterThan(4);
    assertThat(right.getCardinality()).as(other).isGreaterThan(4);
    int both = RoaringBitmap.andCardinality(left, right);
    int onlyLeft = left.getCardinality() - both;
    int onlyRight = right.getCardinality() - both;
    String found =
        "%s | %s: %d only, %d both, %d only".formatted(one, other, onlyLeft, both, onlyRight);
    assertThat(onlyLeft).as(found).isPositive();
    switch (how) {
      case "overlap" -> {
        assertThat(both).as(found).isPositive();
        assertThat(onlyRight).as(found).isPositive();
      }
      case "wider" -> {
        assertThat(both).as(found).isPositive();
        assertThat(onlyRight).as(found).isZero();
      }
      default -> {
        assertThat(both).as(found).isLessThan(3);
        assertThat(onlyRight).as(found).isPositive();
      }
    }
  }
}
