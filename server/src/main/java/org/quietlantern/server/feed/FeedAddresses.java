package org.quietlantern.server.feed;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.stereotype.Component;

/**
 * The secret part of a feed's address: HMAC-SHA-256 (RFC 2104) of the feed and its generation under
 * a key that lies in the data folder, never in the database. So an address can be shown again, but
 * not guessed.
 */
@Component
class FeedAddresses {
  private static final int KEY_BYTES = 32;
  private final SecretKeySpec key;
  private final String baseUrl;

  FeedAddresses(LanternProperties properties) {
    this.key = new SecretKeySpec(key(properties.data().resolve("feed.key")), "HmacSHA256");
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

  private static byte[] key(Path file) {
    try {
      Files.createDirectories(file.toAbsolutePath().getParent());
      byte[] fresh = new byte[KEY_BYTES];
      new SecureRandom().nextBytes(fresh);
      try {
        Files.createFile(
            file,
            PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        Files.write(file, fresh, StandardOpenOption.WRITE);
        return fresh;
      } catch (FileAlreadyExistsException kept) {
        return Files.readAllBytes(file);
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
