package org.quietlantern.server.holdings;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.holdings.Journal;
import org.quietlantern.core.holdings.Journals;
import org.quietlantern.core.holdings.JournalsReader;
import org.quietlantern.server.platform.Editions;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is known of journals, for the whole installation. */
@Service
public class KnownJournals {
  private final HoldingsMapper mapper;
  private final Editions editions;

  KnownJournals(HoldingsMapper mapper, Editions editions) {
    this.mapper = mapper;
    this.editions = editions;
  }

  /** As kept now; the caller keeps it for an edition. */
  @Transactional(readOnly = true)
  public Journals all() {
    return new Journals(mapper.journals().stream().map(KnownJournals::journal).toList());
  }

  private static Journal journal(HoldingsMapper.JournalRow row) {
    return new Journal(
        row.issn(),
        row.title(),
        row.publisher(),
        row.discipline(),
        Optional.ofNullable(row.since()),
        Optional.ofNullable(row.peerReviewedFrom()),
        row.formerTitle().isEmpty()
            ? List.of()
            : List.of(
                new Journal.Former(row.formerTitle(), Optional.ofNullable(row.formerUntil()))));
  }

  private static HoldingsMapper.JournalRow row(Journal journal) {
    Optional<Journal.Former> former = journal.former().stream().findFirst();
    return new HoldingsMapper.JournalRow(
        journal.issn(),
        journal.title(),
        journal.publisher(),
        journal.discipline(),
        journal.since().orElse(null),
        journal.peerReviewedFrom().orElse(null),
        former.map(Journal.Former::title).orElse(""),
        former.flatMap(Journal.Former::until).orElse(null));
  }

  /** Takes in what a file says; answers its problems. Journals that it does not name stay. */
  @Transactional
  public List<String> take(String csv) {
    JournalsReader.Read read = JournalsReader.read(csv);
    read.journals().forEach(journal -> mapper.journal(row(journal)));
    if (!read.journals().isEmpty()) {
      editions.next(Editions.Kind.JOURNALS);
    }
    return read.problems();
  }
}
