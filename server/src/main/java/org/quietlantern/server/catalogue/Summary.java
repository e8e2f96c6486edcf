package org.quietlantern.server.catalogue;

import java.time.LocalDate;
import java.util.List;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.server.platform.Nullable;

/**
 * What every list shows of a publication.
 *
 * @param where journal, book or publisher; empty if unknown
 * @param access one of the words of rule L7
 * @param version {@code preprint}, {@code accepted} or {@code final}
 */
public record Summary(
    String id,
    String title,
    List<String> authors,
    String where,
    @Nullable Integer year,
    String kind,
    String version,
    int pages,
    String access,
    @Nullable String published,
    LocalDate came,
    boolean withdrawn,
    boolean retracted) {

  public static Summary of(Stored stored, java.time.ZoneId zone) {
    Publication publication = stored.publication();
    return new Summary(
        stored.pid(),
        publication.title(),
        publication.authors().stream().map(PersonName::family).toList(),
        publication.host().isKnown() ? publication.host().title() : publication.publisher(),
        publication.year().orElse(null),
        publication.kind().word(),
        publication.version().word(),
        publication.pages(),
        access(publication),
        publication.date().map(Object::toString).orElse(null),
        stored.came().atZone(zone).toLocalDate(),
        stored.withdrawn(),
        publication.relations().isRetracted());
  }

  /** Holdings and a lending library come later; until then only these can be told. */
  private static String access(Publication publication) {
    if (publication.open()) {
      return "open to all";
    }
    return publication.abstractText().isEmpty() ? "no way known" : "abstract only";
  }
}
