package org.quietlantern.server.harvest;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What came of asking a source, try by try, and which of its records were set aside. */
@Service
@Transactional(readOnly = true)
class SourceTries {
  private static final int TRIES = 10;
  private static final int RECORDS = 20;
  private final HarvestMapper mapper;
  private final SystemTime system;

  /**
   * One try.
   *
   * @param changed publications that it changed
   * @param setAside records that could not be taken
   * @param error why it broke off, if it did
   * @param movedTo the address to which the source leads for good, if it does
   */
  record Try(
      int id,
      Instant at,
      int pages,
      int taken,
      int changed,
      int setAside,
      @Nullable String error,
      @Nullable String movedTo) {}

  /** A record that could not be taken. {@code raw}: the beginning of what came. */
  record RecordSetAside(String identifier, String why, String raw, Instant at) {}

  /**
   * The newest tries first.
   *
   * @param more whether older ones follow
   * @param failingSince when the tries without a good one among them began; absent if the last one
   *     was good
   * @param againInMinutes how long it is left alone; absent if it is not
   * @param asked whether somebody wants it to be tried at the next chance
   * @param running whether a try is under way, of which nothing is told before it ends
   * @param setAside how many records of it are set aside
   */
  record Tries(
      List<Try> tries,
      boolean more,
      @Nullable Instant failingSince,
      @Nullable Long againInMinutes,
      boolean asked,
      boolean running,
      int setAside) {}

  /** Records set aside, by name; {@code more}: whether others follow. */
  record RecordsSetAside(List<RecordSetAside> records, boolean more) {}

  SourceTries(HarvestMapper mapper, SystemTime system) {
    this.mapper = mapper;
    this.system = system;
  }

  /** Those before a try, or the newest. */
  Tries tries(String key, @Nullable Integer before) {
    int source = source(key);
    int from = before == null ? Integer.MAX_VALUE : before;
    // Before the tries: one that ends meanwhile is either told here or still under way.
    boolean asked = mapper.isAskedFor(source);
    boolean running = mapper.isRunning(source);
    Page<Try> page = Page.of(mapper.tries(source, from, TRIES + 1), TRIES);
    return new Tries(
        page.rows(),
        page.more(),
        mapper.failingSince(source),
        againInMinutes(source),
        asked,
        running,
        mapper.countSetAside(source));
  }

  private @Nullable Long againInMinutes(int source) {
    HarvestMapper.Failing failing = mapper.failing(source);
    if (failing == null || failing.notBefore() == null) {
      return null;
    }
    Duration left = Duration.between(system.now(), failing.notBefore());
    return left.isNegative() ? null : Math.max(1, left.toMinutes());
  }

  /** Those after a name, or the first. */
  RecordsSetAside setAside(String key, String after) {
    Page<RecordSetAside> page =
        Page.of(mapper.recordsSetAside(source(key), after, RECORDS + 1), RECORDS);
    return new RecordsSetAside(page.rows(), page.more());
  }

  private int source(String key) {
    Integer source = mapper.source(key);
    if (source == null) {
      throw Refusal.unknown();
    }
    return source;
  }
}
