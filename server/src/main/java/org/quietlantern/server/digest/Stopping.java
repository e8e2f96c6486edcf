package org.quietlantern.server.digest;

import java.util.Optional;
import org.quietlantern.server.alert.Receivers;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Stops letters for whoever has the address that stood in one. Answers in sentences; empty where
 * the address is none of ours.
 */
@Service
class Stopping {
  private static final String OTHERWISE = " In your account you can have it otherwise.";
  private final StopAddresses addresses;
  private final Receivers receivers;
  private final DigestMapper mapper;

  Stopping(StopAddresses addresses, Receivers receivers, DigestMapper mapper) {
    this.addresses = addresses;
    this.receivers = receivers;
    this.mapper = mapper;
  }

  /** What comes by mail now, and would be stopped. */
  @Transactional(readOnly = true)
  Optional<String> look(String membership, String what, String secret) {
    return addresses
        .read(membership, what, secret)
        .map(
            stopped ->
                stopped
                    .alert()
                    .flatMap(receivers::name)
                    .map("Letters to you tell what “%s” brings."::formatted)
                    .orElse("Quiet Lantern writes to you what alerts bring and what waits."));
  }

  /** What was stopped. */
  @Transactional
  Optional<String> stop(String membership, String what, String secret) {
    return addresses.read(membership, what, secret).flatMap(this::stop);
  }

  private Optional<String> stop(StopAddresses.Stopped stopped) {
    if (stopped.alert().isPresent()) {
      return receivers
          .stop(stopped.membership(), stopped.alert().get())
          .map(name -> "Letters to you leave out “%s” from now on.".formatted(name) + OTHERWISE);
    }
    return mapper.stopAll(stopped.membership()) == 0
        ? Optional.empty()
        : Optional.of("No more of these letters come to you, of none of your groups." + OTHERWISE);
  }
}
