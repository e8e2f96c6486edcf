package org.quietlantern.core.search;

import java.util.Optional;
import org.quietlantern.core.query.Strategy;

/** Finds the strategies that held lines name. */
public interface Library {
  /** Knows none. */
  Library EMPTY = name -> Optional.empty();

  Optional<Strategy> find(String name);
}
