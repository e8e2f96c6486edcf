package org.quietlantern.server.harvest;

import java.io.IOException;
import java.io.InputStream;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.transform.OutputKeys;
import javax.xml.transform.Transformer;
import javax.xml.transform.TransformerException;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.stax.StAXSource;
import javax.xml.transform.stream.StreamResult;
import org.quietlantern.core.exchange.BoundedText;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.exchange.ReplacingReader;
import org.quietlantern.core.exchange.Xml;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.catalogue.Catalogue;
import org.quietlantern.server.platform.Nullable;

/**
 * Reads answers of OAI-PMH 2.0 as they stream in; the metadata of a record stays as supplied.
 * Answers are in UTF-8 (3.2); what cannot be a letter is replaced, and what is too much for one
 * record is set aside, so that the rest of the answer can be taken.
 */
final class OaiReader {
  private static final String OAI = "http://www.openarchives.org/OAI/2.0/";

  private static final int LONGEST_TOKEN = 4_000;

  private final String format;
  private final XMLStreamReader xml;
  private final Transformer copy;
  private final List<SourceRecord> records = new ArrayList<>();
  private final List<OaiPage.SetAside> setAside = new ArrayList<>();
  private boolean answers;
  private Optional<Instant> responseDate = Optional.empty();
  private Optional<String> token = Optional.empty();
  private Optional<Integer> expected = Optional.empty();
  private Optional<String> error = Optional.empty();

  private OaiReader(String format, XMLStreamReader xml) throws TransformerException {
    this.format = format;
    this.xml = xml;
    this.copy = TransformerFactory.newDefaultInstance().newTransformer();
    copy.setOutputProperty(OutputKeys.OMIT_XML_DECLARATION, "yes");
  }

  static OaiPage read(String format, InputStream body) throws IOException {
    try {
      return new OaiReader(format, Xml.stream(new ReplacingReader(body))).page();
    } catch (XMLStreamException | TransformerException broken) {
      throw new IOException("the answer breaks off or is no XML: " + broken.getMessage(), broken);
    }
  }

  private OaiPage page() throws XMLStreamException, TransformerException, IOException {
    while (xml.hasNext()) {
      if (xml.next() == XMLStreamConstants.START_ELEMENT) {
        element();
      }
    }
    if (!answers) {
      throw new IOException("the answer is not one of OAI-PMH");
    }
    return new OaiPage(responseDate, records, setAside, token, expected, error);
  }

  private void element() throws XMLStreamException, TransformerException, IOException {
    if (!OAI.equals(xml.getNamespaceURI())) {
      return;
    }
    switch (xml.getLocalName()) {
      case "responseDate" -> {
        answers = true;
        responseDate = instant(xml.getElementText().strip());
      }
      case "record" -> record();
      case "resumptionToken" -> {
        expected = count(xml.getAttributeValue(null, "completeListSize"));
        token = token(xml.getElementText().strip());
      }
      case "error" -> error = Optional.of(code(xml.getAttributeValue(null, "code")));
      default -> {
        // Everything else of an answer is about the request.
      }
    }
  }

  private static Optional<Instant> instant(String text) {
    try {
      return Optional.of(Instant.parse(text));
    } catch (DateTimeParseException noTime) {
      return Optional.empty();
    }
  }

  private static Optional<String> token(String text) throws IOException {
    if (text.length() > LONGEST_TOKEN) {
      throw new IOException("the token of the next page has %,d letters".formatted(text.length()));
    }
    return Optional.of(text).filter(t -> !t.isEmpty());
  }

  private static Optional<Integer> count(@Nullable String number) {
    return number != null && number.strip().matches("\\d{1,9}")
        ? Optional.of(Integer.parseInt(number.strip()))
        : Optional.empty();
  }

  private static String code(@Nullable String code) {
    return code == null ? "without a code" : Text.atMost(100, Text.clean(code));
  }

  private void record() throws XMLStreamException, TransformerException {
    String identifier = "";
    String datestamp = "";
    boolean deleted = false;
    BoundedText raw = new BoundedText(RecordReader.LONGEST);
    while (!(xml.next() == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals("record"))) {
      if (xml.getEventType() != XMLStreamConstants.START_ELEMENT) {
        continue;
      }
      switch (xml.getLocalName()) {
        case "header" -> deleted = "deleted".equals(xml.getAttributeValue(null, "status"));
        case "identifier" -> identifier = xml.getElementText().strip();
        case "datestamp" -> datestamp = Text.atMost(40, xml.getElementText().strip());
        case "metadata" -> metadata(raw);
        default -> {
          // Sets and statements about a record are not kept.
        }
      }
    }
    Optional<String> why = whyNot(identifier, raw);
    if (why.isPresent()) {
      setAside.add(new OaiPage.SetAside(identifier, why.get(), raw.toString()));
    } else {
      records.add(new SourceRecord(identifier, format, raw.toString(), datestamp, deleted));
    }
  }

  private static Optional<String> whyNot(String identifier, BoundedText raw) {
    if (identifier.isEmpty()) {
      return Optional.of("it has no identifier");
    }
    if (identifier.length() > Catalogue.LONGEST_NAME) {
      return Optional.of("its identifier has %,d letters".formatted(identifier.length()));
    }
    return raw.isCut()
        ? Optional.of("it is longer than %,d letters".formatted(RecordReader.LONGEST))
        : Optional.empty();
  }

  private void metadata(BoundedText raw) throws XMLStreamException, TransformerException {
    xml.nextTag();
    copy.transform(new StAXSource(xml), new StreamResult(raw));
  }
}
