package org.quietlantern.core.text;

import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.Locale;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

/**
 * A publication as an OpenURL 1.0 (ANSI/NISO Z39.88-2004): keys and encoded values, in the formats
 * for journals, books and dissertations of the San Antonio profile, level 1.
 */
public final class OpenUrl {
  private static final String FORMATS = "info:ofi/fmt:kev:mtx:";
  private final StringBuilder query = new StringBuilder();

  private OpenUrl() {}

  /** What stands behind the address of a resolver. {@code link}: the publication's stable one. */
  public static String of(Publication publication, String link) {
    return new OpenUrl().write(publication, link);
  }

  private String write(Publication publication, String link) {
    put("url_ver", "Z39.88-2004");
    put("ctx_ver", "Z39.88-2004");
    put("rft_val_fmt", FORMATS + format(publication.kind()));
    put("rft.genre", genre(publication.kind()));
    titles(publication);
    people(publication);
    publication.citedYear().ifPresent(year -> put("rft.date", Integer.toString(year)));
    Host host = publication.host();
    put("rft.issn", host.issn());
    put("rft.volume", host.volume());
    put("rft.issue", host.issue());
    put("rft.spage", host.firstPage());
    put("rft.epage", host.lastPage());
    put("rft.pub", publication.publisher());
    publication.isbns().stream().findFirst().ifPresent(isbn -> put("rft.isbn", isbn));
    put("rft_id", publication.doi().isEmpty() ? "" : "info:doi/" + publication.doi());
    put("rft_id", link);
    return query.toString();
  }

  private void titles(Publication publication) {
    String host = publication.host().title();
    switch (publication.kind()) {
      case BOOK -> put("rft.btitle", publication.title());
      case THESIS, REPORT -> put("rft.title", publication.title());
      case CHAPTER, CONFERENCE_PAPER -> {
        put("rft.atitle", publication.title());
        put("rft.btitle", host);
      }
      default -> {
        put("rft.atitle", publication.title());
        put("rft.jtitle", host);
      }
    }
  }

  private void people(Publication publication) {
    publication.authors().stream()
        .findFirst()
        .ifPresent(
            first -> {
              put("rft.aulast", first.family());
              put("rft.aufirst", first.given());
            });
    publication.authors().stream().skip(1).map(PersonName::spoken).forEach(a -> put("rft.au", a));
  }

  private static String format(Kind kind) {
    return switch (kind) {
      case BOOK, CHAPTER, REPORT, CONFERENCE_PAPER -> "book";
      case THESIS -> "dissertation";
      default -> "journal";
    };
  }

  private static String genre(Kind kind) {
    return switch (kind) {
      case BOOK -> "book";
      case CHAPTER -> "bookitem";
      case REPORT -> "report";
      case CONFERENCE_PAPER -> "proceeding";
      case PREPRINT -> "preprint";
      case THESIS -> "";
      default -> "article";
    };
  }

  private void put(String key, String value) {
    if (!value.isEmpty()) {
      query.append(query.isEmpty() ? "" : "&").append(key).append('=').append(encoded(value));
    }
  }

  /** RFC 3986, 2.1: everything but unreserved letters. */
  public static String encoded(String value) {
    StringBuilder text = new StringBuilder();
    for (byte one : value.getBytes(StandardCharsets.UTF_8)) {
      boolean plain =
          (one >= 'a' && one <= 'z')
              || (one >= 'A' && one <= 'Z')
              || (one >= '0' && one <= '9')
              || "-._~".indexOf(one) >= 0;
      if (plain) {
        text.append((char) one);
      } else {
        text.append('%').append(HexFormat.of().toHexDigits(one).toUpperCase(Locale.ROOT));
      }
    }
    return text.toString();
  }
}
