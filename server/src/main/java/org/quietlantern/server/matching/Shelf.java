package org.quietlantern.server.matching;

import java.util.Optional;
import org.quietlantern.core.search.Library;

/** Finds strategies that lines hold by names of one sort; each sort is kept by a feature. */
public interface Shelf {
  /** What the names it knows begin with: {@code s:} or {@code q:}. */
  String prefix();

  /** A strategy of a group. {@code name}: without the prefix. */
  Optional<StrategyBody> find(int group, String name);

  /** What a name that follows a folder lists; of all others nothing. */
  default Optional<Library.Listed> listed(int group, String name) {
    return Optional.empty();
  }

  /** The name of the strategy that has taken its place, if one has. */
  default Optional<String> newer(int group, String name) {
    return Optional.empty();
  }

  /** What to call it in a sentence, if it is there. */
  Optional<String> title(int group, String name);
}
