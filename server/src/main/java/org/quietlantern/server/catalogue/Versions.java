package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.exchange.SuppliedRecord;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.VersionKind;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What each source supplied of one work: its versions, beside each other. */
@Service
@Transactional(readOnly = true)
public class Versions {
  private final CatalogueMapper mapper;
  private final Publications publications;

  /**
   * A version as a source has it. What it does not say is empty.
   *
   * @param version {@code final}, {@code accepted} or {@code preprint}
   * @param date when this version appeared, as far as it is known
   * @param where the journal, book or publisher
   * @param withdrawn whether the source has taken it back
   */
  public record VersionShown(
      String source,
      String identifier,
      String version,
      String title,
      @Nullable String date,
      String where,
      String doi,
      boolean open,
      boolean withdrawn,
      Instant came) {}

  /**
   * That a work changed.
   *
   * @param kinds in which respects
   */
  public record PublicationChange(Instant at, List<String> kinds) {}

  Versions(CatalogueMapper mapper, Publications publications) {
    this.mapper = mapper;
    this.publications = publications;
  }

  /**
   * The latest form first, the most believed source first; those that could not be read are left
   * out.
   */
  public List<VersionShown> of(Viewer viewer, String pid) {
    return mapper.records(viewer.group(), publications.get(viewer, pid).id()).stream()
        .map(row -> new Reading(row, RecordReader.read(row.raw())))
        .filter(reading -> reading.supplied() instanceof SuppliedRecord.Read)
        .sorted(Comparator.comparing(Reading::form).reversed())
        .map(reading -> version(reading.row(), reading.publication()))
        .toList();
  }

  /** What changed of a work since it came, the latest first. */
  public List<PublicationChange> history(Viewer viewer, String pid) {
    return mapper.history(viewer.group(), publications.get(viewer, pid).id()).stream()
        .map(row -> new PublicationChange(row.at(), List.of(row.kinds())))
        .toList();
  }

  /** A record with what could be read in it. */
  private record Reading(CatalogueMapper.RecordRow row, SuppliedRecord supplied) {
    Publication publication() {
      return ((SuppliedRecord.Read) supplied).publication();
    }

    VersionKind form() {
      return publication().version();
    }
  }

  private static VersionShown version(CatalogueMapper.RecordRow row, Publication publication) {
    return new VersionShown(
        row.source(),
        row.identifier(),
        publication.version().word(),
        publication.title(),
        publication.date().map(Object::toString).orElse(null),
        publication.where(),
        publication.doi(),
        publication.open(),
        row.deleted(),
        row.came());
  }
}
