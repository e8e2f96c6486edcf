package org.quietlantern.server.trail;

import org.quietlantern.core.vocabulary.Headings;
import org.quietlantern.server.matching.KeptMeanings;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.vocabulary.BeforeRenaming;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Steps mean what they meant, whatever headings are called later. */
@Component
class TrailMeanings implements BeforeRenaming {
  private static final int AT_ONCE = 500;
  private final TrailMapper mapper;
  private final KeptMeanings meanings;

  TrailMeanings(TrailMapper mapper, KeptMeanings meanings) {
    this.mapper = mapper;
    this.meanings = meanings;
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public void headingsWillChange(Headings before) {
    meanings.keep(
        before,
        after -> mapper.naming(after, AT_ONCE),
        (id, text) -> mapper.put(id, text, Hash.of(text), Hash.of(id + text)));
  }
}
