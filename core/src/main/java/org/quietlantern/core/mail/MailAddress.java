package org.quietlantern.core.mail;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * An address that mail goes to: a dot-atom, an at sign and a domain (RFC 5321, 4.1.2; lengths by
 * 4.5.3.1), in lower case as accounts have it. Nothing in it can end a line of a header.
 */
public record MailAddress(String text) {
  private static final int LONGEST = 254;
  private static final int LONGEST_LOCAL = 64;
  private static final String ATOM = "[a-z0-9!#$%&'*+/=?^_`{|}~-]+";
  private static final String LABEL = "[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?";
  private static final Pattern ADDRESS =
      Pattern.compile(ATOM + "(\\." + ATOM + ")*@" + LABEL + "(\\." + LABEL + ")*");

  /**
   * @throws IllegalArgumentException if it is none
   */
  public MailAddress {
    if (!isOne(text)) {
      throw new IllegalArgumentException("no mail address");
    }
  }

  /** As somebody typed it; empty if it is none. */
  public static Optional<MailAddress> read(String typed) {
    String text = typed.strip().toLowerCase(Locale.ROOT);
    return isOne(text) ? Optional.of(new MailAddress(text)) : Optional.empty();
  }

  private static boolean isOne(String text) {
    return text.length() <= LONGEST
        && text.indexOf('@') <= LONGEST_LOCAL
        && ADDRESS.matcher(text).matches();
  }
}
