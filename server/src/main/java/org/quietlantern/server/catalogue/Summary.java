package org.quietlantern.server.catalogue;

import java.time.LocalDate;
import java.util.List;
import org.quietlantern.core.holdings.Way;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.search.SearchContext;
import org.quietlantern.server.address.WayShown;
import org.quietlantern.server.platform.Nullable;

/**
 * What every list shows of a publication.
 *
 * @param where journal, book or publisher; empty if unknown
 * @param citedBy how many works here cite it
 * @param access one of the words of rule L7, for the reader's group today; {@code ground}: why so
 * @param until the last day that it holds, where one is known
 * @param way the first way to the text that is not known to be dead; absent where there is none
 * @param ahead whether it is dated later than today
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
    int citedBy,
    String access,
    String ground,
    @Nullable String until,
    @Nullable String published,
    LocalDate came,
    boolean withdrawn,
    boolean retracted,
    boolean ahead,
    @Nullable WayShown way) {

  /** {@code ways}: all to its text, in order. */
  public static Summary of(
      StoredPublication stored, SearchContext reader, Way way, List<WayShown> ways, int citedBy) {
    Publication publication = stored.publication();
    return new Summary(
        stored.pid(),
        publication.title(),
        publication.authors().stream().map(PersonName::family).toList(),
        publication.where(),
        publication.year().orElse(null),
        publication.kind().word(),
        publication.version().word(),
        publication.pages(),
        citedBy,
        way.access().word(),
        way.ground(),
        way.until().map(Object::toString).orElse(null),
        publication.date().map(Object::toString).orElse(null),
        stored.came().atZone(reader.zone()).toLocalDate(),
        stored.withdrawn(),
        publication.relations().isRetracted(),
        publication.date().filter(date -> date.earliest().isAfter(reader.today())).isPresent(),
        ways.stream().filter(w -> !w.isDead()).findFirst().orElse(null));
  }
}
