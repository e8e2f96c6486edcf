package org.quietlantern.server.matching;

import java.util.Collection;
import java.util.Map;
import java.util.Set;
import org.quietlantern.server.group.Member;

/** Knows which texts a group has here, so that this place need not know how. */
public interface TextsAtHand {
  /**
   * Of some publications (row numbers) those whose text a member can read here at once, with the
   * version that it is of.
   */
  Map<Integer, String> of(Member who, Collection<Integer> publications);

  /** Of some publications (row numbers) those whose text members of a group have here. */
  Set<Integer> ofGroup(int group, Collection<Integer> publications);
}
