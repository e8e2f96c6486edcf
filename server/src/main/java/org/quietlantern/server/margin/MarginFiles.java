package org.quietlantern.server.margin;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.report.Document;
import org.quietlantern.core.report.DocxWriter;
import org.quietlantern.core.report.TextWriter;
import org.quietlantern.core.text.NotedPdf;
import org.quietlantern.core.text.Passage;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mending.Mends;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.reading.Downloads;
import org.quietlantern.server.reading.GroupTexts;
import org.springframework.stereotype.Component;

/** Margin notes to take along: as text, as DOCX, as Web Annotations (W3C, 23 February 2017). */
@Component
class MarginFiles {
  private static final String CONTEXT = "http://www.w3.org/ns/anno.jsonld";
  private final MarginNotes notes;
  private final Downloads downloads;
  private final GroupTexts texts;
  private final Mends mends;
  private final LanternProperties properties;
  private final Json json;

  MarginFiles(
      MarginNotes notes,
      Downloads downloads,
      GroupTexts texts,
      Mends mends,
      LanternProperties properties,
      Json json) {
    this.downloads = downloads;
    this.texts = texts;
    this.mends = mends;
    this.notes = notes;
    this.properties = properties;
    this.json = json;
  }

  /** {@code form}: {@code txt}, {@code docx} or {@code jsonld}. */
  byte[] of(Member who, MarginNotes.Wanted wanted, String form) {
    List<MarginNotes.Written> all = notes.all(who, wanted);
    return switch (form) {
      case "txt" -> TextWriter.write(document(who, all)).getBytes(StandardCharsets.UTF_8);
      case "docx" -> DocxWriter.write(document(who, all));
      case "jsonld" -> json.write(collection(all)).getBytes(StandardCharsets.UTF_8);
      default -> throw Refusal.unknown();
    };
  }

  /** The file of a text with the notes in it that the member may see. */
  Downloads.Download noted(Member who, String text) {
    StoredPublication work = texts.work(who, text);
    List<NotedPdf.Note> all =
        notes.of(who, work).stream()
            .map(
                one ->
                    new NotedPdf.Note(
                        one.note().by(), said(one.note()), one.note().at(), one.passage()))
            .toList();
    return downloads.noted(who, text, work, all);
  }

  private static String said(MarginNotes.NoteShown note) {
    return Stream.concat(
            Stream.of(own(note)),
            note.remarks().stream().map(remark -> remark.by() + ": " + remark.text()))
        .filter(line -> !line.isEmpty())
        .collect(Collectors.joining("\n"));
  }

  /** What its writer says; empty where the passage alone is marked. */
  private static String own(MarginNotes.NoteShown note) {
    String kind = note.kind().equals("note") ? "" : note.kind() + ": ";
    return kind + note.text() + (note.done() ? " (done)" : "");
  }

  /** Work by work, in the order in which the newest note of each came. */
  private Document document(Member who, List<MarginNotes.Written> all) {
    Map<Integer, List<Mends.Mended>> mended =
        mends.of(who, all.stream().map(note -> note.of().id()).distinct().toList());
    Map<String, List<MarginNotes.Written>> works = new LinkedHashMap<>();
    all.forEach(note -> works.computeIfAbsent(note.of().pid(), id -> new ArrayList<>()).add(note));
    List<Document.Block> blocks = new ArrayList<>();
    works.forEach(
        (id, some) -> {
          blocks.add(new Document.Heading(some.get(0).of().publication().title()));
          blocks.add(
              new Document.Paragraph(PlainCitation.of(Mends.read(some.get(0).of(), mended))));
          some.forEach(note -> blocks.addAll(blocks(note.note())));
        });
    return new Document("Margin notes", blocks);
  }

  private static List<Document.Block> blocks(MarginNotes.NoteShown note) {
    List<Document.Block> blocks = new ArrayList<>();
    String page = note.label().isEmpty() ? "" : " (p. " + note.label() + ")";
    blocks.add(new Document.Paragraph("“" + note.quote() + "”" + page));
    String own = own(note);
    if (!own.isEmpty()) {
      blocks.add(new Document.Paragraph(note.by() + ", " + own));
    }
    note.remarks()
        .forEach(said -> blocks.add(new Document.Paragraph("  " + said.by() + ": " + said.text())));
    return blocks;
  }

  /** An annotation collection in one page (Web Annotation Data Model, 5). */
  private Map<String, Object> collection(List<MarginNotes.Written> all) {
    Map<String, Object> page = new LinkedHashMap<>();
    page.put("type", "AnnotationPage");
    page.put("startIndex", 0);
    page.put("items", all.stream().map(this::annotation).toList());
    Map<String, Object> collection = new LinkedHashMap<>();
    collection.put("@context", CONTEXT);
    collection.put("type", "AnnotationCollection");
    collection.put("label", "Margin notes");
    collection.put("total", all.size());
    collection.put("first", page);
    return collection;
  }

  private Map<String, Object> annotation(MarginNotes.Written written) {
    MarginNotes.NoteShown note = written.note();
    Map<String, Object> annotation = new LinkedHashMap<>();
    annotation.put("id", properties.baseUrl() + "/margin/" + note.id());
    annotation.put("type", "Annotation");
    annotation.put("motivation", MOTIVATIONS.get(note.kind()));
    annotation.put("creator", Map.of("type", "Person", "name", note.by()));
    annotation.put("created", note.at().toString());
    annotation.put("modified", note.changed().toString());
    List<Map<String, Object>> bodies = new ArrayList<>();
    if (!note.text().isEmpty()) {
      bodies.add(text(note.text(), null));
    }
    note.remarks().forEach(said -> bodies.add(text(said.text(), said.by())));
    if (!bodies.isEmpty()) {
      annotation.put("body", bodies);
    }
    annotation.put(
        "target",
        Map.of(
            "source",
            properties.stableLink(note.publication()),
            "selector",
            selectors(written.passage(), note.label())));
    return annotation;
  }

  private static final Map<String, String> MOTIVATIONS =
      Map.of("note", "commenting", "question", "questioning", "task", "assessing");

  private static Map<String, Object> text(String value, String by) {
    Map<String, Object> body = new LinkedHashMap<>();
    body.put("type", "TextualBody");
    body.put("value", value);
    body.put("format", "text/plain");
    if (by != null) {
      body.put("purpose", "replying");
      body.put("creator", Map.of("type", "Person", "name", by));
    }
    return body;
  }

  /** Quote and page (Web Annotation Data Model, 4.2.4; RFC 8118, 3 for pages of a PDF). */
  private static List<Map<String, Object>> selectors(Passage passage, String label) {
    List<Map<String, Object>> selectors = new ArrayList<>();
    selectors.add(
        Map.of(
            "type",
            "TextQuoteSelector",
            "exact",
            passage.quote(),
            "prefix",
            passage.before(),
            "suffix",
            passage.after()));
    if (!label.isEmpty()) {
      selectors.add(
          Map.of(
              "type",
              "FragmentSelector",
              "conformsTo",
              "http://tools.ietf.org/rfc/rfc3778",
              "value",
              "page=" + (passage.page() + 1)));
    }
    return selectors;
  }
}
