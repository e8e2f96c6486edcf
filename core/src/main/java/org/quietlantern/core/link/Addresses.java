package org.quietlantern.core.link;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Addresses of the web in words, and DOIs (ISO 26324), which are links, too. */
public final class Addresses {
  private static final Pattern ADDRESS =
      Pattern.compile("https?://\\S*[^\\s.,;:)]|\\b10\\.\\d{4,9}/\\S*[^\\s.,;:)]");

  private static final String RESOLVER = "https://doi.org/";

  private Addresses() {}

  /** Finds one after another. */
  public static Matcher in(String words) {
    return ADDRESS.matcher(words);
  }

  /** Where one that was found leads. */
  public static String leadsTo(String address) {
    return address.startsWith("10.") ? RESOLVER + address : address;
  }
}
