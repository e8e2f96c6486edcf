package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.feed.synd.SyndLink;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedInput;
import java.io.StringReader;
import java.net.URI;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.AtomRules;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.StatementCounter;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;

/** Feeds that have more to tell than one document holds, and of things that change. */
class FeedPagesTest {
  @RegisterExtension private static final TestApp APP = new TestApp();
  private final Client reader = new Client(APP.address());

  @DisplayName("A reader that has it already is told so without it being read; changes are told")
  @Test
  void unchanged() {
    TestGroup readers = APP.group("Una Unchanged");
    String folder = readers.folder("F");
    readers.alert(folder, "Cisterns", "title: cisterns", "at-once");
    Supply supply = Supply.made(APP, "cisterns", 9);
    supply.take(Supply.mods("c1", "Cisterns at dusk", "Well", Supply.doi("10.5555/cistern.1")));
    APP.workOff();
    String address =
        path(
            readers
                .client(0)
                .post("/feeds", Map.of("of", "alerts"))
                .ok()
                .get("address")
                .asString());
    Client.Response first = reader.get(address);
    String tag = first.header("ETag");
    StatementCounter counter = APP.bean(StatementCounter.class);
    int before = counter.count();
    reader.get(address);
    int whole = counter.count() - before;
    before = counter.count();
    Client.Response same = reader.get(address, "If-None-Match", "\"of another\", " + tag);
    assertThat(same.status()).isEqualTo(304);
    assertThat(same.header("ETag")).isEqualTo(tag);
    assertThat(counter.count() - before).as("of %d for all", whole).isLessThan(whole / 2);

    readers.folder("G");
    Client.Response elsewhere = reader.get(address, "If-None-Match", tag);
    assertThat(elsewhere.status()).as("what happened elsewhere is nothing here").isEqualTo(304);
    assertThat(elsewhere.header("ETag")).as("known at once the next time").isNotEqualTo(tag);
    assertThat(reader.get(address, "If-None-Match", elsewhere.header("ETag")).status())
        .isEqualTo(304);

    supply.take(Supply.mods("c2", "Cisterns at dawn", "Spring", Supply.doi("10.5555/cistern.2")));
    APP.workOff();
    for (String known : List.of(tag, elsewhere.header("ETag"))) {
      Client.Response changed = reader.get(address, "If-None-Match", known);
      assertThat(changed.status()).isEqualTo(200);
      assertThat(changed.body()).contains("Cisterns at dawn");
    }
    assertThat(reader.get(address.replace(".atom", ".rss"), "If-None-Match", "*").status())
        .isEqualTo(200);
  }

  @DisplayName("RFC 5005: what is beyond two hundred entries is on pages, each entry once")
  @Test
  void pages() {
    TestGroup readers = APP.group("Fina Feed");
    String folder = readers.folder("F");
    String many = readers.alert(folder, "Crickets", "title: crickets title: feeds", "at-once");
    Supply supply = Supply.made(APP, "feeds", 9);
    supply.take(
        IntStream.range(0, 450)
            .mapToObj(
                i ->
                    Supply.mods(
                        "feeds" + i,
                        "Crickets of feeds sing late at shed " + i,
                        "Shed" + i,
                        Supply.doi("10.5555/feeds." + i)))
            .toList());
    APP.workOff();
    String next =
        readers
            .client(0)
            .post("/feeds", Map.of("of", "alert:" + many))
            .ok()
            .get("address")
            .asString();
    String first = path(next);
    List<String> all = new ArrayList<>();
    int pages = 0;
    while (next != null) {
      String xml = reader.get(next.replace("http://lantern.test", "")).body();
      assertThat(AtomRules.broken(xml)).isEmpty();
      SyndFeed page = parse(xml);
      page.getEntries().forEach(entry -> all.add(entry.getUri()));
      next =
          page.getLinks().stream()
              .filter(link -> link.getRel().equals("next"))
              .map(SyndLink::getHref)
              .findFirst()
              .orElse(null);
      pages++;
    }
    assertThat(pages).isEqualTo(3);
    assertThat(all).hasSize(450).doesNotHaveDuplicates();

    // A correction is told: the entry says so, and that it changed.
    Client.Response before = reader.get(first);
    String doi = "10.5555/feeds.449";
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofHours(1)));
    supply.take(
        Supply.mods(
            "feeds449",
            "Crickets of feeds sing late at shed 449",
            "Shed449",
            Supply.doi(doi)
                + "<extension><supply xmlns=\"urn:quietlantern:supply:1\">"
                + "<notice kind=\"retraction\" date=\"2026-11-17\">10.5555/n.9</notice>"
                + "</supply></extension>"));
    Client.Response after = reader.get(first, "If-None-Match", before.header("ETag"));
    assertThat(after.status()).isEqualTo(200);
    assertThat(after.body())
        .contains(
            "This has a retraction, doi:10.5555/n.9.",
            "term=\"retraction\"",
            "rel=\"related\" type=\"text/html\" href=\"https://doi.org/" + doi + "\"");
    assertThat(parse(after.body()).getEntries().stream().map(SyndEntry::getUpdatedDate))
        .filteredOn(
            date -> date.toInstant().isAfter(parse(before.body()).getPublishedDate().toInstant()))
        .hasSize(1);
    Client.Response packed = reader.get(first, "Accept-Encoding", "gzip");
    assertThat(packed.header("Content-Encoding")).isEqualTo("gzip");
  }

  @DisplayName(
      "RFC 5005, 4: each closed round is a document for good; together they have everything")
  @Test
  void archives() {
    TestGroup readers = APP.group("Axel Archive");
    String alert =
        readers.alert(readers.folder("A"), "Slugs", "title: slugs title: archive", "at-once");
    String address =
        path(
            readers
                .client(0)
                .post("/feeds", Map.of("of", "alert:" + alert))
                .ok()
                .get("address")
                .asString());
    assertThat(link(reader.get(address).body(), "prev-archive")).isEmpty();
    Supply supply = Supply.made(APP, "archives", 9);
    for (int round = 0; round < 3; round++) {
      int first = round * 10;
      supply.take(
          IntStream.range(first, first + 2)
              .mapToObj(
                  i ->
                      Supply.mods(
                          "archives" + i,
                          "Slugs of the archive at bed " + i,
                          "Bed" + i,
                          Supply.doi("10.5555/archives." + i)))
              .toList());
      APP.workOff();
    }
    String subscribed = reader.get(address).body();
    List<String> all = ids(subscribed);
    assertThat(all).hasSize(6);
    assertThat(subscribed).doesNotContain("<fh:archive");
    List<String> met = new ArrayList<>();
    Optional<String> next = link(subscribed, "prev-archive");
    Optional<String> after = Optional.empty();
    while (next.isPresent()) {
      String xml = reader.get(next.get()).body();
      assertThat(AtomRules.broken(xml)).isEmpty();
      assertThat(xml).contains("<fh:archive");
      assertThat(link(xml, "current")).contains(address);
      assertThat(link(xml, "next-archive")).isEqualTo(after);
      assertThat(ids(xml)).hasSize(2);
      met.addAll(ids(xml));
      after = next;
      next = link(xml, "prev-archive");
    }
    assertThat(met).isEqualTo(all);
    String rss = reader.get(after.orElseThrow().replace(".atom", ".rss")).body();
    assertThat(rss).contains("<fh:archive", "rel=\"next-archive\"", ".rss?archive=");
    for (String none : List.of("", "x", "zzzzzzzzzz")) {
      assertThat(reader.get(address + "?archive=" + none).status()).as(none).isEqualTo(404);
    }
  }

  private static List<String> ids(String xml) {
    return parse(xml).getEntries().stream().map(SyndEntry::getUri).toList();
  }

  /** The address of a link of the feed itself, without its host. */
  private static Optional<String> link(String xml, String relation) {
    return parse(xml).getLinks().stream()
        .filter(link -> relation.equals(link.getRel()))
        .map(link -> link.getHref().replace("http://lantern.test", ""))
        .findFirst();
  }

  private static String path(String address) {
    return URI.create(address).getPath();
  }

  private static SyndFeed parse(String xml) {
    try {
      return new SyndFeedInput().build(new StringReader(xml));
    } catch (FeedException bad) {
      throw new AssertionError(xml, bad);
    }
  }
}
