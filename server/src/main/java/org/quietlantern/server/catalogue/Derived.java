package org.quietlantern.server.catalogue;

import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What is derived of the catalogue and kept follows its changes, each by its own name. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
public class Derived {
  private final DerivedMapper mapper;
  private final Publications publications;

  /** Brings what is derived up to changes: those with numbers above {@code after}. */
  @FunctionalInterface
  public interface Since {
    void bring(long after, long upTo);
  }

  Derived(DerivedMapper mapper, Publications publications) {
    this.mapper = mapper;
    this.publications = publications;
  }

  /**
   * Follows once.
   *
   * @param what its name in the table of what is derived
   * @param whole works all of it out, where it never followed
   */
  public void follow(String what, Runnable whole, Since since) {
    long after = mapper.upTo(what);
    long latest = publications.latest();
    if (after < 0) {
      whole.run();
    } else if (after < latest) {
      since.bring(after, latest);
    }
    if (after != latest) {
      mapper.setUpTo(what, latest);
    }
  }
}
