package org.quietlantern.server.harvest;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Outbound;
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

  /** How a harvest ended. {@code error} is empty when it got to the end. */
  public record Outcome(String source, int taken, int changed, String error) {}

  Harvests(HarvestMapper mapper, HarvestSteps steps, Outbound outbound, Calendar calendar) {
    this.mapper = mapper;
    this.steps = steps;
    this.outbound = outbound;
    this.calendar = calendar;
  }

  /** Makes a source known, or moves it to another address. */
  public void addSource(String key, String name, URI baseUrl, String format, int rank) {
    mapper.addSource(key, name, baseUrl.toString(), format, rank);
  }

  /** Harvests every source now; one that fails does not keep the others from it. */
  public List<Outcome> harvestAll() {
    return mapper.sources().stream().map(this::harvest).toList();
  }

  /** Harvests those that were last harvested before today, or broke off. */
  void harvestDue() {
    Instant dayAgo = calendar.now().truncatedTo(ChronoUnit.DAYS);
    for (HarvestMapper.Source source : mapper.sources()) {
      Instant last = mapper.lastStarted(source.id());
      if (last == null || last.isBefore(dayAgo) || mapper.unfinished(source.id()) != null) {
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
    int id = row == null ? steps.start(source.id(), from(source.id())) : row.id();
    String from = row == null ? from(source.id()) : row.fromStamp();
    int taken = 0;
    int changed = 0;
    Optional<String> token = Optional.ofNullable(row).map(HarvestMapper.Row::token);
    try {
      do {
        OaiPage page = fetch(source, from, token);
        if (page.error().isPresent() && startsOver(id, page, token)) {
          token = Optional.empty();
          continue;
        }
        changed += steps.take(id, source.id(), page);
        taken += page.records().size();
        token = page.token();
      } while (token.isPresent());
      steps.finish(id, calendar.now());
      return new Outcome(source.name(), taken, changed, "");
    } catch (IOException failed) {
      LOG.warn("harvest of {} broke off: {}", source.name(), failed.getMessage());
      mapper.fail(id, failed.getMessage(), calendar.now());
      return new Outcome(source.name(), taken, changed, failed.getMessage());
    }
  }

  /**
   * A token that the source no longer knows costs a second reading; other errors end the harvest.
   */
  private boolean startsOver(int id, OaiPage page, Optional<String> token) throws IOException {
    String error = page.error().orElseThrow();
    if (error.equals("noRecordsMatch")) {
      return false;
    }
    if (error.equals("badResumptionToken") && token.isPresent()) {
      mapper.startOver(id);
      return true;
    }
    throw new IOException("the source refuses: " + error);
  }

  private OaiPage fetch(HarvestMapper.Source source, String from, Optional<String> token)
      throws IOException {
    String query =
        token
            .map(t -> "resumptionToken=" + encoded(t))
            .orElse(
                "metadataPrefix="
                    + source.format()
                    + (from == null ? "" : "&from=" + encoded(from)));
    URI address = URI.create(source.baseUrl() + "?verb=ListRecords&" + query);
    return outbound.get(address, body -> OaiReader.read(source.format(), body));
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

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
