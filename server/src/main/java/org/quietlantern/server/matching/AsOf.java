package org.quietlantern.server.matching;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Base64;

/**
 * The state that a count belongs to. Written as an opaque token; headings, journal facts, holdings
 * and own imports join it when they can change a count.
 */
record AsOf(long number, LocalDate day) {
  String token() {
    String plain = "1." + number + "." + day;
    return Base64.getUrlEncoder()
        .withoutPadding()
        .encodeToString(plain.getBytes(StandardCharsets.UTF_8));
  }
}
