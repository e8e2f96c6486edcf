package org.quietlantern.core.reference;

import java.util.regex.Pattern;

/** First and last page; either may be empty. */
record PageRun(String first, String last) {
  private static final Pattern DASH = Pattern.compile("\\s*[–—-]+\\s*");

  /** {@code 12–30}, {@code 12 -- 30}, {@code e104}; what begins with a hyphen is one page. */
  static PageRun of(String written) {
    String pages = DASH.matcher(written).replaceAll("-");
    int between = pages.indexOf('-');
    return between > 0
        ? new PageRun(pages.substring(0, between), pages.substring(between + 1))
        : new PageRun(pages, "");
  }
}
