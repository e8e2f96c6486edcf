package org.quietlantern.server.platform;

import java.security.SecureRandom;
import java.util.Base64;

/** What nobody can guess: for links that let somebody in, and for browsers that are known. */
public final class Codes {
  private static final SecureRandom RANDOM = new SecureRandom();

  private Codes() {}

  /** So many random bytes, as letters of a link (RFC 4648, 5). */
  public static String random(int bytes) {
    byte[] code = new byte[bytes];
    RANDOM.nextBytes(code);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(code);
  }
}
