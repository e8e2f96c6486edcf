package org.quietlantern.core.search;

import java.util.List;

/**
 * What a search found in one state of the catalogue.
 *
 * @param count how many publications match, exactly
 * @param publicIds the first {@value #LISTED} of them, in order
 */
public record SearchResult(int count, List<String> publicIds) {
  public static final int LISTED = 1000;

  public SearchResult {
    publicIds = List.copyOf(publicIds);
  }
}
