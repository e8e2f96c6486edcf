package org.quietlantern.core.reference;

import java.util.List;
import org.quietlantern.core.publication.Publication;

/**
 * A work as it stands in a file of references.
 *
 * @param key stays the same from file to file, so that taking it in again makes nothing twice
 * @param work as the group reads it
 * @param link that leads to it for good; empty for none
 * @param notes why members kept it, each on its own
 * @param annotation what stands below it in a bibliography; empty for none
 */
public record Reference(
    String key, Publication work, String link, List<String> notes, String annotation) {
  public Reference {
    notes = List.copyOf(notes);
  }

  /** A work of which nothing was said. */
  public static Reference of(String key, Publication work, String link) {
    return new Reference(key, work, link, List.of(), "");
  }
}
