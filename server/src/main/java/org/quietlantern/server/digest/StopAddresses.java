package org.quietlantern.server.digest;

import java.util.Optional;
import org.quietlantern.server.platform.AddressCode;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Secrets;
import org.springframework.stereotype.Component;

/**
 * Addresses at which letters are stopped without signing in (RFC 8058): of a member, for all
 * letters or those of one alert. They let nobody in and tell nothing.
 */
@Component
class StopAddresses {
  private static final String ALL = "all";
  private final AddressCode code;
  private final String baseUrl;

  StopAddresses(Secrets secrets, LanternProperties properties) {
    this.code = new AddressCode(secrets.of("stop", Secrets::fresh));
    this.baseUrl = properties.baseUrl();
  }

  String ofAll(String membership) {
    return address(membership, ALL);
  }

  String ofAlert(String membership, String alert) {
    return address(membership, alert);
  }

  private String address(String membership, String what) {
    return "%s/letters/%s/%s/%s"
        .formatted(baseUrl, membership, what, code.of(membership + "." + what));
  }

  /** What an address stops: an alert, or all letters. */
  record Stopped(String membership, Optional<String> alert) {}

  /** Empty where the address is none of ours. */
  Optional<Stopped> read(String membership, String what, String secret) {
    return code.isRight(membership + "." + what, secret)
        ? Optional.of(
            new Stopped(membership, what.equals(ALL) ? Optional.empty() : Optional.of(what)))
        : Optional.empty();
  }
}
