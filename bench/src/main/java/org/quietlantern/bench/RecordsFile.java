package org.quietlantern.bench;

import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.ManyWorks;
import org.quietlantern.standins.corpus.Work;

/** The made-up literature, as much of it as wanted, as a collection of MODS. */
final class RecordsFile {
  private RecordsFile() {}

  static Path write(Path file, int size) throws IOException {
    return write(file, 0, size);
  }

  /** So many after the first {@code from}. */
  static Path write(Path file, int from, int size) throws IOException {
    try (Writer xml = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
      xml.write("<modsCollection>\n");
      Iterator<Work> works = ManyWorks.of(Literature.SEED, from + size).skip(from).iterator();
      while (works.hasNext()) {
        xml.write(mods(works.next()));
      }
      xml.write("</modsCollection>\n");
    }
    return file;
  }

  private static String mods(Work work) {
    StringBuilder mods = new StringBuilder("<mods xmlns=\"http://www.loc.gov/mods/v3\">");
    mods.append("<titleInfo>").append(element("title", work.title())).append("</titleInfo>");
    work.authors()
        .forEach(
            author ->
                mods.append("<name><namePart type=\"family\">")
                    .append(escaped(author.family()))
                    .append("</namePart><namePart type=\"given\">")
                    .append(escaped(author.given()))
                    .append("</namePart></name>"));
    int year = work.date().getYear();
    mods.append(element("genre", work.kind()))
        .append("<originInfo>")
        .append(element("dateIssued", work.date().toString().substring(0, 7)))
        .append("</originInfo><language>")
        .append(element("languageTerm", work.language()))
        .append("</language>")
        .append(element("abstract", work.abstractText()));
    work.topics()
        .forEach(
            topic ->
                mods.append("<subject valueURI=\"%s\">".formatted(escaped(topic.uri())))
                    .append(element("topic", topic.label()))
                    .append("</subject>"));
    work.keywords()
        .forEach(
            word -> mods.append("<subject>").append(element("topic", word)).append("</subject>"));
    work.journal()
        .ifPresent(
            journal ->
                mods.append("<relatedItem type=\"host\"><titleInfo>")
                    .append(element("title", journal.titleIn(year)))
                    .append("</titleInfo><identifier>")
                    .append(journal.issn())
                    .append("</identifier></relatedItem>"));
    return mods.append("<identifier type=\"doi\">")
        .append(escaped(work.doi()))
        .append("</identifier><recordInfo>")
        .append(element("recordIdentifier", "made:" + work.number()))
        .append("</recordInfo></mods>\n")
        .toString();
  }

  private static String element(String name, String text) {
    return "<%s>%s</%1$s>".formatted(name, escaped(text));
  }

  private static String escaped(String text) {
    return text.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
  }
}
