package org.quietlantern.server.account;

import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Map;
import org.quietlantern.server.platform.Codes;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Tries to sign in. Each is counted as it starts; after some that failed the next has to wait,
 * longer each time. A browser in which somebody signed in before is counted on its own, so that a
 * stranger who tries a colleague's address does not keep the colleague out.
 */
@Service
class Tries {
  private static final Duration WINDOW = Duration.ofMinutes(15);
  private static final Duration FIRST_WAIT = Duration.ofSeconds(30);
  private static final int TOKEN_BYTES = 24;
  private static final int FREE = 5;
  private static final int FREE_OF_ORIGIN = 100;
  private static final Duration DEVICE_IS_KNOWN = Duration.ofDays(400);
  private final TryMapper mapper;
  private final SystemTime time;

  Tries(TryMapper mapper, SystemTime time) {
    this.mapper = mapper;
    this.time = time;
  }

  /**
   * Notes that a try begins, and answers by whom it is counted; refused where it has to wait.
   *
   * @param device what the browser was given when somebody signed in there; null if nothing
   */
  @Transactional
  String begin(String email, String origin, @Nullable String device) {
    String scope = scope(email, device);
    count(scope, "with this address", origin);
    return scope;
  }

  /**
   * Notes that something is tried that only few tries are for; refused where it has to wait.
   *
   * @param scope of what the tries are counted
   * @param which tries there are too many of, in words
   */
  @Transactional
  void count(String scope, String which, String origin) {
    mapper.oneAfterTheOther(scope);
    Instant now = time.now();
    Instant since = now.minus(WINDOW);
    TryMapper.Known known = mapper.known(scope, since);
    Duration wait = known.count() < FREE ? Duration.ZERO : wait(known.count());
    if (known.last() != null && known.last().plus(wait).isAfter(now)) {
      throw tooMany(which, Duration.between(now, known.last().plus(wait)));
    }
    if (mapper.ofOrigin(origin, since) >= FREE_OF_ORIGIN) {
      throw tooMany("from where you are", WINDOW);
    }
    mapper.add(scope, origin, now);
  }

  @Transactional
  void forget(String scope) {
    mapper.forget(scope);
  }

  /** Twice as long with every further try, a window at most. */
  private static Duration wait(int tries) {
    Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(10, tries - FREE));
    return wait.compareTo(WINDOW) > 0 ? WINDOW : wait;
  }

  private static Refusal tooMany(String which, Duration wait) {
    long seconds = Math.max(1, wait.toSeconds());
    String howLong = seconds < 90 ? seconds + " seconds" : (seconds + 59) / 60 + " minutes";
    return new Refusal(
        HttpStatus.TOO_MANY_REQUESTS,
        "too-many-tries",
        "Too many tries " + which + ". Wait " + howLong + ".",
        Map.of("seconds", seconds));
  }

  private String scope(String email, @Nullable String device) {
    String address = email.toLowerCase(Locale.ROOT);
    TryMapper.Owner owner = owner(device);
    return owner != null && owner.email().equals(address)
        ? "device " + HexFormat.of().formatHex(Hash.of(device))
        : "address " + address;
  }

  private TryMapper.Owner owner(@Nullable String device) {
    return device == null ? null : mapper.ownerOf(Hash.of(device));
  }

  /** Forgets the tries of somebody who came in, and answers what makes the browser known. */
  @Transactional
  String cameIn(String scope, int account, @Nullable String device) {
    mapper.forget(scope);
    TryMapper.Owner owner = owner(device);
    if (owner != null && owner.account() == account) {
      return device;
    }
    String token = Codes.random(TOKEN_BYTES);
    mapper.addDevice(Hash.of(token), account, time.now());
    return token;
  }

  /** What is of no use any more. */
  @Transactional
  void sweep() {
    mapper.sweepTries(time.now().minus(WINDOW));
    mapper.sweepDevices(time.now().minus(DEVICE_IS_KNOWN));
  }
}
