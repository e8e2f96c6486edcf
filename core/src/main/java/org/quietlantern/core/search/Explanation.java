package org.quietlantern.core.search;

import java.util.Collection;
import java.util.List;
import java.util.stream.Collectors;
import org.quietlantern.core.query.Field;

/** That one word or phrase of a line, as typed, was met in these fields of a publication. */
public record Explanation(String line, String typed, List<Field> fields) {
  public Explanation {
    fields = List.copyOf(fields);
  }

  /** As people read it: {@code bats in title, abstract}. */
  public static String said(String typed, Collection<Field> fields) {
    return typed + " in " + fields.stream().map(Field::word).collect(Collectors.joining(", "));
  }
}
