package org.quietlantern.server.feed;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Secrets;
import org.springframework.stereotype.Component;

/**
 * The secret part of a feed's address: HMAC-SHA-256 (RFC 2104) of the feed and its generation under
 * a secret of the installation. So an address can be shown again, but not guessed.
 */
@Component
class FeedAddresses {
  private final SecretKeySpec key;
  private final String baseUrl;

  FeedAddresses(Secrets secrets, LanternProperties properties) {
    byte[] bytes = secrets.of("feed", () -> former(properties.data().resolve("feed.key")));
    this.key = new SecretKeySpec(bytes, "HmacSHA256");
    this.baseUrl = properties.baseUrl();
  }

  String address(String feed, int generation) {
    return baseUrl + "/feed/" + feed + "/" + secret(feed, generation) + ".atom";
  }

  boolean isRight(String feed, int generation, String secret) {
    return MessageDigest.isEqual(
        secret(feed, generation).getBytes(StandardCharsets.UTF_8),
        secret.getBytes(StandardCharsets.UTF_8));
  }

  private String secret(String feed, int generation) {
    try {
      Mac mac = Mac.getInstance("HmacSHA256");
      mac.init(key);
      byte[] code = mac.doFinal((feed + "." + generation).getBytes(StandardCharsets.UTF_8));
      return Base64.getUrlEncoder().withoutPadding().encodeToString(code);
    } catch (GeneralSecurityException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  /** Before secrets lay in the database, the key was a file; addresses made under it go on. */
  private static byte[] former(Path file) {
    try {
      return Files.exists(file) ? Files.readAllBytes(file) : Secrets.fresh();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
