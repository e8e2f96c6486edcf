package org.quietlantern.core.reference;

import java.util.Locale;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.VersionKind;

/**
 * Writes publications in the tagged RIS format: a two-letter tag, two spaces, a hyphen, a space,
 * the value; CR LF ends a line, {@code ER} an entry. Only types and tags that unrelated programs
 * read are used; what they cannot say stands in M3. The year is that of the version whose volume
 * and pages are written (rule C).
 */
public final class RisWriter implements ReferenceWriter {
  private final Included included;

  public RisWriter(Included included) {
    this.included = included;
  }

  @Override
  public String entry(Reference reference) {
    StringBuilder out = new StringBuilder();
    Publication publication = reference.work();
    line(out, "TY", type(publication.kind()));
    line(out, "ID", reference.key());
    line(out, "TI", publication.title());
    people(out, publication);
    publication.citedYear().ifPresent(year -> line(out, "PY", Integer.toString(year)));
    publication.issued().ifPresent(date -> line(out, "DA", date.toString().replace('-', '/')));
    line(out, "M3", form(publication));
    host(out, publication);
    line(out, "PB", publication.publisher());
    line(out, "LA", publication.language());
    line(out, "DO", publication.doi());
    if (included.links()) {
      line(out, "UR", reference.link());
    }
    if (included.abstracts()) {
      line(out, "AB", publication.abstractText());
    }
    if (included.keywords()) {
      Keywords.of(publication).forEach(word -> line(out, "KW", word));
    }
    publication.relations().notices().forEach(notice -> line(out, "N1", said(notice)));
    if (included.notes()) {
      reference.notes().forEach(note -> line(out, "N1", note));
      line(out, "N1", reference.annotation());
    }
    return out.append("ER  - \r\n\r\n").toString();
  }

  private static void people(StringBuilder out, Publication publication) {
    for (Contributor one : publication.contributors()) {
      if (one.isAuthor()) {
        line(out, "AU", name(one));
      } else if (one.role().equals("editor")) {
        line(out, "ED", name(one));
      } else if (one.role().equals("translator")) {
        line(out, "TA", name(one));
      }
    }
  }

  /**
   * A comma divides family and given names. Behind a name of several words that is whole it says
   * that there is nothing to divide; within the name of a body it would divide one.
   */
  private static String name(Contributor one) {
    String whole = one.body() ? one.name().family().replace(",", "") : one.name().sorted();
    return one.isWhole() ? whole + "," : whole;
  }

  private static String said(Relations.Notice notice) {
    String kind =
        notice.kind().substring(0, 1).toUpperCase(Locale.ROOT) + notice.kind().substring(1);
    return kind
        + (notice.date().isEmpty() ? "" : ", " + notice.date())
        + (notice.doi().isEmpty() ? "" : ", doi:" + notice.doi());
  }

  /** What of its kind and state the type does not tell. */
  private static String form(Publication publication) {
    String kind = publication.kind() == Kind.ARTICLE ? "" : publication.kind().word();
    String version = publication.version() == VersionKind.ACCEPTED ? "accepted manuscript" : "";
    return kind.isEmpty() || version.isEmpty() ? kind + version : kind + ", " + version;
  }

  private static void host(StringBuilder out, Publication publication) {
    Host host = publication.host();
    // T2 is read by every program; JO and BT by those that look for the older tags.
    line(out, "T2", host.title());
    line(out, isPart(publication.kind()) ? "BT" : "JO", host.title());
    line(out, "SN", host.issn());
    publication.isbns().forEach(isbn -> line(out, "SN", isbn));
    line(out, "VL", host.volume());
    line(out, "IS", host.issue());
    line(out, "SP", host.firstPage());
    line(out, "EP", host.lastPage());
  }

  private static boolean isPart(Kind kind) {
    return kind == Kind.CHAPTER || kind == Kind.CONFERENCE_PAPER;
  }

  private static String type(Kind kind) {
    return switch (kind) {
      case ARTICLE, REVIEW, EDITORIAL, LETTER, NOTICE -> "JOUR";
      case PREPRINT -> "UNPB";
      case BOOK -> "BOOK";
      case CHAPTER -> "CHAP";
      case THESIS -> "THES";
      case REPORT -> "RPRT";
      case CONFERENCE_PAPER -> "CONF";
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
