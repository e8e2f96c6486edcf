package org.quietlantern.server.feed;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.quietlantern.server.platform.AddressCode;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Secrets;
import org.springframework.stereotype.Component;

/** Addresses of feeds: of a feed and its generation, so that one can be revoked for good. */
@Component
class FeedAddresses {
  private final AddressCode code;
  private final String baseUrl;

  FeedAddresses(Secrets secrets, LanternProperties properties) {
    this.code =
        new AddressCode(secrets.of("feed", () -> former(properties.data().resolve("feed.key"))));
    this.baseUrl = properties.baseUrl();
  }

  String address(String feed, int generation, String ending) {
    return baseUrl + "/feed/" + feed + "/" + code.of(name(feed, generation)) + ending;
  }

  boolean isRight(String feed, int generation, String secret) {
    return code.isRight(name(feed, generation), secret);
  }

  private static String name(String feed, int generation) {
    return feed + "." + generation;
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
