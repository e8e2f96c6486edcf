package org.quietlantern.server.feed;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * How often one feed is written out, and how often somebody may ask for feeds that are not there:
 * so many times a minute, counted by each process. Readers ask once an hour, and one that was off
 * for long asks for its archives after each other; whoever has the state of a feed already costs
 * little.
 */
@Component
class FeedGate {
  static final int READS = 300;
  static final int MISSES = 100;
  private static final Duration WINDOW = Duration.ofMinutes(1);
  private final SystemTime time;
  private final Map<String, Integer> counts = new HashMap<>();
  private Instant since = Instant.EPOCH;

  FeedGate(SystemTime time) {
    this.time = time;
  }

  /** Counts one reading of a feed; refused where it was read too often. */
  void read(String feed) {
    if (count("feed " + feed, 1) > READS) {
      throw tooMany("This feed was just read %d times in a minute.".formatted(READS));
    }
  }

  /** Refused where too much that is not there was asked for from one address. */
  void mayMiss(String origin) {
    if (count("from " + origin, 0) >= MISSES) {
      throw tooMany("Too many addresses of feeds that are not there were tried.");
    }
  }

  void missed(String origin) {
    count("from " + origin, 1);
  }

  private synchronized int count(String what, int more) {
    Instant now = time.now();
    if (now.isBefore(since) || !now.isBefore(since.plus(WINDOW))) {
      counts.clear();
      since = now;
    }
    return more == 0 ? counts.getOrDefault(what, 0) : counts.merge(what, more, Integer::sum);
  }

  private static Refusal tooMany(String sentence) {
    return new Refusal(
        HttpStatus.TOO_MANY_REQUESTS,
        "too-many-reads",
        sentence + " Come again in a minute.",
        Map.of("seconds", WINDOW.toSeconds()));
  }
}
