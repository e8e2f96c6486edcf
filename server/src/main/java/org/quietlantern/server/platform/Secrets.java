package org.quietlantern.server.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.function.Supplier;
import javax.crypto.Cipher;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.stereotype.Component;

/**
 * Secrets of the installation. They lie in the database, so that all its servers have the same, and
 * are sealed (AES-256-GCM, NIST SP 800-38D) under a key that does not: {@code lantern.secret}, or
 * the file {@code secret.key} in the data folder, which is made at the first start.
 */
@Component
public class Secrets {
  private static final int KEY_BYTES = 32;
  private static final int NONCE_BYTES = 12;
  private static final int TAG_BITS = 128;
  private static final SecureRandom RANDOM = new SecureRandom();
  private final SecretMapper mapper;
  private final SecretKeySpec key;

  Secrets(SecretMapper mapper, LanternProperties properties) {
    this.mapper = mapper;
    byte[] key =
        properties.secret().isBlank()
            ? inFile(properties.data().resolve("secret.key"))
            : Hash.of(properties.secret());
    this.key = new SecretKeySpec(key, "AES");
  }

  /**
   * The secret of a name; {@code first} makes it where there is none yet.
   *
   * @throws IllegalStateException when it was sealed under another key
   */
  public byte[] of(String name, Supplier<byte[]> first) {
    SecretMapper.Row row = mapper.find(name);
    if (row == null) {
      // Of two servers that start at once, one makes it for both.
      mapper.add(name, seal(name, first.get()));
      row = mapper.find(name);
    }
    return open(name, row.sealed());
  }

  /** As many random bytes as a key has. */
  public static byte[] fresh() {
    byte[] fresh = new byte[KEY_BYTES];
    RANDOM.nextBytes(fresh);
    return fresh;
  }

  /** Sealed, to be kept anywhere; it opens under the same name alone. */
  public byte[] seal(String name, byte[] secret) {
    try {
      byte[] nonce = new byte[NONCE_BYTES];
      RANDOM.nextBytes(nonce);
      byte[] sealed = cipher(Cipher.ENCRYPT_MODE, name, nonce).doFinal(secret);
      return ByteBuffer.allocate(NONCE_BYTES + sealed.length).put(nonce).put(sealed).array();
    } catch (GeneralSecurityException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  /**
   * What was sealed under a name.
   *
   * @throws IllegalStateException when it was sealed under another name or key
   */
  public byte[] open(String name, byte[] sealed) {
    try {
      ByteBuffer parts = ByteBuffer.wrap(sealed);
      byte[] nonce = new byte[NONCE_BYTES];
      parts.get(nonce);
      byte[] inside = new byte[parts.remaining()];
      parts.get(inside);
      return cipher(Cipher.DECRYPT_MODE, name, nonce).doFinal(inside);
    } catch (GeneralSecurityException other) {
      throw new IllegalStateException(
          "the secrets of this installation were sealed under another key than lantern.secret or"
              + " secret.key in the data folder",
          other);
    }
  }

  private Cipher cipher(int mode, String name, byte[] nonce) throws GeneralSecurityException {
    Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
    cipher.init(mode, key, new GCMParameterSpec(TAG_BITS, nonce));
    cipher.updateAAD(name.getBytes(StandardCharsets.UTF_8));
    return cipher;
  }

  /** Bytes of a file that only its owner reads; made where there is none. */
  private static byte[] inFile(Path file) {
    try {
      Files.createDirectories(file.toAbsolutePath().getParent());
      byte[] fresh = fresh();
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
