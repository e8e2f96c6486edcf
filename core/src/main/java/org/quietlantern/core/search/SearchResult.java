package org.quietlantern.core.search;

import java.util.List;

/**
 * What a search found in one state of the catalogue.
 *
 * @param count how many publications match, exactly
 * @param listed how many of them a filter of the list leaves; all without one
 * @param publicIds the first {@value #LISTED} of those, in order
 */
public record SearchResult(int count, int listed, List<String> publicIds) {
  public static final int LISTED = 1000;

  public SearchResult {
    publicIds = List.copyOf(publicIds);
  }
}
