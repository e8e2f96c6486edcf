package org.quietlantern.server.feed;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import javax.xml.stream.XMLStreamException;

/**
 * Writes RSS 2.0. Authors stand as creators of Dublin Core, because an author of RSS is an address
 * of mail; pages and archives are linked as in Atom (RFC 5005).
 */
final class RssWriter {
  /** As RFC 822 (5.1) has it, with years of four digits. */
  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("EEE, dd MMM yyyy HH:mm:ss 'GMT'", Locale.ENGLISH)
          .withZone(ZoneOffset.UTC);

  private RssWriter() {}

  static byte[] write(FeedPage feed) {
    return FeedXml.written(xml -> feed(xml, feed));
  }

  private static void feed(FeedXml xml, FeedPage feed) throws XMLStreamException {
    xml.start("rss");
    xml.attribute("version", "2.0");
    xml.namespace("atom", "http://www.w3.org/2005/Atom");
    xml.namespace("dc", "http://purl.org/dc/elements/1.1/");
    xml.namespace("fh", FeedXml.HISTORY);
    xml.start("channel");
    xml.element("title", feed.title());
    xml.element("link", feed.alternate());
    xml.element("description", feed.subtitle());
    xml.element("lastBuildDate", time(feed.updated()));
    xml.element("generator", "Quiet Lantern");
    for (FeedXml.PageLink one : FeedXml.links(feed.place())) {
      link(xml, one.relation(), one.address());
    }
    if (FeedXml.isArchive(feed.place())) {
      xml.empty("fh:archive");
    }
    for (FeedPage.Entry entry : feed.entries()) {
      item(xml, entry);
    }
    xml.end();
    xml.end();
  }

  private static void link(FeedXml xml, String relation, String address) throws XMLStreamException {
    xml.empty(
        "atom:link",
        "rel",
        relation,
        "type",
        "application/rss+xml",
        "href",
        FeedForm.RSS.of(address));
  }

  private static void item(FeedXml xml, FeedPage.Entry entry) throws XMLStreamException {
    xml.start("item");
    xml.element("title", entry.title());
    xml.element("link", entry.link());
    xml.element("description", entry.summary());
    for (String author : entry.authors()) {
      xml.element("dc:creator", author);
    }
    for (FeedPage.Category one : entry.categories()) {
      xml.start("category");
      xml.attribute("domain", one.scheme());
      xml.text(one.label());
      xml.end();
    }
    xml.start("guid");
    xml.attribute("isPermaLink", "false");
    xml.text(entry.id());
    xml.end();
    xml.element("pubDate", time(entry.published()));
    xml.end();
  }

  private static String time(Instant moment) {
    return MOMENT.format(moment);
  }
}
