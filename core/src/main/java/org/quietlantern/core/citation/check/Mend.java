package org.quietlantern.core.citation.check;

import java.util.List;
import org.quietlantern.core.publication.Publication;

/**
 * What a group reads in a field instead of what is supplied (rule C3).
 *
 * @param supplied what was supplied when it was mended
 */
public record Mend(CitedField field, String supplied, String value) {
  /** Whether the same is supplied as when it was mended; else it does not count. */
  public boolean counts(Publication suppliedNow) {
    return field.of(suppliedNow).equals(supplied);
  }

  /** A work as a group reads it. */
  public static Publication read(Publication supplied, List<Mend> mends) {
    Publication read = supplied;
    for (Mend mend : mends) {
      if (mend.counts(supplied)) {
        read = mend.field().with(read, mend.value());
      }
    }
    return read;
  }

  /** That a mend does not count any more, with what it was. */
  public Fault changedSince() {
    return Fault.mended(
        Fault.Kind.CHANGED,
        field,
        "The %s was mended when another one was supplied; the source has changed it since."
            .formatted(field.words()),
        value,
        false);
  }
}
