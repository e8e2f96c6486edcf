package org.quietlantern.core.exchange;

import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.util.StreamReaderDelegate;
import javax.xml.transform.OutputKeys;
import javax.xml.transform.Transformer;
import javax.xml.transform.TransformerException;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.stax.StAXSource;
import javax.xml.transform.stream.StreamResult;

/** Records in an XML document, whatever is around them; saved answers of OAI-PMH name them. */
final class XmlRecords implements RecordFile.Records {
  private static final String OAI = "http://www.openarchives.org/OAI/2.0/";
  private static final Pattern ENCODING =
      Pattern.compile("^\\s*<\\?xml[^>]*encoding\\s*=\\s*[\"']([\\w.:-]+)[\"']");

  private final XMLStreamReader xml;
  private final Transformer copy;
  private String identifier = "";
  private String datestamp = "";
  private boolean deleted;

  /** {@code first}: how it begins. */
  XmlRecords(InputStream text, byte[] first) throws XMLStreamException, TransformerException {
    this.xml = Xml.stream(new ReplacingReader(text, encoding(first)));
    this.copy = TransformerFactory.newDefaultInstance().newTransformer();
    copy.setOutputProperty(OutputKeys.OMIT_XML_DECLARATION, "yes");
  }

  /** In any encoding in which it can say so itself (XML 1.0, appendix F). */
  static boolean isXml(byte[] first) {
    return new String(first, encoding(first))
        .replaceFirst("^\uFEFF", "")
        .stripLeading()
        .startsWith("<");
  }

  private static Charset encoding(byte[] first) {
    if (first.length > 1 && (first[0] & 0xff) == 0xfe && (first[1] & 0xff) == 0xff) {
      return StandardCharsets.UTF_16BE;
    }
    if (first.length > 1 && (first[0] & 0xff) == 0xff && (first[1] & 0xff) == 0xfe) {
      return StandardCharsets.UTF_16LE;
    }
    Matcher said = ENCODING.matcher(new String(first, StandardCharsets.ISO_8859_1));
    if (said.find()) {
      try {
        return Charset.forName(said.group(1));
      } catch (IllegalCharsetNameException | UnsupportedCharsetException unknown) {
        return StandardCharsets.UTF_8;
      }
    }
    return StandardCharsets.UTF_8;
  }

  @Override
  public Optional<FiledRecord> next() throws XMLStreamException, TransformerException {
    while (xml.hasNext()) {
      int event = xml.next();
      if (event == XMLStreamConstants.START_ELEMENT) {
        String namespace = Optional.ofNullable(xml.getNamespaceURI()).orElse("");
        if (RecordFormat.ofRoot(namespace, xml.getLocalName()).isPresent()) {
          return Optional.of(record());
        }
        if (OAI.equals(namespace)) {
          around();
        }
      } else if (event == XMLStreamConstants.END_ELEMENT && deleted && isEndOfRecord()) {
        deleted = false;
        return Optional.of(new FiledRecord(identifier, datestamp, true, "", Optional.empty()));
      }
    }
    return Optional.empty();
  }

  private boolean isEndOfRecord() {
    return OAI.equals(xml.getNamespaceURI()) && xml.getLocalName().equals("record");
  }

  /** What a saved answer says of the record that follows (OAI-PMH 2.0, 2.5). */
  private void around() throws XMLStreamException {
    switch (xml.getLocalName()) {
      case "header" -> {
        identifier = "";
        datestamp = "";
        deleted = "deleted".equals(xml.getAttributeValue(null, "status"));
      }
      case "identifier" -> identifier = xml.getElementText().strip();
      case "datestamp" -> datestamp = xml.getElementText().strip();
      default -> {
        // Everything else is about the answer.
      }
    }
  }

  private FiledRecord record() throws TransformerException {
    BoundedText raw = new BoundedText(RecordReader.LONGEST);
    copy.transform(new StAXSource(new OneElement(xml)), new StreamResult(raw));
    Optional<String> problem =
        raw.isCut()
            ? Optional.of("it is longer than %,d letters".formatted(RecordReader.LONGEST))
            : Optional.empty();
    FiledRecord record = filed(identifier, datestamp, raw.toString(), problem);
    identifier = "";
    datestamp = "";
    return record;
  }

  /** One that nothing around it names is named by itself, else by what is in it. */
  static FiledRecord filed(
      String identifier, String datestamp, String raw, Optional<String> problem) {
    String own =
        identifier.isEmpty() && problem.isEmpty() ? RecordReader.identifier(raw) : identifier;
    return new FiledRecord(own.isEmpty() ? digest(raw) : own, datestamp, false, raw, problem);
  }

  private static String digest(String raw) {
    try {
      byte[] hash =
          MessageDigest.getInstance("SHA-256").digest(raw.getBytes(StandardCharsets.UTF_8));
      return "sha256:" + HexFormat.of().formatHex(hash);
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  /** An element to its end and not a letter further, for what follows may be broken. */
  private static final class OneElement extends StreamReaderDelegate {
    private int depth = 1;

    OneElement(XMLStreamReader xml) {
      super(xml);
    }

    @Override
    public int next() throws XMLStreamException {
      if (depth == 0) {
        return XMLStreamConstants.END_DOCUMENT;
      }
      int event = super.next();
      if (event == XMLStreamConstants.START_ELEMENT) {
        depth++;
      } else if (event == XMLStreamConstants.END_ELEMENT) {
        depth--;
      }
      return event;
    }
  }
}
