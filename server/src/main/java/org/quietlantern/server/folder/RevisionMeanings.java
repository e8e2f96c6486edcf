package org.quietlantern.server.folder;

import org.quietlantern.core.vocabulary.Headings;
import org.quietlantern.server.matching.KeptMeanings;
import org.quietlantern.server.vocabulary.BeforeRenaming;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Revisions, and the alerts on them, mean what they meant, whatever headings are called later. */
@Component
class RevisionMeanings implements BeforeRenaming {
  private static final int AT_ONCE = 500;
  private final SavedSearchMapper mapper;
  private final KeptMeanings meanings;

  RevisionMeanings(SavedSearchMapper mapper, KeptMeanings meanings) {
    this.mapper = mapper;
    this.meanings = meanings;
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public void headingsWillChange(Headings before) {
    meanings.keep(before, after -> mapper.naming(after, AT_ONCE), mapper::put);
  }
}
