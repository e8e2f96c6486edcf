package org.quietlantern.core.exchange;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.marc4j.MarcException;
import org.marc4j.MarcPermissiveStreamReader;
import org.marc4j.marc.ControlField;
import org.marc4j.marc.DataField;
import org.marc4j.marc.Record;
import org.marc4j.marc.Subfield;
import org.quietlantern.core.publication.Text;

/**
 * MARC 21 in its exchange format (ISO 2709), in UTF-8, MARC-8 or whatever else stands in it, with
 * lengths that may be wrong. Its records become MARCXML.
 */
final class MarcRecords implements RecordFile.Records {
  /** So many one after the other that cannot be read are no file of records. */
  private static final int BROKEN_ON_END = 100;

  private static final int LENGTH_OF_LENGTH = 5;

  /** What ends a record (ISO 2709, 4.2). */
  private static final int END = 0x1d;

  /** Bytes of one; a length of five digits says less, but some are longer than it can say. */
  private static final int LONGEST = 2_000_000;

  private final InputStream bytes;
  private int number;
  private int broken;

  MarcRecords(InputStream bytes) {
    this.bytes = bytes;
  }

  /** A record begins with its length and what it is (leader, 00 to 05). */
  static boolean isMarc(byte[] first) {
    for (int n = 0; n < LENGTH_OF_LENGTH; n++) {
      if (first.length <= LENGTH_OF_LENGTH || first[n] < '0' || first[n] > '9') {
        return false;
      }
    }
    return "acdnp".indexOf(first[LENGTH_OF_LENGTH]) >= 0;
  }

  @Override
  public Optional<FiledRecord> next() throws XMLStreamException, IOException {
    byte[] record = upToItsEnd();
    if (record.length == 0) {
      return Optional.empty();
    }
    number++;
    try {
      String raw = xml(read(record));
      broken = 0;
      return Optional.of(XmlRecords.filed("", "", raw, Optional.empty()));
    } catch (MarcException | IndexOutOfBoundsException | NumberFormatException odd) {
      if (++broken == BROKEN_ON_END) {
        throw new RecordFile.Broken(
            "%d records on end cannot be read, up to number %d".formatted(broken, number));
      }
      String why = Text.atMost(200, Text.clean("it cannot be read: " + odd.getMessage()));
      return Optional.of(new FiledRecord("record " + number, "", false, "", Optional.of(why)));
    }
  }

  /** Whatever its length says: that is often wrong, what ends it is not. Blanks between them go. */
  private byte[] upToItsEnd() throws IOException {
    ByteArrayOutputStream record = new ByteArrayOutputStream();
    for (int next = bytes.read(); next >= 0; next = bytes.read()) {
      if (record.size() > 0 || next > ' ') {
        if (record.size() < LONGEST) {
          record.write(next);
        }
        if (next == END) {
          break;
        }
      }
    }
    return record.toByteArray();
  }

  private static Record read(byte[] record) {
    if (record.length <= LENGTH_OF_LENGTH || record.length == LONGEST) {
      throw new MarcException("a record of %,d bytes".formatted(record.length));
    }
    String length = "%05d".formatted(Math.min(record.length, 99_999));
    System.arraycopy(length.getBytes(StandardCharsets.US_ASCII), 0, record, 0, LENGTH_OF_LENGTH);
    return new MarcPermissiveStreamReader(new ByteArrayInputStream(record), true, true).next();
  }

  private static String xml(Record record) throws XMLStreamException {
    StringWriter text = new StringWriter();
    XMLStreamWriter xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(text);
    xml.writeStartElement("record");
    xml.writeDefaultNamespace(MarcReader.SLIM);
    element(xml, "leader", record.getLeader().marshal());
    for (ControlField field : record.getControlFields()) {
      xml.writeStartElement("controlfield");
      xml.writeAttribute("tag", legal(field.getTag()));
      xml.writeCharacters(legal(field.getData()));
      xml.writeEndElement();
    }
    for (DataField field : record.getDataFields()) {
      xml.writeStartElement("datafield");
      xml.writeAttribute("tag", legal(field.getTag()));
      xml.writeAttribute("ind1", legal(String.valueOf(field.getIndicator1())));
      xml.writeAttribute("ind2", legal(String.valueOf(field.getIndicator2())));
      for (Subfield part : field.getSubfields()) {
        xml.writeStartElement("subfield");
        xml.writeAttribute("code", legal(String.valueOf(part.getCode())));
        xml.writeCharacters(legal(part.getData()));
        xml.writeEndElement();
      }
      xml.writeEndElement();
    }
    xml.writeEndElement();
    return text.toString();
  }

  private static void element(XMLStreamWriter xml, String name, String text)
      throws XMLStreamException {
    xml.writeStartElement(name);
    xml.writeCharacters(legal(text));
    xml.writeEndElement();
  }

  private static String legal(String text) {
    return text == null ? "" : Text.legal(text);
  }
}
