package org.quietlantern.core.citation.shelf;

import java.util.List;
import java.util.Set;

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

  /** Styles in which each of sixteen kinds of works came out right (docs/citing.md). */
  private static final Set<String> CHECKED = Set.of("ieee");

  /** Whether what comes out was compared by hand with the published rules, without a fault. */
  public boolean isChecked() {
    return CHECKED.contains(isDependent() ? parent : name);
  }

  /** Whether it stands for another one, as most styles of journals do. */
  public boolean isDependent() {
    return !parent.isEmpty();
  }
}
