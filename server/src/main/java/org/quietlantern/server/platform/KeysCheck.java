package org.quietlantern.server.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.quietlantern.server.platform.job.NightlyCheck;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The keys in the data folder, which only their owner may read. */
@Component
@Order(4)
class KeysCheck implements NightlyCheck {
  private static final List<String> KEYS = List.of("secret.key", "feed.key", "db.password");
  private static final Set<PosixFilePermission> OTHERS =
      EnumSet.of(
          PosixFilePermission.GROUP_READ,
          PosixFilePermission.GROUP_WRITE,
          PosixFilePermission.OTHERS_READ,
          PosixFilePermission.OTHERS_WRITE);

  private final Path data;

  KeysCheck(LanternProperties properties) {
    this.data = properties.data();
  }

  @Override
  public String what() {
    return "keys that nobody else can read";
  }

  @Override
  public int look() {
    try {
      int open = 0;
      for (String key : KEYS) {
        Path file = data.resolve(key);
        if (Files.exists(file)
            && Files.getPosixFilePermissions(file).stream().anyMatch(OTHERS::contains)) {
          open++;
        }
      }
      return open;
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }
}
