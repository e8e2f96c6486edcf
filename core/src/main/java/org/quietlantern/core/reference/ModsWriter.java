package org.quietlantern.core.reference;

import java.io.StringWriter;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.exchange.RecordFormat;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Identifier;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.publication.VersionKind;

/**
 * Writes a collection of MODS 3 (Library of Congress, version 3.8). What MODS has no place for, and
 * sources tell us, stands in the extension that they use (docs/formats.md).
 */
public final class ModsWriter implements ReferenceWriter {
  private static final XMLOutputFactory XML = XMLOutputFactory.newDefaultFactory();

  private final Included included;

  public ModsWriter(Included included) {
    this.included = included;
  }

  @Override
  public String begin() {
    return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<modsCollection xmlns=\"%s\">\n"
        .formatted(RecordFormat.MODS.namespace());
  }

  @Override
  public String end(int entries) {
    return "</modsCollection>\n<!-- records: %d -->\n".formatted(entries);
  }

  @Override
  public String entry(Reference reference) {
    StringWriter text = new StringWriter();
    try {
      new Written(XML.createXMLStreamWriter(text), included).write(reference);
    } catch (XMLStreamException impossible) {
      throw new IllegalStateException(impossible);
    }
    return text + "\n";
  }

  private record Written(XMLStreamWriter xml, Included included) {
    void write(Reference reference) throws XMLStreamException {
      Publication work = reference.work();
      xml.writeStartElement("mods");
      // Whoever takes one record out of the collection takes its namespace along.
      xml.writeDefaultNamespace(RecordFormat.MODS.namespace());
      xml.writeAttribute("version", "3.8");
      titles(work);
      for (Contributor one : work.contributors()) {
        name(one);
      }
      element("genre", work.kind().word());
      origin(work);
      if (!work.language().isEmpty()) {
        xml.writeStartElement("language");
        element("languageTerm", work.language(), "type", "code", "authority", "rfc5646");
        xml.writeEndElement();
      }
      if (work.pages() > 0) {
        xml.writeStartElement("physicalDescription");
        element("extent", work.pages() + " pages");
        xml.writeEndElement();
      }
      if (included.abstracts()) {
        element("abstract", work.abstractText());
      }
      for (String note : reference.notes()) {
        element("note", note);
      }
      element("note", reference.annotation(), "type", "annotation");
      if (included.keywords()) {
        subjects(work);
      }
      host(work);
      numbers(work);
      if (included.links() && !reference.link().isEmpty()) {
        xml.writeStartElement("location");
        element("url", reference.link(), "usage", "primary display");
        xml.writeEndElement();
      }
      extension(work);
      xml.writeStartElement("recordInfo");
      element("recordIdentifier", reference.key());
      xml.writeEndElement();
      xml.writeEndElement();
      xml.flush();
    }

    private void titles(Publication work) throws XMLStreamException {
      boolean translated = !work.originalTitle().isEmpty();
      title(work.title(), translated ? new String[] {"type", "translated"} : new String[0]);
      if (translated) {
        title(work.originalTitle(), "displayLabel", "original");
      }
    }

    private void title(String title, String... attributes) throws XMLStreamException {
      if (title.isEmpty()) {
        return;
      }
      start("titleInfo", attributes);
      element("title", title);
      xml.writeEndElement();
    }

    private void name(Contributor one) throws XMLStreamException {
      boolean body = one.body() || one.isWhole();
      start("name", "type", body ? "corporate" : "personal");
      if (one.body() || one.name().given().isEmpty()) {
        element("namePart", one.name().family());
      } else {
        element("namePart", one.name().family(), "type", "family");
        element("namePart", one.name().given(), "type", "given");
      }
      xml.writeStartElement("role");
      element("roleTerm", one.role(), "type", "text", "authority", "marcrelator");
      xml.writeEndElement();
      for (String affiliation : one.affiliations()) {
        element("affiliation", affiliation);
      }
      element("nameIdentifier", one.orcid(), "type", "orcid");
      xml.writeEndElement();
    }

    private void origin(Publication work) throws XMLStreamException {
      boolean preprint = CitedItem.isPreprint(work);
      String publisher = preprint && work.publisher().isEmpty() ? work.where() : work.publisher();
      if (publisher.isEmpty() && work.issued().isEmpty()) {
        return;
      }
      xml.writeStartElement("originInfo");
      element("publisher", publisher);
      if (work.issued().isPresent()) {
        String date = work.issued().get().toString();
        element("dateIssued", date, "encoding", "w3cdtf", "keyDate", "yes");
      }
      xml.writeEndElement();
    }

    private void subjects(Publication work) throws XMLStreamException {
      for (HeadingUse heading : work.headings()) {
        start("subject", "valueURI", heading.uri());
        element("topic", heading.label());
        xml.writeEndElement();
      }
      for (String keyword : work.keywords()) {
        xml.writeStartElement("subject");
        element("topic", keyword);
        xml.writeEndElement();
      }
    }

    private void host(Publication work) throws XMLStreamException {
      Host host = work.host();
      if (host.equals(Host.NONE)) {
        return;
      }
      start("relatedItem", "type", "host");
      title(host.title());
      element("identifier", host.issn(), "type", "issn");
      if (isPart(work)) {
        for (String isbn : work.isbns()) {
          element("identifier", isbn, "type", Identifier.ISBN);
        }
      }
      xml.writeStartElement("part");
      detail("volume", host.volume());
      detail("issue", host.issue());
      if (!host.firstPage().isEmpty()) {
        start("extent", "unit", "page");
        element("start", host.firstPage());
        element("end", host.lastPage());
        xml.writeEndElement();
      }
      xml.writeEndElement();
      xml.writeEndElement();
    }

    private static boolean isPart(Publication work) {
      return work.kind() == Kind.CHAPTER || work.kind() == Kind.CONFERENCE_PAPER;
    }

    private void detail(String type, String number) throws XMLStreamException {
      if (!number.isEmpty()) {
        start("detail", "type", type);
        element("number", number);
        xml.writeEndElement();
      }
    }

    private void numbers(Publication work) throws XMLStreamException {
      element("identifier", work.doi(), "type", "doi");
      for (Identifier one : work.identifiers()) {
        if (!(isPart(work) && one.scheme().equals(Identifier.ISBN))) {
          element("identifier", one.value(), "type", one.scheme());
        }
      }
    }

    /** What was supplied in the extension goes on in it. */
    private void extension(Publication work) throws XMLStreamException {
      List<HeadingUse> headings = included.keywords() ? work.headings() : List.of();
      boolean plain =
          work.version() == VersionKind.FINAL
              && work.relations().equals(Relations.NONE)
              && headings.stream().noneMatch(one -> one.central() || !one.aspects().isEmpty());
      if (plain) {
        return;
      }
      xml.writeStartElement("extension");
      xml.writeStartElement("supply");
      xml.writeDefaultNamespace(RecordReader.EXTENSION);
      if (work.version() != VersionKind.FINAL) {
        element("version", work.version().name().toLowerCase(Locale.ROOT));
      }
      element("versionOf", work.relations().versionOf());
      element("noticeOf", work.relations().noticeOf());
      for (Relations.Notice notice : work.relations().notices()) {
        start("notice", "kind", notice.kind(), "date", notice.date());
        xml.writeCharacters(Text.legal(notice.doi()));
        xml.writeEndElement();
      }
      for (HeadingUse heading : headings) {
        if (heading.central()) {
          start("central", "valueURI", heading.uri());
          xml.writeEndElement();
        }
        for (String aspect : heading.aspects()) {
          element("aspect", aspect, "valueURI", heading.uri());
        }
      }
      xml.writeEndElement();
      xml.writeEndElement();
    }

    private void start(String name, String... attributes) throws XMLStreamException {
      xml.writeStartElement(name);
      for (int i = 0; i < attributes.length; i += 2) {
        xml.writeAttribute(attributes[i], Text.legal(attributes[i + 1]));
      }
    }

    /** What is empty is left out. */
    private void element(String name, String text, String... attributes) throws XMLStreamException {
      if (!text.isEmpty()) {
        start(name, attributes);
        xml.writeCharacters(Text.legal(text));
        xml.writeEndElement();
      }
    }
  }
}
