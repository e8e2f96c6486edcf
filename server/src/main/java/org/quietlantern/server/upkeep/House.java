package org.quietlantern.server.upkeep;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.SlowSearches;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.NightlyChecks;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Service;

/** How the installation is, for stewards: numbers and dates, nothing that members wrote. */
@Service
class House {
  private static final String WHO = "A steward of the installation looks after the house.";
  private static final int LONGEST_NAME = 120;
  private static final int LETTERS = 50;
  private final HouseMapper mapper;
  private final CheckMapper checks;
  private final Groups groups;
  private final Harvests harvests;
  private final IndexKeeper index;
  private final SlowSearches slow;
  private final Json json;
  private final SystemTime system;
  private final BuildProperties build;
  private final Path data;

  /**
   * What there is. {@code setAside}: records; {@code doubtful}: pairs that may be the same work.
   */
  record Counts(
      int publications,
      int records,
      int sources,
      int accounts,
      int alerts,
      int setAside,
      int doubtful) {}

  /** Sizes in bytes. {@code memory}: that the server uses of {@code memoryMost}. */
  record Sizes(long database, long index, long memory, long memoryMost, long diskFree, long disk) {}

  /**
   * What is behind.
   *
   * @param index changes that searches do not see yet
   * @param alerts that have not looked at the last change
   */
  record Lag(long index, boolean indexStandsStill, int alerts) {}

  /**
   * Work that falls due by itself.
   *
   * @param failures on end
   */
  record JobShown(
      String name,
      @Nullable Instant lastSuccess,
      @Nullable Instant lastFailure,
      int failures,
      Instant next,
      boolean running) {}

  /** {@code active}: when something was done in it last. */
  record GroupShown(String name, int members, @Nullable Instant active) {}

  /** The last copy. */
  record BackupShown(Instant at, String place, long bytes) {}

  /** The last check that somebody asked for. {@code found}: empty until it has ended. */
  record HouseCheck(
      boolean mend, Instant asked, @Nullable Instant ended, List<NightlyChecks.Outcome> found) {}

  /**
   * All of it.
   *
   * @param steward whether the reader is one; to others everything else is absent
   * @param name as the people who run it call it; empty until somebody says so
   * @param missing what is not there yet: {@code name}, {@code source}, {@code headings}, {@code
   *     journals}, {@code holdings}
   */
  record HouseShown(
      boolean steward,
      @Nullable String name,
      @Nullable String version,
      @Nullable String databaseVersion,
      @Nullable Instant started,
      @Nullable Counts counts,
      @Nullable Sizes sizes,
      @Nullable Lag lag,
      List<String> missing,
      List<JobShown> jobs,
      List<SlowSearches.Slow> slow,
      List<GroupShown> groups,
      @Nullable BackupShown backup,
      @Nullable HouseCheck check) {}

  House(
      HouseMapper mapper,
      CheckMapper checks,
      Groups groups,
      Harvests harvests,
      IndexKeeper index,
      SlowSearches slow,
      Json json,
      SystemTime system,
      BuildProperties build,
      LanternProperties properties) {
    this.mapper = mapper;
    this.checks = checks;
    this.groups = groups;
    this.harvests = harvests;
    this.index = index;
    this.slow = slow;
    this.json = json;
    this.system = system;
    this.build = build;
    this.data = properties.data();
  }

  HouseShown shown(Member who) {
    if (!groups.isSteward(who)) {
      return new HouseShown(
          false, null, null, null, null, null, null, null, List.of(), List.of(), List.of(),
          List.of(), null, null);
    }
    return new HouseShown(
        true,
        mapper.name(),
        build.getVersion(),
        mapper.databaseVersion(),
        Instant.ofEpochMilli(ManagementFactory.getRuntimeMXBean().getStartTime()),
        mapper.counts(),
        sizes(),
        new Lag(index.lag(), index.standsStill(), mapper.alertsBehind(harvests.settled())),
        missing(),
        mapper.jobs(),
        slow.all(),
        mapper.groups(),
        mapper.lastBackup(),
        check(checks.last()));
  }

  private List<String> missing() {
    HouseMapper.Missing missing = mapper.missing();
    List<String> words = new ArrayList<>();
    add(words, missing.name(), "name");
    add(words, missing.source(), "source");
    add(words, missing.headings(), "headings");
    add(words, missing.journals(), "journals");
    add(words, missing.holdings(), "holdings");
    return words;
  }

  private static void add(List<String> words, boolean is, String word) {
    if (is) {
      words.add(word);
    }
  }

  private @Nullable HouseCheck check(@Nullable CheckMapper.Asked last) {
    if (last == null) {
      return null;
    }
    List<NightlyChecks.Outcome> found =
        last.found() == null
            ? List.of()
            : List.of(json.read(last.found(), NightlyChecks.Outcome[].class));
    return new HouseCheck(last.mend(), last.asked(), last.ended(), found);
  }

  private Sizes sizes() {
    Runtime runtime = Runtime.getRuntime();
    try {
      FileStore disk = Files.getFileStore(data);
      return new Sizes(
          mapper.databaseBytes(),
          bytes(data.resolve("index")),
          runtime.totalMemory() - runtime.freeMemory(),
          runtime.maxMemory(),
          disk.getUsableSpace(),
          disk.getTotalSpace());
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }

  /** Of a folder whose files come and go. */
  private static long bytes(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      return 0;
    }
    try (Stream<Path> files = Files.walk(folder)) {
      return files.mapToLong(file -> file.toFile().length()).sum();
    } catch (UncheckedIOException gone) {
      return 0;
    }
  }

  void call(Member who, @Nullable String name) {
    groups.requireSteward(who, WHO);
    String called = name == null ? "" : name.strip();
    if (called.length() > LONGEST_NAME) {
      throw Refusal.unusable("name", "A name has at most 120 characters.");
    }
    mapper.call(called);
  }

  /** {@code trouble}: what the mail server said last. */
  record LetterGivenUp(String recipient, @Nullable String trouble, Instant at) {}

  /**
   * @param inTrouble that could not be sent yet and are tried again
   * @param next from where to go on; absent on the last page
   */
  record LettersPage(List<LetterGivenUp> givenUp, int inTrouble, @Nullable Integer next) {}

  LettersPage letters(Member who, int from) {
    if (!groups.isSteward(who)) {
      return new LettersPage(List.of(), 0, null);
    }
    int begin = Math.max(0, from);
    Page<LetterGivenUp> page = Page.of(mapper.lettersGivenUp(begin, LETTERS + 1), LETTERS);
    return new LettersPage(
        page.rows(), mapper.lettersInTrouble(), page.more() ? begin + LETTERS : null);
  }

  /** Has everything checked at the next chance. */
  void check(Member who, boolean mend) {
    groups.requireSteward(who, WHO);
    checks.ask(mend, system.now());
  }

  /** Has a job run at the next chance. */
  void again(Member who, String job) {
    groups.requireSteward(who, WHO);
    if (mapper.jobs().stream().noneMatch(j -> j.name().equals(job))) {
      throw Refusal.unknown();
    }
    mapper.again(job, system.now());
  }
}
