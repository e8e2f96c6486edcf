package org.quietlantern.server.platform;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * The secret part of an address: HMAC-SHA-256 (RFC 2104) of what it leads to, under a secret of the
 * installation. So an address can be shown again, but not guessed.
 */
public final class AddressCode {
  private final SecretKeySpec key;

  public AddressCode(byte[] secret) {
    this.key = new SecretKeySpec(secret, "HmacSHA256");
  }

  /** {@code name}: of what the address leads to. */
  public String of(String name) {
    try {
      Mac mac = Mac.getInstance("HmacSHA256");
      mac.init(key);
      byte[] code = mac.doFinal(name.getBytes(StandardCharsets.UTF_8));
      return Base64.getUrlEncoder().withoutPadding().encodeToString(code);
    } catch (GeneralSecurityException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  /** Takes the same time for every wrong one. */
  public boolean isRight(String name, String given) {
    return MessageDigest.isEqual(
        of(name).getBytes(StandardCharsets.UTF_8), given.getBytes(StandardCharsets.UTF_8));
  }
}
