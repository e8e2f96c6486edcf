package org.quietlantern.server.feed;

import java.io.ByteArrayOutputStream;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Text;

/** Writes Atom (RFC 4287), in pages (RFC 5005, 3). The same feed gives the same bytes. */
final class AtomWriter {
  private static final String CLASS = "urn:quietlantern:class";
  private static final String NOTICE = "urn:quietlantern:notice";
  private static final String HEADING = "urn:quietlantern:heading";
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
    element("subtitle", feed.subtitle());
    element("updated", time(feed.updated()));
    link("self", "application/atom+xml", feed.self());
    link("first", "application/atom+xml", feed.first());
    if (feed.next() != null) {
      link("next", "application/atom+xml", feed.next());
    }
    link("alternate", "text/html", feed.alternate());
    person(feed.author());
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
    if (!publication.doi().isEmpty()) {
      link("related", "text/html", "https://doi.org/" + publication.doi());
    }
    if (entry.newClass() != null) {
      category(CLASS, entry.newClass(), entry.newClass());
    }
    for (Relations.Notice notice : publication.relations().notices()) {
      category(NOTICE, notice.kind(), notice.kind());
    }
    for (HeadingUse heading : publication.headings()) {
      category(HEADING, heading.uri(), heading.label());
    }
    element("summary", summary(publication, entry.abstractText()));
    xml.writeEndElement();
  }

  private static String summary(Publication publication, String abstractText) {
    StringBuilder summary = new StringBuilder();
    for (Relations.Notice notice : publication.relations().notices()) {
      summary.append("This has a ").append(notice.kind());
      summary.append(notice.doi().isEmpty() ? "" : ", doi:" + notice.doi()).append(".\n\n");
    }
    summary.append(PlainCitation.of(publication));
    if (!abstractText.isEmpty()) {
      summary.append("\n\n").append(abstractText);
    }
    return summary.toString();
  }

  private void category(String scheme, String term, String label) throws XMLStreamException {
    xml.writeEmptyElement("category");
    attribute("scheme", scheme);
    attribute("term", term);
    attribute("label", label);
  }

  private void person(String name) throws XMLStreamException {
    xml.writeStartElement("author");
    element("name", name);
    xml.writeEndElement();
  }

  private void link(String relation, String type, String address) throws XMLStreamException {
    xml.writeEmptyElement("link");
    attribute("rel", relation);
    attribute("type", type);
    attribute("href", address);
  }

  // What was kept before names were cleaned at the door may hold what XML cannot.

  private void attribute(String name, String value) throws XMLStreamException {
    xml.writeAttribute(name, Text.legal(value));
  }

  private void element(String name, String text) throws XMLStreamException {
    xml.writeStartElement(name);
    xml.writeCharacters(Text.legal(text));
    xml.writeEndElement();
  }

  private static String time(Instant moment) {
    return moment.truncatedTo(ChronoUnit.SECONDS).toString();
  }
}
