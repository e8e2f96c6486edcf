package org.quietlantern.core.search;

import java.util.List;
import java.util.Optional;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Strategy;

/** Finds the strategies that held lines name. */
public interface Library {
  /** Knows none. */
  Library EMPTY = name -> Optional.empty();

  Optional<Strategy> find(String name);

  /**
   * Works that a name lists one by one.
   *
   * @param field in which each has one of the values as a whole: public ids of works, or DOIs of
   *     which they cite one
   */
  record Listed(Field field, List<String> values) {}

  /** Of names that follow what is kept in a folder. */
  default Optional<Listed> listed(String name) {
    return Optional.empty();
  }
}
