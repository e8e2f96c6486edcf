package org.quietlantern.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.VersionKind;
import org.quietlantern.core.search.Entry;
import org.quietlantern.standins.corpus.Corpus;
import org.quietlantern.standins.corpus.Revision;
import org.quietlantern.standins.corpus.Work;

/** The made-up literature, several seeds of it, as entries for the index. */
final class Records {
  private Records() {}

  static List<Entry> of(int size) {
    List<Entry> entries = new ArrayList<>(size);
    for (long seed = 1; entries.size() < size; seed++) {
      for (Revision revision : Corpus.of(seed)) {
        if (entries.size() < size) {
          int id = entries.size() + 1;
          entries.add(
              new Entry(id, "p" + id, Instant.EPOCH.plusSeconds(id), read(revision.work())));
        }
      }
    }
    return entries;
  }

  private static Publication read(Work work) {
    return new Publication(
        work.title(),
        Kind.named(work.kind()).orElse(Kind.ARTICLE),
        VersionKind.FINAL,
        work.authors().stream().map(a -> new PersonName(a.family(), a.given())).toList(),
        Optional.of(new PartialDate(work.date().getYear(), work.date().getMonthValue(), 0)),
        work.journal() == null
            ? Host.NONE
            : new Host(work.journal().title(), work.journal().issn(), "", "", "", ""),
        "",
        work.language(),
        work.abstractText(),
        work.topics().stream()
            .map(t -> new HeadingUse(t.uri(), t.label(), t.central(), List.of()))
            .toList(),
        work.keywords(),
        work.doi(),
        "",
        work.pages(),
        work.open());
  }
}
