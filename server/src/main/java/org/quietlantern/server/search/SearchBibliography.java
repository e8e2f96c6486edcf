package org.quietlantern.server.search;

import java.util.Arrays;
import org.quietlantern.core.citation.file.BibliographyFile;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** All that a search finds, as a bibliography in the group's style. */
@Service
@Transactional(readOnly = true)
class SearchBibliography {
  /** Entries of one bibliography. */
  private static final int MOST = 5_000;

  private final Trail trail;
  private final Matching matching;
  private final Publications publications;
  private final Citing citing;

  SearchBibliography(Trail trail, Matching matching, Publications publications, Citing citing) {
    this.trail = trail;
    this.matching = matching;
    this.publications = publications;
    this.citing = citing;
  }

  /** Refused where there are too many, with how many there are. */
  BibliographyFile of(Member who, String q) {
    Strategy strategy = trail.get(who, q).strategy();
    int[] found = matching.look(who, look -> look.snapshot().all(look.compile(strategy)).toArray());
    if (found.length > MOST) {
      throw Refusal.unusable(
          "too-many",
          "%,d publications are more than the %,d that a bibliography holds; narrow the search, or export them as references."
              .formatted(found.length, MOST));
    }
    return citing.bibliography(
        who,
        trail.spoken(strategy),
        publications.byId(Viewer.of(who), Arrays.stream(found).boxed().toList()));
  }
}
