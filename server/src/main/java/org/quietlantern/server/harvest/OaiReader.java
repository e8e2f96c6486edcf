package org.quietlantern.server.harvest;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
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
import org.quietlantern.core.exchange.Xml;
import org.quietlantern.core.publication.SourceRecord;

/** Reads answers of OAI-PMH 2.0 as they stream in; the metadata of a record stays as supplied. */
final class OaiReader {
  private static final String OAI = "http://www.openarchives.org/OAI/2.0/";
  private final String format;
  private final XMLStreamReader xml;
  private final Transformer copy;
  private final List<SourceRecord> records = new ArrayList<>();
  private String responseDate = "";
  private Optional<String> token = Optional.empty();
  private Optional<String> error = Optional.empty();

  private OaiReader(String format, XMLStreamReader xml) throws TransformerException {
    this.format = format;
    this.xml = xml;
    this.copy = TransformerFactory.newDefaultInstance().newTransformer();
    copy.setOutputProperty(OutputKeys.OMIT_XML_DECLARATION, "yes");
  }

  static OaiPage read(String format, InputStream body) throws IOException {
    try {
      return new OaiReader(format, Xml.stream(body)).page();
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
    if (responseDate.isEmpty()) {
      throw new IOException("the answer is not one of OAI-PMH");
    }
    return new OaiPage(responseDate, records, token, error);
  }

  private void element() throws XMLStreamException, TransformerException {
    if (!OAI.equals(xml.getNamespaceURI())) {
      return;
    }
    switch (xml.getLocalName()) {
      case "responseDate" -> responseDate = xml.getElementText().strip();
      case "record" -> record();
      case "resumptionToken" ->
          token = Optional.of(xml.getElementText().strip()).filter(t -> !t.isEmpty());
      case "error" -> error = Optional.of(xml.getAttributeValue(null, "code"));
      default -> {
        // Everything else of an answer is about the request.
      }
    }
  }

  private void record() throws XMLStreamException, TransformerException {
    String identifier = "";
    String datestamp = "";
    String raw = "";
    boolean deleted = false;
    while (!(xml.next() == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals("record"))) {
      if (xml.getEventType() != XMLStreamConstants.START_ELEMENT) {
        continue;
      }
      switch (xml.getLocalName()) {
        case "header" -> deleted = "deleted".equals(xml.getAttributeValue(null, "status"));
        case "identifier" -> identifier = xml.getElementText().strip();
        case "datestamp" -> datestamp = xml.getElementText().strip();
        case "metadata" -> raw = metadata();
        default -> {
          // Sets and statements about a record are not kept.
        }
      }
    }
    records.add(new SourceRecord(identifier, format, raw, datestamp, deleted));
  }

  private String metadata() throws XMLStreamException, TransformerException {
    xml.nextTag();
    StringWriter text = new StringWriter();
    copy.transform(new StAXSource(xml), new StreamResult(text));
    return text.toString();
  }
}
