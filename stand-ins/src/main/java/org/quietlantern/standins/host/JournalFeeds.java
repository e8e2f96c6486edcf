package org.quietlantern.standins.host;

import static org.quietlantern.standins.words.XmlText.element;
import static org.quietlantern.standins.words.XmlText.escape;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.quietlantern.standins.corpus.Journal;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Work;

/**
 * What journals announce of themselves, weeks before sources supply it: {@code /feeds/ISSN.rss}
 * (RSS 2.0 with Dublin Core and PRISM), and all of them in {@code /feeds/journals.opml}.
 */
public final class JournalFeeds implements HttpHandler {
  private static final int ENTRIES = 20;

  /** Ahead of the issue by so many days. */
  private static final int AHEAD = 21;

  private static final DateTimeFormatter RFC_822 =
      DateTimeFormatter.ofPattern("EEE, dd MMM uuuu '05:00:00 GMT'", Locale.ENGLISH);

  private final String address;
  private final Literature literature;
  private final InstantSource now;

  /** {@code address}: where the world outside is. */
  public JournalFeeds(String address, Literature literature, InstantSource now) {
    this.address = address;
    this.literature = literature;
    this.now = now;
  }

  @Override
  public void handle(HttpExchange exchange) throws IOException {
    String path = exchange.getRequestURI().getPath();
    Optional<String> text =
        path.endsWith("/journals.opml")
            ? Optional.of(list())
            : Journal.ALL.stream()
                .filter(journal -> path.endsWith("/" + journal.issn() + ".rss"))
                .findFirst()
                .map(this::feed);
    byte[] bytes = text.orElse("").getBytes(StandardCharsets.UTF_8);
    String tag = "\"" + Integer.toHexString(text.hashCode()) + "\"";
    exchange.getResponseHeaders().set("ETag", tag);
    exchange
        .getResponseHeaders()
        .set(
            "Content-Type",
            path.endsWith("opml") ? "text/x-opml; charset=utf-8" : "application/rss+xml");
    if (tag.equals(exchange.getRequestHeaders().getFirst("If-None-Match"))) {
      exchange.sendResponseHeaders(304, -1);
    } else {
      exchange.sendResponseHeaders(text.isPresent() ? 200 : 404, bytes.length);
      exchange.getResponseBody().write(bytes);
    }
    exchange.close();
  }

  private String list() {
    return Journal.ALL.stream()
        .map(
            journal ->
                "<outline type=\"rss\" text=\"%s\" xmlUrl=\"%s/feeds/%s.rss\"/>"
                    .formatted(escape(journal.title()), address, journal.issn()))
        .collect(
            Collectors.joining(
                "\n",
                "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<opml version=\"2.0\"><head>"
                    + "<title>Journals</title></head><body><outline text=\"Ecology\">\n",
                "\n</outline></body></opml>\n"));
  }

  private String feed(Journal journal) {
    LocalDate day = LocalDate.ofInstant(now.instant(), ZoneOffset.UTC).plusDays(AHEAD);
    List<Work> works =
        literature.works().stream()
            .filter(work -> work.journal().filter(journal::equals).isPresent())
            .filter(work -> !work.date().isAfter(day))
            .sorted(Comparator.comparing(Work::date).reversed().thenComparing(Work::number))
            .limit(ENTRIES)
            .toList();
    return works.stream()
        .map(work -> item(journal, work))
        .collect(
            Collectors.joining(
                "\n",
                ("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<rss version=\"2.0\""
                        + " xmlns:dc=\"http://purl.org/dc/elements/1.1/\""
                        + " xmlns:prism=\"http://prismstandard.org/namespaces/basic/2.0/\">"
                        + "<channel><title>%s</title><link>%s/feeds/</link>"
                        + "<description>Papers as they appear</description>\n")
                    .formatted(escape(journal.title()), address),
                "\n</channel></rss>\n"));
  }

  private static String item(Journal journal, Work work) {
    String creators =
        work.authors().stream()
            .map(author -> element("dc:creator", (author.given() + " " + author.family()).strip()))
            .collect(Collectors.joining());
    return "<item>"
        + element("title", work.title())
        + element("guid", "https://doi.org/" + work.doi())
        + element("link", "https://doi.org/" + work.doi())
        + element("description", "<p>" + escape(work.abstractText()) + "</p>")
        + creators
        + element("prism:doi", work.doi())
        + element("prism:publicationName", journal.titleIn(work.date().getYear()))
        + element("prism:issn", journal.issn())
        + element("prism:volume", Integer.toString(work.volume()))
        + element("prism:publicationDate", work.date().toString())
        + element("pubDate", RFC_822.format(work.date().minusDays(AHEAD)))
        + "</item>";
  }
}
