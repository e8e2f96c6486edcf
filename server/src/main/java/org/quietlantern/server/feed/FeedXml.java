package org.quietlantern.server.feed;

import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.stream.Stream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.platform.Nullable;

/**
 * XML of feeds. What was kept before names were cleaned at the door may hold what XML cannot; that
 * is left out.
 */
final class FeedXml {
  private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
  private final XMLStreamWriter xml;

  /** The namespace of RFC 5005. */
  static final String HISTORY = "http://purl.org/syndication/history/1.0";

  /** {@code relation}: as registered for links. */
  record PageLink(String relation, @Nullable String address) {}

  static boolean isArchive(FeedPage.Place place) {
    return place.archives() != null && place.archives().isOne();
  }

  /** From a page to itself and those beside it. */
  static List<PageLink> links(FeedPage.Place place) {
    FeedPage.Archives archives = place.archives();
    return Stream.of(
            new PageLink("self", place.self()),
            new PageLink(isArchive(place) ? "current" : "first", place.first()),
            new PageLink("next", place.next()),
            new PageLink("prev-archive", archives == null ? null : archives.before()),
            new PageLink("next-archive", archives == null ? null : archives.after()))
        .filter(link -> link.address() != null)
        .toList();
  }

  /** Writes a feed. */
  interface Writing {
    void write(FeedXml xml) throws XMLStreamException;
  }

  private FeedXml() throws XMLStreamException {
    xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(bytes, "UTF-8");
  }

  /** The same feed gives the same bytes. */
  static byte[] written(Writing writing) {
    try {
      FeedXml feed = new FeedXml();
      feed.xml.writeStartDocument("UTF-8", "1.0");
      writing.write(feed);
      feed.xml.writeEndDocument();
      feed.xml.close();
      return feed.bytes.toByteArray();
    } catch (XMLStreamException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  void start(String name) throws XMLStreamException {
    xml.writeStartElement(name);
  }

  void end() throws XMLStreamException {
    xml.writeEndElement();
  }

  /** {@code prefix} empty: of what has none. */
  void namespace(String prefix, String name) throws XMLStreamException {
    if (prefix.isEmpty()) {
      xml.writeDefaultNamespace(name);
    } else {
      xml.writeNamespace(prefix, name);
    }
  }

  void attribute(String name, String value) throws XMLStreamException {
    xml.writeAttribute(name, Text.legal(value));
  }

  void text(String text) throws XMLStreamException {
    xml.writeCharacters(Text.legal(text));
  }

  void element(String name, String text) throws XMLStreamException {
    start(name);
    text(text);
    end();
  }

  /** {@code attributes}: names and values in turn. */
  void empty(String name, String... attributes) throws XMLStreamException {
    xml.writeEmptyElement(name);
    for (int i = 0; i < attributes.length; i += 2) {
      attribute(attributes[i], attributes[i + 1]);
    }
  }
}
