package org.quietlantern.core.publication;

import java.util.List;

/**
 * What a work cites.
 *
 * @param known whether a source knows its list of references; an empty list may be known
 * @param dois of the works cited, lower case
 */
public record Cited(boolean known, List<String> dois) {
  public static final Cited UNKNOWN = new Cited(false, List.of());

  public Cited {
    dois = List.copyOf(dois);
    if (!known && !dois.isEmpty()) {
      throw new IllegalArgumentException("an unknown list with " + dois.size() + " references");
    }
  }
}
