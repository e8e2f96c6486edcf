package org.quietlantern.server.address;

import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.Job;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Tries addresses that somebody wanted: a few at a time, of one place even fewer, and what works
 * once a month. One that does not answer is dead when it has not answered three times.
 */
@Component
class AddressJob implements Job {
  private static final Logger LOG = LoggerFactory.getLogger(AddressJob.class);
  private static final int AT_A_TIME = 20;
  private static final int OF_ONE_PLACE = 4;
  private static final int BEGINNING = 64 * 1024;
  private static final int PATIENCE = 3;
  private static final Duration AGAIN = Duration.ofDays(30);
  private static final Duration SOON = Duration.ofMinutes(10);
  private static final Duration KEPT = Duration.ofDays(400);
  private static final Pattern PASSWORD =
      Pattern.compile("<input[^>]*type\\s*=\\s*[\"']?password", Pattern.CASE_INSENSITIVE);

  private final AddressMapper mapper;
  private final Outbound outbound;
  private final Calendar calendar;
  private final SystemTime system;

  AddressJob(AddressMapper mapper, Outbound outbound, Calendar calendar, SystemTime system) {
    this.mapper = mapper;
    this.outbound = outbound;
    this.calendar = calendar;
    this.system = system;
  }

  @Override
  public String name() {
    return "addresses";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(10);
  }

  @Override
  public void run() {
    mapper.forget(calendar.now().minus(KEPT));
    Map<String, Integer> places = new HashMap<>();
    for (AddressMapper.Due due : mapper.due(system.now(), AT_A_TIME)) {
      String place = Optional.ofNullable(URI.create(due.url()).getAuthority()).orElse("");
      if (places.merge(place, 1, Integer::sum) <= OF_ONE_PLACE) {
        attempt(due);
      }
    }
  }

  private void attempt(AddressMapper.Due due) {
    try {
      Outbound.Peeked seen = outbound.peek(URI.create(due.url()), BEGINNING);
      String movedTo = seen.movedTo().map(URI::toString).orElse(null);
      note(due, state(seen), movedTo, 0);
    } catch (Outbound.Closing stopping) {
      LOG.debug("{} is tried after the next start", due.url());
    } catch (IOException | IllegalArgumentException silent) {
      LOG.info("{} does not answer: {}", due.url(), silent.getMessage());
      int failures = due.failures() + 1;
      note(due, failures < PATIENCE ? null : AddressState.DEAD, null, failures);
    }
  }

  private static String state(Outbound.Peeked seen) {
    int code = seen.code();
    if (code == 401 || code == 403 || asksForPassword(seen)) {
      return AddressState.SIGN_IN;
    }
    if (code != 200) {
      return AddressState.DEAD;
    }
    return seen.movedTo().isPresent() ? AddressState.MOVED : AddressState.WORKS;
  }

  private static boolean asksForPassword(Outbound.Peeked seen) {
    return seen.type().contains("html")
        && PASSWORD.matcher(new String(seen.beginning(), StandardCharsets.UTF_8)).find();
  }

  /** {@code state} null: it keeps the one it had. */
  private void note(
      AddressMapper.Due due, @Nullable String state, @Nullable String movedTo, int failures) {
    Instant now = calendar.now();
    boolean good = AddressState.WORKS.equals(state) || AddressState.MOVED.equals(state);
    mapper.tried(
        new AddressMapper.Tried(
            due.url(),
            state,
            movedTo,
            now,
            good ? now : null,
            failures,
            system.now().plus(failures > 0 && failures < PATIENCE ? SOON : AGAIN)));
  }
}
