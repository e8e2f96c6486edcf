package org.quietlantern.server.search;

import java.time.Instant;
import java.util.List;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.query.Span;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.citing.CitationsShown;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.review.Readings;

/**
 * Everything that is shown of one publication beside a list or on its own page.
 *
 * @param authors names as they are spoken
 * @param stableLink the permanent address, open to anyone
 * @param citation as the group cites, without looks
 * @param cited as the group cites
 * @param notices what was published about it since; none for most
 * @param why the words of the search that met it, and where
 * @param inside where it was met inside its text, if it was
 * @param said what members of the group say of it
 * @param read who of the group says to have read it
 * @param people everybody who took part, in the order of the source
 * @param numbers its DOI and others
 * @param mayRemark whether the reader may say something of it
 * @param issued when the version appeared whose place is shown, as far as that is known
 */
public record Leaf(
    Summary publication,
    List<String> authors,
    HostShown host,
    String publisher,
    String doi,
    String language,
    String abstractText,
    List<HeadingShown> headings,
    List<String> keywords,
    String citation,
    CitationsShown cited,
    String stableLink,
    List<NoticeShown> notices,
    String lamp,
    List<Folders.FolderName> folders,
    List<Span> litTitle,
    List<Span> litAbstract,
    List<WhyShown> why,
    @Nullable InsideShown inside,
    List<SaidShown> said,
    List<Readings.ReadShown> read,
    List<PersonShown> people,
    List<NumberShown> numbers,
    @Nullable String issued,
    boolean mayRemark) {

  /** Somebody who took part, with what is known of them; parts that are not known are empty. */
  public record PersonShown(String name, String role, String orcid, List<String> affiliations) {
    static PersonShown of(Contributor person) {
      return new PersonShown(
          person.name().spoken(), person.role(), person.orcid(), person.affiliations());
    }
  }

  /** A number of the work in a register; {@code address}: where it leads, if it leads anywhere. */
  public record NumberShown(String scheme, String value, @Nullable String address) {}

  /** The journal or book around it; unknown parts are empty. */
  public record HostShown(
      String title, String issn, String volume, String issue, String firstPage, String lastPage) {
    static HostShown of(Host host) {
      return new HostShown(
          host.title(),
          host.issn(),
          host.volume(),
          host.issue(),
          host.firstPage(),
          host.lastPage());
    }
  }

  /** What was published about it since: a correction, a retraction; when and under which DOI. */
  public record NoticeShown(String kind, String date, String doi) {
    static NoticeShown of(Relations.Notice notice) {
      return new NoticeShown(notice.kind(), notice.date(), notice.doi());
    }
  }

  /** A heading; {@code central} where the publication is mainly about it. */
  public record HeadingShown(String label, boolean central) {
    static HeadingShown of(HeadingUse use) {
      return new HeadingShown(use.label(), use.central());
    }
  }

  /** A word of a line and the fields in which it was met. */
  public record WhyShown(String line, String typed, List<String> fields) {}

  /** A sentence of its text, lit; {@code label}: the number on its page, empty for none. */
  public record InsideShown(String label, String text, List<Span> lit) {}

  /** What one member says. */
  public record SaidShown(
      String member, String name, String lamp, String mark, String reason, @Nullable Instant at) {}
}
