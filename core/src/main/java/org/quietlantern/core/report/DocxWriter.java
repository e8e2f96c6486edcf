package org.quietlantern.core.report;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * A document as DOCX (ECMA-376, Office Open XML, parts 1 and 2, transitional): one story with the
 * styles Title, Heading1 and Normal, and tables.
 */
public final class DocxWriter {
  private static final String W = "http://schemas.openxmlformats.org/wordprocessingml/2006/main";
  private static final String TYPES =
      """
      <?xml version="1.0" encoding="UTF-8" standalone="yes"?>
      <Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">
      <Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>
      <Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/>
      <Override PartName="/word/styles.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.styles+xml"/>
      </Types>
      """;
  private static final String RELATIONS =
      """
      <?xml version="1.0" encoding="UTF-8" standalone="yes"?>
      <Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">
      <Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/%s" Target="%s"/>
      </Relationships>
      """;
  private static final String STYLES =
      """
      <?xml version="1.0" encoding="UTF-8" standalone="yes"?>
      <w:styles xmlns:w="%s">
      <w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/><w:pPr><w:spacing w:after="120"/></w:pPr><w:rPr><w:sz w:val="22"/></w:rPr></w:style>
      <w:style w:type="paragraph" w:styleId="Title"><w:name w:val="Title"/><w:basedOn w:val="Normal"/><w:rPr><w:b/><w:sz w:val="36"/></w:rPr></w:style>
      <w:style w:type="paragraph" w:styleId="Heading1"><w:name w:val="heading 1"/><w:basedOn w:val="Normal"/><w:pPr><w:keepNext/><w:spacing w:before="240"/><w:outlineLvl w:val="0"/></w:pPr><w:rPr><w:b/><w:sz w:val="26"/></w:rPr></w:style>
      </w:styles>
      """
          .formatted(W);

  private final XMLStreamWriter xml;

  private DocxWriter(XMLStreamWriter xml) {
    this.xml = xml;
  }

  public static byte[] write(Document document) {
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(file, StandardCharsets.UTF_8)) {
      part(zip, "[Content_Types].xml", TYPES);
      part(zip, "_rels/.rels", RELATIONS.formatted("officeDocument", "word/document.xml"));
      part(zip, "word/_rels/document.xml.rels", RELATIONS.formatted("styles", "styles.xml"));
      part(zip, "word/styles.xml", STYLES);
      zip.putNextEntry(new ZipEntry("word/document.xml"));
      story(zip, document);
      zip.closeEntry();
    } catch (IOException | XMLStreamException failed) {
      throw new IllegalStateException(failed);
    }
    return file.toByteArray();
  }

  private static void part(ZipOutputStream zip, String name, String content) {
    try {
      zip.putNextEntry(new ZipEntry(name));
      zip.write(content.getBytes(StandardCharsets.UTF_8));
      zip.closeEntry();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static void story(OutputStream out, Document document) throws XMLStreamException {
    XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(out, "UTF-8");
    xml.setPrefix("w", W);
    xml.writeStartDocument("UTF-8", "1.0");
    xml.writeStartElement(W, "document");
    xml.writeNamespace("w", W);
    xml.writeStartElement(W, "body");
    DocxWriter writer = new DocxWriter(xml);
    writer.paragraph("Title", document.title());
    for (Document.Block block : document.blocks()) {
      writer.block(block);
    }
    xml.writeEndElement();
    xml.writeEndElement();
    xml.writeEndDocument();
    xml.flush();
  }

  private void block(Document.Block block) throws XMLStreamException {
    if (block instanceof Document.Heading heading) {
      paragraph("Heading1", heading.text());
    } else if (block instanceof Document.Paragraph paragraph) {
      paragraph("Normal", paragraph.text());
    } else if (block instanceof Document.Table table) {
      table(table);
    }
  }

  private void paragraph(String style, String text) throws XMLStreamException {
    xml.writeStartElement(W, "p");
    xml.writeStartElement(W, "pPr");
    valued("pStyle", style);
    xml.writeEndElement();
    run(text);
    xml.writeEndElement();
  }

  private void run(String text) throws XMLStreamException {
    xml.writeStartElement(W, "r");
    xml.writeStartElement(W, "t");
    xml.writeAttribute("xml", "http://www.w3.org/XML/1998/namespace", "space", "preserve");
    xml.writeCharacters(clean(text));
    xml.writeEndElement();
    xml.writeEndElement();
  }

  /** Signs that XML 1.0 cannot hold are left out. */
  private static String clean(String text) {
    return text.codePoints()
        .filter(c -> c >= 0x20 || c == '\t' || c == '\n')
        .filter(c -> c != 0xFFFE && c != 0xFFFF)
        .filter(c -> c < 0xD800 || c > 0xDFFF)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
        .toString();
  }

  private void table(Document.Table table) throws XMLStreamException {
    xml.writeStartElement(W, "tbl");
    xml.writeStartElement(W, "tblPr");
    xml.writeEmptyElement(W, "tblW");
    xml.writeAttribute("w", W, "w", "5000");
    xml.writeAttribute("w", W, "type", "pct");
    borders();
    xml.writeEndElement();
    xml.writeStartElement(W, "tblGrid");
    for (int i = 0; i < table.columns().size(); i++) {
      xml.writeEmptyElement(W, "gridCol");
    }
    xml.writeEndElement();
    row(table.columns());
    for (List<String> row : table.rows()) {
      row(row);
    }
    xml.writeEndElement();
    paragraph("Normal", "");
  }

  private void borders() throws XMLStreamException {
    xml.writeStartElement(W, "tblBorders");
    for (String side : List.of("top", "bottom", "insideH")) {
      xml.writeEmptyElement(W, side);
      xml.writeAttribute("w", W, "val", "single");
      xml.writeAttribute("w", W, "sz", "4");
    }
    xml.writeEndElement();
  }

  private void row(List<String> cells) throws XMLStreamException {
    xml.writeStartElement(W, "tr");
    for (String cell : cells) {
      xml.writeStartElement(W, "tc");
      xml.writeStartElement(W, "p");
      if (Document.Table.isNumber(cell)) {
        xml.writeStartElement(W, "pPr");
        valued("jc", "right");
        xml.writeEndElement();
      }
      run(cell);
      xml.writeEndElement();
      xml.writeEndElement();
    }
    xml.writeEndElement();
  }

  private void valued(String name, String value) throws XMLStreamException {
    xml.writeEmptyElement(W, name);
    xml.writeAttribute("w", W, "val", value);
  }
}
