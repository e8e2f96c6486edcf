package org.quietlantern.server.holdings;

import java.util.List;
import java.util.Optional;
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
    return new Journals(
        mapper.journals().stream()
            .map(
                row ->
                    new Journals.Journal(
                        row.issn(),
                        row.title(),
                        row.publisher(),
                        Optional.ofNullable(row.peerReviewedFrom())))
            .toList());
  }

  /** Takes in what a file says; answers its problems. Journals that it does not name stay. */
  @Transactional
  public List<String> take(String csv) {
    JournalsReader.Read read = JournalsReader.read(csv);
    for (Journals.Journal j : read.journals()) {
      mapper.journal(j.issn(), j.title(), j.publisher(), j.peerReviewedFrom().orElse(null));
    }
    if (!read.journals().isEmpty()) {
      editions.next(Editions.Kind.JOURNALS);
    }
    return read.problems();
  }
}
