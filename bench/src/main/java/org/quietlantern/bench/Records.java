package org.quietlantern.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;
import org.quietlantern.core.search.IndexEntry;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.ManyWorks;
import org.quietlantern.standins.corpus.Work;

/** The made-up literature, as much of it as wanted, as entries for the index. */
final class Records {
  private static final List<List<String>> SOURCES =
      List.of(List.of("index"), List.of("repository"), List.of("index", "repository"));

  private Records() {}

  /** One after the other; the same each time. */
  static Stream<IndexEntry> of(int size) {
    return ManyWorks.of(Literature.SEED, size).map(Records::entry);
  }

  private static IndexEntry entry(Work work) {
    int id = work.number();
    return new IndexEntry(
        id,
        "p" + id,
        IndexEntry.SHARED,
        Instant.EPOCH.plusSeconds(id),
        SOURCES.get(id % SOURCES.size()),
        read(work));
  }

  private static Publication read(Work work) {
    int year = work.date().getYear();
    return new Publication(
        work.title(),
        work.original().orElse(""),
        Kind.named(work.kind()).orElse(Kind.ARTICLE),
        VersionKind.FINAL,
        work.authors().stream().map(a -> new PersonName(a.family(), a.given())).toList(),
        Optional.of(new PartialDate(year, work.date().getMonthValue(), 0)),
        work.journal()
            .map(j -> new Host(j.titleIn(year), j.issn(), "", "", "", ""))
            .orElse(Host.NONE),
        "",
        work.language(),
        work.abstractText(),
        work.topics().stream()
            .map(t -> new HeadingUse(t.uri(), t.label(), t.central(), List.of()))
            .toList(),
        work.keywords(),
        work.doi(),
        Relations.NONE,
        work.pages(),
        work.facts().open(),
        studied(work.facts()),
        Optional.of(work.facts().figures()),
        new Cited(work.references().isPresent(), List.of()));
  }

  private static Studied studied(Work.Facts facts) {
    return new Studied(
        known(facts.studyKind()),
        known(facts.taxon()),
        known(facts.region()),
        facts.lifeStages(),
        facts.sexes());
  }

  private static List<String> known(String label) {
    return label.isEmpty() ? List.of() : List.of(label);
  }
}
