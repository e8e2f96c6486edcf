package org.quietlantern.core.exchange;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.publication.Host;

/** How long a publication is. */
final class Pages {
  private static final Pattern COUNTED = Pattern.compile("(\\d{1,5}) ?(?:p\\.|pages?)");

  private Pages() {}

  /**
   * From a statement such as {@code 184 pages}, else from the first and last page; 0 if unknown.
   */
  static int count(String extent, Host host) {
    Matcher counted = COUNTED.matcher(extent);
    if (counted.find()) {
      return Integer.parseInt(counted.group(1));
    }
    if (!isNumber(host.firstPage()) || !isNumber(host.lastPage())) {
      return 0;
    }
    int length = Integer.parseInt(host.lastPage()) - Integer.parseInt(host.firstPage()) + 1;
    return Math.max(length, 0);
  }

  private static boolean isNumber(String page) {
    return page.matches("\\d{1,7}");
  }
}
