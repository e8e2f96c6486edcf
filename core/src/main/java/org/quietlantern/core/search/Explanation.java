package org.quietlantern.core.search;

import java.util.List;
import org.quietlantern.core.query.Field;

/** That one word or phrase of a line, as typed, was met in these fields of a publication. */
public record Explanation(String line, String typed, List<Field> fields) {
  public Explanation {
    fields = List.copyOf(fields);
  }
}
