package org.quietlantern.core.reference;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Identifier;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

/**
 * What files of references say of a work. Of headings, what was studied, and who has it they know
 * nothing.
 *
 * @param pages how long it is; 0 if unknown
 */
record ReadWork(
    Kind kind,
    String title,
    List<Contributor> people,
    Optional<PartialDate> date,
    Host host,
    String publisher,
    String language,
    String abstractText,
    List<String> keywords,
    String doi,
    int pages,
    List<Identifier> identifiers) {

  /** Those whose check digit is right, of one field; several have commas or semicolons between. */
  static List<Identifier> isbns(String written) {
    return Stream.of(written.split("[,;]"))
        .flatMap(one -> Identifier.of(Identifier.ISBN, one).stream())
        .distinct()
        .toList();
  }

  Publication publication() {
    return publication("");
  }

  /** {@code originalTitle}: in the language of the work, where its title is a translation. */
  Publication publication(String originalTitle) {
    return new Publication(
        title,
        originalTitle,
        kind,
        VersionKind.of(kind),
        Contributor.authors(people),
        date,
        host,
        publisher,
        language,
        abstractText,
        List.of(),
        keywords,
        doi,
        Relations.NONE,
        pages,
        false,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN,
        date,
        identifiers,
        people,
        List.of());
  }
}
