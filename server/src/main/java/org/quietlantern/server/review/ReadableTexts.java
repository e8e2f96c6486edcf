package org.quietlantern.server.review;

import java.util.Collection;
import java.util.Set;

/** Knows whose text can be read, so that this place need not know how. */
public interface ReadableTexts {
  /** Of works (row numbers) those whose text a group can read now. */
  Set<Integer> of(int group, Collection<Integer> works);

  /** Another one wherever a group may read another text, though no work changed. */
  String asOf(int group);
}
