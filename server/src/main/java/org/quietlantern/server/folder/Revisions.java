package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The states of saved searches, from the first to the one in force. */
@Service
public class Revisions {
  private static final int MOST = 1000;
  private final SavedSearchMapper mapper;
  private final SavedSearches searches;
  private final Json json;
  private final Calendar calendar;

  /**
   * A state of a saved search.
   *
   * @param row its row number
   * @param n from 1
   * @param count what it found when it was made
   * @param gained against the one before it, when it was made; none for the first
   * @param membership row number of who made it
   */
  public record Revision(
      int row,
      int n,
      StrategyBody strategy,
      int count,
      @Nullable Integer gained,
      @Nullable Integer lost,
      String comment,
      int membership,
      Instant at) {}

  /** A revision to be written; {@code strategy} as JSON, {@code asOf} the state of its counts. */
  public record Made(
      String strategy, int count, int gained, int lost, String asOf, String comment) {}

  /** Since when, and by whom (a row number), changes ask for a reason. */
  public record Documented(Instant at, int membership) {}

  Revisions(SavedSearchMapper mapper, SavedSearches searches, Json json, Calendar calendar) {
    this.mapper = mapper;
    this.searches = searches;
    this.json = json;
    this.calendar = calendar;
  }

  /** The newest first; never empty. */
  @Transactional(readOnly = true)
  public List<Revision> of(Member who, String search) {
    List<Revision> all =
        mapper.revisions(who.group(), search, MOST).stream().map(this::revision).toList();
    if (all.isEmpty()) {
      throw Refusal.unknown();
    }
    return all;
  }

  /** The one in force. */
  @Transactional(readOnly = true)
  public Revision latest(Member who, String search) {
    return mapper.revisions(who.group(), search, 1).stream()
        .map(this::revision)
        .findFirst()
        .orElseThrow(Refusal::unknown);
  }

  @Transactional(readOnly = true)
  public Revision get(Member who, String search, int n) {
    return Optional.ofNullable(mapper.revision(who.group(), search, n))
        .map(this::revision)
        .orElseThrow(Refusal::unknown);
  }

  private Revision revision(SavedSearchMapper.RevisionRow row) {
    return new Revision(
        row.id(),
        row.n(),
        json.read(row.strategy(), StrategyBody.class),
        row.count(),
        row.gained(),
        row.lost(),
        row.comment(),
        row.membership(),
        row.at());
  }

  /** Writes revision {@code n}; empty if there is one of that number. Answers its row number. */
  @Transactional(propagation = Propagation.MANDATORY)
  public Optional<Integer> add(Member who, String search, int n, Made made) {
    searches.requireEdit(who, search);
    return Optional.ofNullable(mapper.revise(search, n, made, who.id(), calendar.now()));
  }

  /** {@code row}: its row number. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void remove(int row) {
    mapper.removeRevision(row);
  }

  @Transactional(readOnly = true)
  public Optional<Documented> documented(String search) {
    return Optional.ofNullable(mapper.documented(search))
        .map(row -> new Documented(row.at(), row.membership()));
  }

  /** Declares a saved search documented, or takes that back. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void document(String search, Optional<Documented> documented) {
    mapper.document(
        search,
        documented.map(Documented::at).orElse(null),
        documented.map(Documented::membership).orElse(null));
  }
}
