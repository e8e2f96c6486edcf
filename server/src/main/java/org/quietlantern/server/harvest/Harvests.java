package org.quietlantern.server.harvest;

import java.io.IOException;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;

/**
 * Fetches what sources have to say, by OAI-PMH 2.0. A harvest starts from the source's own time at
 * the start of the last one, minus an overlap; what breaks off goes on from its last page.
 */
@Service
public class Harvests {
  private static final Logger LOG = LoggerFactory.getLogger(Harvests.class);
  private static final long OVERLAP_HOURS = 1;
  private static final int HOURS_OF_A_DAY = 24;

  /** One go at a source, after which the others have their turn. */
  private static final Duration LONGEST = Duration.ofMinutes(30);

  private final HarvestMapper mapper;
  private final HarvestSteps steps;
  private final Outbound outbound;
  private final Calendar calendar;
  private final SystemTime system;

  private static final String PAUSED = "a steward paused it; it goes on where it was";

  /** How a harvest ended. {@code error} is empty when it got to the end. */
  public record Outcome(String source, int taken, int changed, String error) {}

  Harvests(
      HarvestMapper mapper,
      HarvestSteps steps,
      Outbound outbound,
      Calendar calendar,
      SystemTime system) {
    this.mapper = mapper;
    this.steps = steps;
    this.outbound = outbound;
    this.calendar = calendar;
    this.system = system;
  }

  /** Makes a source known, or moves it to another address. */
  public void addSource(String key, String name, URI baseUrl, String format, int rank) {
    mapper.addSource(key, name, baseUrl.toString(), format, rank);
  }

  /** Says whether a source lets its abstracts be shown to anyone; none does unasked (rule K3). */
  public void showAbstracts(String key, boolean toAnyone) {
    mapper.showAbstracts(key, toAnyone);
  }

  /**
   * Up to which change the catalogue is at rest: what a harvest that is still running brings is not
   * looked at in halves (rule N5).
   */
  public long settled() {
    return mapper.settled();
  }

  /** When a harvest last ended well. */
  public Optional<Instant> lastEnded() {
    return Optional.ofNullable(mapper.lastEnded());
  }

  /** Row numbers of the sources whose harvests ended well since. */
  public List<Integer> endedSince(Instant since) {
    return mapper.endedSince(since);
  }

  /** Harvests every source now; one that fails does not keep the others from it. */
  public List<Outcome> harvestAll() {
    return mapper.sources().stream().filter(source -> !source.paused()).map(this::harvest).toList();
  }

  /** That a source be tried at the next chance, whatever it asked for. */
  void askFor(String key) {
    if (mapper.ask(key, system.now()) == 0) {
      throw Refusal.unknown();
    }
  }

  /**
   * Harvests those that were last harvested before today, or broke off, unless they asked to be
   * left alone for a while or fail again and again; and those that somebody wants to be tried.
   */
  void harvestDue() {
    for (HarvestMapper.Source source : mapper.sources()) {
      if (!source.paused() && (mapper.isAskedFor(source.id()) || isDue(source))) {
        harvest(source);
      }
    }
  }

  private boolean isDue(HarvestMapper.Source source) {
    Instant notBefore = mapper.notBefore(source.id());
    boolean mayBe = notBefore == null || !notBefore.isAfter(system.now());
    Instant now = calendar.now();
    Instant last = mapper.lastStarted(source.id());
    return mayBe
        && isItsHour(source, now.atZone(ZoneOffset.UTC).getHour())
        && (last == null
            || last.isBefore(since(source.everyHours(), now))
            || mapper.unfinished(source.id()) != null);
  }

  /** What is asked once in so many days is asked once on one of them, at whatever time. */
  private static Instant since(int everyHours, Instant now) {
    return everyHours % HOURS_OF_A_DAY == 0
        ? now.truncatedTo(ChronoUnit.DAYS).minus(everyHours / HOURS_OF_A_DAY - 1L, ChronoUnit.DAYS)
        : now.minus(everyHours, ChronoUnit.HOURS);
  }

  /** From one hour until another, over midnight if that is the earlier one. */
  private static boolean isItsHour(HarvestMapper.Source source, int hour) {
    if (source.hourFrom() == null) {
      return true;
    }
    int from = source.hourFrom();
    int to = source.hourTo();
    return from <= to ? from <= hour && hour < to : hour >= from || hour < to;
  }

  /** One at a time in a process; where another process is at it, this one leaves it to that. */
  private synchronized Outcome harvest(HarvestMapper.Source source) {
    try {
      HarvestMapper.Row row = mapper.unfinished(source.id());
      String from = row == null ? from(source) : row.fromStamp();
      int id = row == null ? steps.start(source.id(), from) : goOn(source, row);
      return harvest(
          source,
          id,
          new HarvestRun.Place(
              source.format(),
              source.oaiSet(),
              from,
              Optional.ofNullable(row).map(HarvestMapper.Row::token)));
    } catch (DuplicateKeyException twice) {
      LOG.info("{} is being harvested by another process", source.name());
      return new Outcome(source.name(), 0, 0, "");
    }
  }

  private int goOn(HarvestMapper.Source source, HarvestMapper.Row row) {
    mapper.forgetAsking(source.id());
    mapper.goOn(row.id(), system.now());
    return row.id();
  }

  /** Whatever goes wrong at a source ends as a row, and the next source has its turn. */
  private Outcome harvest(HarvestMapper.Source source, int id, HarvestRun.Place place) {
    Attempt attempt = new Attempt();
    String error = "";
    try {
      read(source, id, place, attempt);
    } catch (Outbound.Closing stopping) {
      LOG.info("the harvest of {} goes on after the next start", source.name());
    } catch (IOException | RuntimeException | StackOverflowError failed) {
      error = sentence(failed);
      LOG.warn("harvest of {} broke off: {}", source.name(), error);
      steps.fail(id, source.id(), attempt, error, later(failed));
    }
    return new Outcome(source.name(), attempt.taken(), attempt.changed(), error);
  }

  private void read(HarvestMapper.Source source, int id, HarvestRun.Place place, Attempt attempt)
      throws IOException {
    Instant end = system.now().plus(LONGEST);
    HarvestRun run =
        new HarvestRun(
            address -> {
              Outbound.Answer<OaiPage> answer =
                  outbound.get(address.uri(), body -> OaiReader.read(address.format(), body));
              attempt.moved(answer.movedTo());
              return answer.value();
            },
            URI.create(source.baseUrl()),
            place);
    for (OaiPage page = run.next(); page != null; page = run.next()) {
      if (run.startedOver()) {
        mapper.startOver(id);
      }
      attempt.page(page.records().size(), steps.take(id, source.id(), page));
      if (!mapper.mayGoOn(source.id())) {
        throw new IOException(PAUSED);
      }
      if (system.now().isAfter(end)) {
        throw new IOException(
            "it did not come to its end in %d minutes and goes on later"
                .formatted(LONGEST.toMinutes()));
      }
    }
    steps.finish(id, source.id(), attempt);
    if (!run.format().equals(source.format())) {
      mapper.setFormat(source.id(), run.format());
    }
  }

  /** What went wrong, as a person can read it. */
  static String sentence(Throwable failed) {
    String message = String.valueOf(failed.getMessage());
    boolean speaks = failed instanceof IOException && failed.getMessage() != null;
    String said = speaks ? message : failed.getClass().getSimpleName() + ": " + message;
    return Text.atMost(500, Text.clean(said));
  }

  private @Nullable Instant later(Throwable failed) {
    return failed instanceof Outbound.ComeBackLater wait
        ? system.now().plus(wait.forHowLong())
        : null;
  }

  private String from(HarvestMapper.Source source) {
    String last = source.whole() ? null : mapper.lastResponse(source.id());
    return last == null
        ? null
        : Instant.parse(last)
            .minus(OVERLAP_HOURS, ChronoUnit.HOURS)
            .truncatedTo(ChronoUnit.SECONDS)
            .toString();
  }
}
