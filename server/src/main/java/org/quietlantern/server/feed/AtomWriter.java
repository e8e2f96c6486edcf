package org.quietlantern.server.feed;

import java.io.ByteArrayOutputStream;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

/** Writes Atom (RFC 4287). The same feed gives the same bytes. */
final class AtomWriter {
  private static final String ATOM = "http://www.w3.org/2005/Atom";
  private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
  private final XMLStreamWriter xml;

  private AtomWriter() throws XMLStreamException {
    xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(bytes, "UTF-8");
  }

  static byte[] write(AtomFeed feed) {
    try {
      AtomWriter writer = new AtomWriter();
      writer.feed(feed);
      writer.xml.close();
      return writer.bytes.toByteArray();
    } catch (XMLStreamException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private void feed(AtomFeed feed) throws XMLStreamException {
    xml.writeStartDocument("UTF-8", "1.0");
    xml.writeStartElement("feed");
    xml.writeDefaultNamespace(ATOM);
    element("id", feed.id());
    element("title", feed.title());
    element("subtitle", "What Quiet Lantern found for " + feed.group());
    element("updated", time(feed.updated()));
    link("self", "application/atom+xml", feed.self());
    link("alternate", "text/html", feed.alternate());
    person(feed.group());
    element("generator", "Quiet Lantern");
    for (AtomFeed.Entry entry : feed.entries()) {
      entry(entry);
    }
    xml.writeEndElement();
    xml.writeEndDocument();
  }

  private void entry(AtomFeed.Entry entry) throws XMLStreamException {
    Publication publication = entry.publication();
    xml.writeStartElement("entry");
    element("id", entry.id());
    element("title", publication.title());
    element("updated", time(entry.updated()));
    element("published", time(entry.published()));
    link("alternate", "text/html", entry.link());
    for (PersonName author : publication.authors()) {
      person(author.spoken());
    }
    xml.writeEmptyElement("category");
    xml.writeAttribute("term", entry.newClass());
    element("summary", summary(publication));
    xml.writeEndElement();
  }

  private static String summary(Publication publication) {
    String citation = PlainCitation.of(publication);
    return publication.abstractText().isEmpty()
        ? citation
        : citation + "\n\n" + publication.abstractText();
  }

  private void person(String name) throws XMLStreamException {
    xml.writeStartElement("author");
    element("name", name);
    xml.writeEndElement();
  }

  private void link(String relation, String type, String address) throws XMLStreamException {
    xml.writeEmptyElement("link");
    xml.writeAttribute("rel", relation);
    xml.writeAttribute("type", type);
    xml.writeAttribute("href", address);
  }

  private void element(String name, String text) throws XMLStreamException {
    xml.writeStartElement(name);
    xml.writeCharacters(text);
    xml.writeEndElement();
  }

  private static String time(Instant moment) {
    return moment.truncatedTo(ChronoUnit.SECONDS).toString();
  }
}
