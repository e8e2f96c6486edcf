package org.quietlantern.server.feed;

import java.util.List;
import javax.xml.stream.XMLStreamException;

/** Writes the list of somebody's feeds for readers to take in: OPML 2.0 (Winer, 2007). */
final class OpmlWriter {
  private OpmlWriter() {}

  static byte[] write(String title, List<Feeds.FeedLine> feeds) {
    return FeedXml.written(xml -> list(xml, title, feeds));
  }

  private static void list(FeedXml xml, String title, List<Feeds.FeedLine> feeds)
      throws XMLStreamException {
    xml.start("opml");
    xml.attribute("version", "2.0");
    xml.start("head");
    xml.element("title", title);
    xml.end();
    xml.start("body");
    for (Feeds.FeedLine feed : feeds) {
      // Readers know one type, whatever the form (OPML 2.0, "Subscription lists").
      xml.empty(
          "outline",
          "type",
          "rss",
          "text",
          feed.name(),
          "title",
          feed.name(),
          "xmlUrl",
          feed.address());
    }
    xml.end();
    xml.end();
  }
}
