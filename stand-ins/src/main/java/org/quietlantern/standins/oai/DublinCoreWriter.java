package org.quietlantern.standins.oai;

import static org.quietlantern.standins.words.XmlText.element;

import org.quietlantern.standins.corpus.Journal;
import org.quietlantern.standins.corpus.Person;
import org.quietlantern.standins.corpus.Work;
import org.quietlantern.standins.host.TextPlaces;
import org.quietlantern.standins.supply.Entry;
import org.quietlantern.standins.supply.Trait;

/** An entry in unqualified Dublin Core, as OAI-PMH 2.0 (2.5) asks of every source. */
final class DublinCoreWriter {
  private DublinCoreWriter() {}

  static String write(Entry entry, TextPlaces places) {
    Work work = entry.work();
    StringBuilder xml =
        new StringBuilder(
            "<oai_dc:dc xmlns:oai_dc=\"http://www.openarchives.org/OAI/2.0/oai_dc/\""
                + " xmlns:dc=\"http://purl.org/dc/elements/1.1/\">");
    xml.append(element("dc:title", entry.titleAsShown()));
    work.original().ifPresent(original -> xml.append(element("dc:title", original)));
    work.authors().forEach(a -> xml.append(element("dc:creator", creator(a, entry))));
    work.keywords().forEach(k -> xml.append(element("dc:subject", k)));
    xml.append(entry.has(Trait.NO_ABSTRACT) ? "" : element("dc:description", work.abstractText()));
    xml.append(element(work.isPart() ? "dc:source" : "dc:publisher", work.container()));
    xml.append(element("dc:date", entry.dateAsShown()));
    xml.append(element("dc:type", work.kind()));
    xml.append(element("dc:type", entry.version() + "Version"));
    xml.append(element("dc:language", work.language()));
    xml.append(element("dc:identifier", local(entry.identifier())));
    xml.append(entry.doi().isEmpty() ? "" : element("dc:identifier", "doi:" + entry.doi()));
    if (places.areTold() && work.facts().open()) {
      xml.append(element("dc:identifier", places.accepted(work)));
    }
    work.journal().ifPresent(j -> xml.append(element("dc:source", source(j, entry))));
    xml.append(element("dc:rights", work.facts().open() ? "open access" : "restricted access"));
    return xml.append("</oai_dc:dc>").toString();
  }

  private static String creator(Person person, Entry entry) {
    if (person.isBody()) {
      return person.family();
    }
    return person.family()
        + ", "
        + (entry.has(Trait.INITIALS) ? person.initials() : person.given());
  }

  /** The number that the source itself uses. */
  private static String local(String identifier) {
    return "urn:" + identifier.substring("oai:".length()).replace(".example:", ":");
  }

  /** As people write it: title, volume (issue), pages. */
  private static String source(Journal journal, Entry entry) {
    Work work = entry.work();
    String where =
        "%s, %d(%d)".formatted(journal.titleIn(work.date().getYear()), work.volume(), work.issue());
    return entry.has(Trait.NO_PAGES)
        ? where
        : where + ", " + work.firstPage() + "-" + work.lastPage();
  }
}
