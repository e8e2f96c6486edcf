package org.quietlantern.server.harvest;

import java.io.IOException;
import java.net.URI;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
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
  private final HarvestMapper mapper;
  private final HarvestSteps steps;
  private final Outbound outbound;
  private final Calendar calendar;
  private final SystemTime system;

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
    return mapper.sources().stream().map(this::harvest).toList();
  }

  /**
   * Harvests those that were last harvested before today, or broke off, unless they asked to be
   * left alone for a while.
   */
  void harvestDue() {
    Instant dayAgo = calendar.now().truncatedTo(ChronoUnit.DAYS);
    for (HarvestMapper.Source source : mapper.sources()) {
      Instant last = mapper.lastStarted(source.id());
      boolean due = last == null || last.isBefore(dayAgo) || mapper.unfinished(source.id()) != null;
      Instant notBefore = mapper.notBefore(source.id());
      if (due && (notBefore == null || !notBefore.isAfter(system.now()))) {
        harvest(source);
      }
    }
  }

  /** One at a time in a process; where another process is at it, this one leaves it to that. */
  private synchronized Outcome harvest(HarvestMapper.Source source) {
    try {
      return read(source);
    } catch (DuplicateKeyException twice) {
      LOG.info("{} is being harvested by another process", source.name());
      return new Outcome(source.name(), 0, 0, "");
    }
  }

  private Outcome read(HarvestMapper.Source source) {
    HarvestMapper.Row row = mapper.unfinished(source.id());
    String from = row == null ? from(source.id()) : row.fromStamp();
    int id = row == null ? steps.start(source.id(), from) : row.id();
    HarvestRun run =
        new HarvestRun(
            address -> outbound.get(address.uri(), body -> OaiReader.read(address.format(), body)),
            URI.create(source.baseUrl()),
            new HarvestRun.Place(
                source.format(), from, Optional.ofNullable(row).map(HarvestMapper.Row::token)));
    int taken = 0;
    int changed = 0;
    try {
      for (OaiPage page = run.next(); page != null; page = run.next()) {
        if (run.startedOver()) {
          mapper.startOver(id);
        }
        changed += steps.take(id, source.id(), page);
        taken += page.records().size();
      }
      steps.finish(id, calendar.now());
      if (!run.format().equals(source.format())) {
        mapper.setFormat(source.id(), run.format());
      }
      return new Outcome(source.name(), taken, changed, "");
    } catch (IOException failed) {
      LOG.warn("harvest of {} broke off: {}", source.name(), failed.getMessage());
      mapper.fail(id, failed.getMessage(), calendar.now(), notBefore(failed));
      return new Outcome(source.name(), taken, changed, failed.getMessage());
    }
  }

  private @Nullable Instant notBefore(IOException failed) {
    return failed instanceof Outbound.ComeBackLater later
        ? system.now().plus(later.forHowLong())
        : null;
  }

  private String from(int source) {
    String last = mapper.lastResponse(source);
    return last == null
        ? null
        : Instant.parse(last)
            .minus(OVERLAP_HOURS, ChronoUnit.HOURS)
            .truncatedTo(ChronoUnit.SECONDS)
            .toString();
  }
}
