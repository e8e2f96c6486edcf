package org.quietlantern.server.matching;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Base64;

/**
 * The state that a count belongs to: the last change of the catalogue, the calendar day, and the
 * editions of terms, journals and holdings. Written as an opaque token.
 */
record AsOf(long number, LocalDate day, String edition) {
  String token() {
    String plain = "2." + number + "." + day + "." + edition;
    return Base64.getUrlEncoder()
        .withoutPadding()
        .encodeToString(plain.getBytes(StandardCharsets.UTF_8));
  }
}
