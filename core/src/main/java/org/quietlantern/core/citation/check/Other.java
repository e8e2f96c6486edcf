package org.quietlantern.core.citation.check;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;

/** A work with one thing otherwise. */
record Other(Publication work) {
  Publication title(String title) {
    return with(
        title, work.contributors(), work.host(), work.publisher(), work.doi(), work.issued());
  }

  Publication contributors(List<Contributor> people) {
    return with(work.title(), people, work.host(), work.publisher(), work.doi(), work.issued());
  }

  Publication host(Host host) {
    return with(
        work.title(), work.contributors(), host, work.publisher(), work.doi(), work.issued());
  }

  Publication publisher(String publisher) {
    return with(
        work.title(), work.contributors(), work.host(), publisher, work.doi(), work.issued());
  }

  Publication doi(String doi) {
    return with(
        work.title(), work.contributors(), work.host(), work.publisher(), doi, work.issued());
  }

  Publication issued(Optional<PartialDate> issued) {
    return with(
        work.title(), work.contributors(), work.host(), work.publisher(), work.doi(), issued);
  }

  private Publication with(
      String title,
      List<Contributor> people,
      Host host,
      String publisher,
      String doi,
      Optional<PartialDate> issued) {
    return new Publication(
        title,
        work.originalTitle(),
        work.kind(),
        work.version(),
        Contributor.authors(people),
        work.date(),
        host,
        publisher,
        work.language(),
        work.abstractText(),
        work.headings(),
        work.keywords(),
        doi,
        work.relations(),
        work.pages(),
        work.open(),
        work.studied(),
        work.figures(),
        work.cited(),
        issued,
        work.identifiers(),
        people,
        work.copies());
  }
}
