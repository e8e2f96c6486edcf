package org.quietlantern.server.membership;

import java.security.SecureRandom;
import java.util.Base64;

/** What stands in a link that lets somebody in: 256 bits that nobody can guess. */
final class Secret {
  private static final int BYTES = 32;
  private static final SecureRandom RANDOM = new SecureRandom();

  private Secret() {}

  static String code() {
    byte[] bytes = new byte[BYTES];
    RANDOM.nextBytes(bytes);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }
}
