package org.quietlantern.core.citation.shelf;

import java.util.List;

/**
 * What a style says of itself (CSL 1.0.2, <i>Info</i>).
 *
 * @param name of its file without the ending, {@code apa}; it is unique
 * @param title with its edition
 * @param shortTitle empty for none
 * @param format {@code author-date}, {@code numeric}, {@code note} …; empty if unsaid
 * @param fields disciplines in small letters, {@code social science}
 * @param issns of the journals that it is for
 * @param parent name of the style that it follows in all; empty for one of its own
 * @param language that it is written for, {@code en-GB}; empty for any
 */
public record StyleInfo(
    String name,
    String title,
    String shortTitle,
    String format,
    List<String> fields,
    List<String> issns,
    String parent,
    String language) {
  public StyleInfo {
    fields = List.copyOf(fields);
    issns = List.copyOf(issns);
  }

  /** Whether it stands for another one, as most styles of journals do. */
  public boolean isDependent() {
    return !parent.isEmpty();
  }
}
