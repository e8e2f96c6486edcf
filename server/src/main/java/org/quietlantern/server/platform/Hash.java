package org.quietlantern.server.platform;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;

/** SHA-256. */
public final class Hash {
  private Hash() {}

  public static byte[] of(String text) {
    return of(text.getBytes(StandardCharsets.UTF_8));
  }

  public static byte[] of(byte[] bytes) {
    return begun().digest(bytes);
  }

  /** One that takes what comes bit by bit. */
  public static MessageDigest begun() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
