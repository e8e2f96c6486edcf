package org.quietlantern.core.publication;

import java.math.BigInteger;
import java.util.Comparator;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The order of a journal's contents: by journal, the latest volume and issue first, and in each the
 * pages as they follow each other. What has none of these stands last in its journal.
 */
public final class ContentsOrder implements Comparator<Host> {
  private static final Pattern NUMBER = Pattern.compile("\\d+");

  private static final Comparator<Host> ORDER =
      Comparator.<Host, String>comparing(host -> host.title().toLowerCase(Locale.ROOT))
          .thenComparing(Host::volume, latest())
          .thenComparing(Host::issue, latest())
          .thenComparing(
              Host::firstPage, Comparator.comparing(ContentsOrder::isNumbered).reversed())
          .thenComparing(host -> number(host.firstPage()))
          .thenComparing(Host::firstPage);

  private static Comparator<String> latest() {
    return Comparator.comparing(ContentsOrder::isNumbered)
        .thenComparing(ContentsOrder::number)
        .reversed();
  }

  private static boolean isNumbered(String text) {
    return NUMBER.matcher(text).find();
  }

  /** The first number of a text like <i>S12</i> or <i>3-4</i>; 0 where it has none. */
  private static BigInteger number(String text) {
    Matcher number = NUMBER.matcher(text);
    return number.find() ? new BigInteger(number.group()) : BigInteger.ZERO;
  }

  @Override
  public int compare(Host one, Host other) {
    return ORDER.compare(one, other);
  }
}
