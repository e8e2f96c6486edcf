package org.quietlantern.standins.oai;

import java.util.Locale;
import java.util.stream.Collectors;
import org.quietlantern.standins.corpus.Work;

/** A work in the formats that the source supplies. */
final class Metadata {
  private Metadata() {}

  static String of(Work work, String format) {
    return switch (format) {
      case "mods" -> mods(work);
      case "oai_dc" -> dublinCore(work);
      default -> throw new OaiError("cannotDisseminateFormat", "no such format: " + format);
    };
  }

  private static String mods(Work work) {
    StringBuilder xml =
        new StringBuilder("<mods xmlns=\"http://www.loc.gov/mods/v3\" version=\"3.8\">");
    xml.append("<titleInfo><title>").append(escape(work.title())).append("</title></titleInfo>");
    for (Work.Author author : work.authors()) {
      xml.append(
          "<name type=\"personal\"><namePart type=\"family\">%s</namePart><namePart type=\"given\">%s</namePart></name>"
              .formatted(escape(author.family()), escape(author.given())));
    }
    xml.append("<genre>").append(work.kind()).append("</genre><originInfo>");
    if (work.journal() != null) {
      xml.append("<publisher>").append(escape(work.journal().publisher())).append("</publisher>");
    } else if (!work.kind().equals("preprint")) {
      xml.append("<publisher>Tern Hollow Institute</publisher>");
    }
    xml.append(
        "<dateIssued encoding=\"w3cdtf\">%s</dateIssued></originInfo>".formatted(work.date()));
    xml.append(
        "<language><languageTerm type=\"code\" authority=\"rfc5646\">%s</languageTerm></language>"
            .formatted(work.language()));
    xml.append(
        "<physicalDescription><extent>%d pages</extent></physicalDescription>"
            .formatted(work.pages()));
    if (!work.abstractText().isEmpty()) {
      xml.append("<abstract>").append(escape(work.abstractText())).append("</abstract>");
    }
    subjects(xml, work);
    host(xml, work);
    xml.append("<identifier type=\"doi\">").append(work.doi()).append("</identifier>");
    supply(xml, work);
    return xml.append("</mods>").toString();
  }

  private static void subjects(StringBuilder xml, Work work) {
    for (Work.Topic topic : work.topics()) {
      xml.append(
          "<subject authority=\"night-ecology\" valueURI=\"%s\"><topic>%s</topic></subject>"
              .formatted(topic.uri(), escape(topic.label())));
    }
    for (String keyword : work.keywords()) {
      xml.append("<subject><topic>").append(escape(keyword)).append("</topic></subject>");
    }
  }

  private static void host(StringBuilder xml, Work work) {
    if (work.journal() == null) {
      return;
    }
    xml.append(
        """
        <relatedItem type="host"><titleInfo><title>%s</title></titleInfo>\
        <identifier type="issn">%s</identifier><part>\
        <detail type="volume"><number>%d</number></detail><detail type="issue"><number>%d</number></detail>\
        <extent unit="pages"><start>%d</start><end>%d</end></extent></part></relatedItem>"""
            .formatted(
                escape(work.journal().title()),
                work.journal().issn(),
                work.volume(),
                work.issue(),
                work.firstPage(),
                work.firstPage() + work.pages() - 1));
  }

  private static void supply(StringBuilder xml, Work work) {
    String version = work.kind().equals("preprint") ? "preprint" : "final";
    String central =
        work.topics().stream()
            .filter(Work.Topic::central)
            .map(Metadata::central)
            .collect(Collectors.joining());
    xml.append(
        "<extension><supply xmlns=\"urn:quietlantern:supply:1\"><version>%s</version><access>%s</access>%s</supply></extension>"
            .formatted(version, work.open() ? "open" : "closed", central));
  }

  private static String central(Work.Topic topic) {
    String uri = topic.uri();
    return "<central valueURI=\"%s\"/><aspect valueURI=\"%s\">effects of light on</aspect>"
        .formatted(uri, uri);
  }

  private static String dublinCore(Work work) {
    String creators =
        work.authors().stream()
            .map(
                a ->
                    "<dc:creator>%s, %s</dc:creator>"
                        .formatted(escape(a.family()), escape(a.given())))
            .collect(Collectors.joining());
    return """
        <oai_dc:dc xmlns:oai_dc="http://www.openarchives.org/OAI/2.0/oai_dc/" xmlns:dc="http://purl.org/dc/elements/1.1/">\
        <dc:title>%s</dc:title>%s<dc:date>%s</dc:date><dc:type>%s</dc:type><dc:language>%s</dc:language>\
        <dc:description>%s</dc:description><dc:identifier>doi:%s</dc:identifier></oai_dc:dc>"""
        .formatted(
            escape(work.title()),
            creators,
            work.date(),
            work.kind(),
            work.language().toLowerCase(Locale.ROOT),
            escape(work.abstractText()),
            work.doi());
  }

  static String escape(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }
}
