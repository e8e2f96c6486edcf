package org.quietlantern.server.feed;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import javax.xml.stream.XMLStreamException;

/** Writes Atom (RFC 4287), in pages and archives (RFC 5005). */
final class AtomWriter {
  private static final String ATOM = "http://www.w3.org/2005/Atom";
  private static final String TYPE = "application/atom+xml";

  private AtomWriter() {}

  static byte[] write(FeedPage feed) {
    return FeedXml.written(xml -> feed(xml, feed));
  }

  private static void feed(FeedXml xml, FeedPage feed) throws XMLStreamException {
    xml.start("feed");
    xml.namespace("", ATOM);
    xml.namespace("fh", FeedXml.HISTORY);
    xml.element("id", feed.id());
    xml.element("title", feed.title());
    xml.element("subtitle", feed.subtitle());
    xml.element("updated", time(feed.updated()));
    for (FeedXml.PageLink one : FeedXml.links(feed.place())) {
      link(xml, one.relation(), TYPE, one.address());
    }
    if (FeedXml.isArchive(feed.place())) {
      xml.empty("fh:archive");
    }
    link(xml, "alternate", "text/html", feed.alternate());
    person(xml, feed.author());
    xml.element("generator", "Quiet Lantern");
    for (FeedPage.Entry entry : feed.entries()) {
      entry(xml, entry);
    }
    xml.end();
  }

  private static void entry(FeedXml xml, FeedPage.Entry entry) throws XMLStreamException {
    xml.start("entry");
    xml.element("id", entry.id());
    xml.element("title", entry.title());
    xml.element("updated", time(entry.updated()));
    xml.element("published", time(entry.published()));
    link(xml, "alternate", "text/html", entry.link());
    for (String author : entry.authors()) {
      person(xml, author);
    }
    if (entry.related() != null) {
      link(xml, "related", "text/html", entry.related());
    }
    for (FeedPage.Category one : entry.categories()) {
      xml.empty("category", "scheme", one.scheme(), "term", one.term(), "label", one.label());
    }
    xml.element("summary", entry.summary());
    xml.end();
  }

  private static void person(FeedXml xml, String name) throws XMLStreamException {
    xml.start("author");
    xml.element("name", name);
    xml.end();
  }

  private static void link(FeedXml xml, String relation, String type, String address)
      throws XMLStreamException {
    xml.empty("link", "rel", relation, "type", type, "href", address);
  }

  private static String time(Instant moment) {
    return moment.truncatedTo(ChronoUnit.SECONDS).toString();
  }
}
