package org.quietlantern.server.vocabulary;

import org.quietlantern.core.vocabulary.Headings;

/** Whoever keeps texts in which headings stand by name, and wants them to mean the same later. */
public interface BeforeRenaming {
  /** Names are about to change, in this transaction; so far they have these meanings. */
  void headingsWillChange(Headings before);
}
