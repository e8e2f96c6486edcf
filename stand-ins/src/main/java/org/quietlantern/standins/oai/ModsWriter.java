package org.quietlantern.standins.oai;

import static org.quietlantern.standins.words.XmlText.element;
import static org.quietlantern.standins.words.XmlText.escape;

import java.util.List;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Person;
import org.quietlantern.standins.corpus.Topic;
import org.quietlantern.standins.corpus.Work;
import org.quietlantern.standins.host.TextPlaces;
import org.quietlantern.standins.supply.Entry;
import org.quietlantern.standins.supply.Trait;

/** An entry in MODS 3.8, with what MODS has no place for in an extension. */
final class ModsWriter {
  private final Literature literature;
  private final Entry entry;
  private final Work work;
  private final StringBuilder xml = new StringBuilder();

  private final TextPlaces places;

  private ModsWriter(Literature literature, Entry entry, TextPlaces places) {
    this.literature = literature;
    this.places = places;
    this.entry = entry;
    this.work = entry.work();
  }

  static String write(Literature literature, Entry entry, TextPlaces places) {
    return new ModsWriter(literature, entry, places).mods();
  }

  private String mods() {
    xml.append("<mods xmlns=\"http://www.loc.gov/mods/v3\" version=\"3.8\">");
    titles();
    work.authors().forEach(this::name);
    xml.append(element("genre", work.kind())).append("<originInfo>");
    xml.append(element("publisher", publisher()));
    String date = entry.dateAsShown();
    if (!date.isEmpty()) {
      xml.append("<dateIssued encoding=\"w3cdtf\">").append(date).append("</dateIssued>");
    }
    xml.append("</originInfo><language><languageTerm type=\"code\" authority=\"rfc5646\">")
        .append(work.language())
        .append("</languageTerm></language>");
    if (work.pages() > 0 && !entry.has(Trait.NO_PAGES)) {
      xml.append(
          "<physicalDescription><extent>%d pages</extent></physicalDescription>"
              .formatted(work.pages()));
    }
    xml.append(entry.has(Trait.NO_ABSTRACT) ? "" : element("abstract", work.abstractText()));
    subjects();
    host();
    references();
    if (!entry.doi().isEmpty()) {
      xml.append("<identifier type=\"doi\">").append(entry.doi()).append("</identifier>");
    }
    if (places.areTold()) {
      location();
    }
    supply();
    return xml.append("</mods>").toString();
  }

  private void titles() {
    xml.append("<titleInfo>").append(element("title", entry.titleAsShown())).append("</titleInfo>");
    work.original()
        .ifPresent(
            original ->
                xml.append("<titleInfo type=\"alternative\" displayLabel=\"original\" lang=\"")
                    .append(work.language())
                    .append("\">")
                    .append(element("title", original))
                    .append("</titleInfo>"));
  }

  private void name(Person person) {
    if (person.isBody()) {
      xml.append("<name type=\"corporate\">")
          .append(element("namePart", person.family()))
          .append("</name>");
      return;
    }
    String given = entry.has(Trait.INITIALS) ? person.initials() : person.given();
    xml.append(
        "<name type=\"personal\"><namePart type=\"family\">%s</namePart><namePart type=\"given\">%s</namePart>"
            .formatted(escape(person.family()), escape(given)));
    if (!person.orcid().isEmpty()) {
      xml.append("<nameIdentifier type=\"orcid\">" + person.orcid() + "</nameIdentifier>");
    }
    xml.append("</name>");
  }

  private String publisher() {
    return entry.version().equals("preprint")
        ? "Early Light Preprints"
        : work.journal().map(j -> j.publisher()).orElse(work.isPart() ? "" : work.container());
  }

  private void subjects() {
    if (!entry.has(Trait.NO_HEADINGS)) {
      for (Topic topic : work.topics()) {
        xml.append(
            "<subject authority=\"night-ecology\" valueURI=\"%s\"><topic>%s</topic></subject>"
                .formatted(topic.uri(), escape(topic.label())));
      }
    }
    for (String keyword : work.keywords()) {
      xml.append("<subject>").append(element("topic", keyword)).append("</subject>");
    }
  }

  private void host() {
    if (entry.version().equals("preprint")) {
      return;
    }
    if (work.journal().isEmpty()) {
      if (work.isPart()) {
        xml.append("<relatedItem type=\"host\"><titleInfo>")
            .append(element("title", work.container()))
            .append("</titleInfo></relatedItem>");
      }
      return;
    }
    xml.append(
        """
        <relatedItem type="host"><titleInfo><title>%s</title></titleInfo>\
        <identifier type="issn">%s</identifier><part>\
        <detail type="volume"><number>%d</number></detail><detail type="issue"><number>%d</number></detail>%s\
        </part></relatedItem>"""
            .formatted(
                escape(work.journal().get().titleIn(work.date().getYear())),
                work.journal().get().issn(),
                work.volume(),
                work.issue(),
                entry.has(Trait.NO_PAGES)
                    ? ""
                    : "<extent unit=\"pages\"><start>%d</start><end>%d</end></extent>"
                        .formatted(work.firstPage(), work.lastPage())));
  }

  private void references() {
    for (int number : work.references().orElse(List.of())) {
      xml.append("<relatedItem type=\"references\"><identifier type=\"doi\">")
          .append(literature.work(number).doi())
          .append("</identifier></relatedItem>");
    }
  }

  private void location() {
    xml.append("<location>");
    if (entry.version().equals("preprint")) {
      url("raw object", places.preprint(work));
    } else {
      url("object in context", places.page(work));
      if (work.facts().open()) {
        url("raw object", places.html(work));
        url("raw object", places.pdf(work));
      }
    }
    xml.append("</location>");
  }

  private void url(String access, String address) {
    xml.append("<url access=\"%s\">%s</url>".formatted(access, escape(address)));
  }

  private void supply() {
    xml.append("<extension><supply xmlns=\"urn:quietlantern:supply:1\">")
        .append(element("version", entry.version()))
        .append(element("versionOf", entry.versionOf()))
        .append(
            element(
                "access",
                work.facts().open() || entry.version().equals("preprint") ? "open" : "closed"));
    if (!entry.has(Trait.NO_HEADINGS)) {
      work.topics().stream().filter(Topic::central).forEach(this::central);
    }
    facts(work.facts());
    for (Entry.Notice notice : entry.notices()) {
      xml.append(
          "<notice kind=\"%s\" date=\"%s\">%s</notice>"
              .formatted(notice.kind(), notice.date(), notice.doi()));
    }
    work.about().ifPresent(n -> xml.append(element("noticeOf", literature.work(n).doi())));
    xml.append("</supply></extension>");
  }

  private void central(Topic topic) {
    xml.append("<central valueURI=\"%s\"/>".formatted(topic.uri()));
    for (String aspect : topic.aspects()) {
      xml.append("<aspect valueURI=\"%s\">%s</aspect>".formatted(topic.uri(), escape(aspect)));
    }
  }

  private void facts(Work.Facts facts) {
    xml.append(element("study", facts.studyKind()))
        .append(element("taxon", facts.taxon()))
        .append(element("region", facts.region()));
    facts.lifeStages().forEach(stage -> xml.append(element("lifeStage", stage)));
    facts.sexes().forEach(sex -> xml.append(element("sex", sex)));
    xml.append(element("figures", facts.figures() ? "yes" : "no"))
        .append(element("references", work.references().isPresent() ? "known" : "unknown"));
  }
}
