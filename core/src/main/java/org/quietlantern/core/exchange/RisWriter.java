package org.quietlantern.core.exchange;

import java.util.List;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

/**
 * Writes publications in the tagged RIS format: a two-letter tag, two spaces, a hyphen, a space,
 * the value; CR LF ends a line, {@code ER} an entry.
 */
public final class RisWriter {

  /**
   * A publication to write.
   *
   * @param key stays the same from export to export, so that importing again makes nothing twice
   * @param note why it was kept; empty if nobody said
   */
  public record Item(Publication publication, String key, String stableLink, String note) {}

  public String write(List<Item> items) {
    StringBuilder out = new StringBuilder();
    items.forEach(item -> entry(out, item));
    return out.toString();
  }

  private static void entry(StringBuilder out, Item item) {
    Publication publication = item.publication();
    line(out, "TY", type(publication.kind()));
    line(out, "ID", item.key());
    line(out, "TI", publication.title());
    for (PersonName author : publication.authors()) {
      line(out, "AU", author.sorted());
    }
    publication.year().ifPresent(year -> line(out, "PY", Integer.toString(year)));
    publication.date().ifPresent(date -> line(out, "DA", date.toString().replace('-', '/')));
    host(out, publication);
    line(out, "PB", publication.publisher());
    line(out, "LA", publication.language());
    line(out, "DO", publication.doi());
    line(out, "UR", item.stableLink());
    line(out, "AB", publication.abstractText());
    publication.headings().stream().map(HeadingUse::label).forEach(label -> line(out, "KW", label));
    publication.keywords().forEach(keyword -> line(out, "KW", keyword));
    line(out, "N1", item.note());
    out.append("ER  - \r\n\r\n");
  }

  private static void host(StringBuilder out, Publication publication) {
    Host host = publication.host();
    boolean journal =
        publication.kind() != Kind.CHAPTER && publication.kind() != Kind.CONFERENCE_PAPER;
    line(out, journal ? "JO" : "T2", host.title());
    line(out, "SN", host.issn());
    line(out, "VL", host.volume());
    line(out, "IS", host.issue());
    line(out, "SP", host.firstPage());
    line(out, "EP", host.lastPage());
  }

  private static String type(Kind kind) {
    return switch (kind) {
      case ARTICLE, REVIEW, EDITORIAL, LETTER, NOTICE -> "JOUR";
      case PREPRINT -> "UNPB";
      case BOOK -> "BOOK";
      case CHAPTER -> "CHAP";
      case THESIS -> "THES";
      case REPORT -> "RPRT";
      case CONFERENCE_PAPER -> "CPAPER";
      case DATASET -> "DATA";
    };
  }

  /** Line breaks inside a value would start a new line of the format. */
  private static void line(StringBuilder out, String tag, String value) {
    String oneLine = value.replaceAll("\\s+", " ").strip();
    if (!oneLine.isEmpty()) {
      out.append(tag).append("  - ").append(oneLine).append("\r\n");
    }
  }
}
