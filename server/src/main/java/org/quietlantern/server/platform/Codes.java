package org.quietlantern.server.platform;

import java.security.SecureRandom;
import java.util.Base64;

/** What nobody can guess: for links that let somebody in, and for browsers that are known. */
public final class Codes {
  private static final int OF_A_LINK = 32;
  private static final int LONGEST = 100;
  private static final SecureRandom RANDOM = new SecureRandom();

  private Codes() {}

  /** What stands in a link behind {@code #}; kept as its {@link #hash} only. */
  public static String ofLink() {
    return random(OF_A_LINK);
  }

  /** By what a link is known; unknown where a code is none. */
  public static byte[] hash(@Nullable String code) {
    if (code == null || code.length() > LONGEST) {
      throw Refusal.unknown();
    }
    return Hash.of(code);
  }

  /** So many random bytes, as letters of a link (RFC 4648, 5). */
  public static String random(int bytes) {
    byte[] code = new byte[bytes];
    RANDOM.nextBytes(code);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(code);
  }
}
