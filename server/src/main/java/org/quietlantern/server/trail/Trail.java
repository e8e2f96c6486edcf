package org.quietlantern.server.trail;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.sql.Like;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The steps of a member's searching, and addresses for strategies that nobody saved. */
@Service
public class Trail implements CommandKinds {
  private static final CommandKind<StepMade, CommandKind.Nothing> STEP =
      CommandKind.forGood("trail.step", StepMade.class, "What was searched stays on the trail.");

  private final TrailMapper mapper;
  private final Matching matching;
  private final Publications publications;
  private final Commands commands;
  private final Json json;
  private final PublicIds ids;
  private final Calendar calendar;

  /**
   * A step just made, or the one before if it was the same.
   *
   * @param q names the strategy for good: the same one in a group always has the same name
   * @param before the count of the step before, if there was one
   */
  public record StepMade(String step, String q, int count, @Nullable Integer before) {}

  Trail(
      TrailMapper mapper,
      Matching matching,
      Publications publications,
      Commands commands,
      Json json,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.matching = matching;
    this.publications = publications;
    this.commands = commands;
    this.json = json;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** Settles a strategy: counts it, gives it an address, and puts it on the member's trail. */
  public StepMade settle(Member who, UUID command, Strategy strategy, Ordering order) {
    return commands.run(
        who,
        command,
        STEP,
        () -> matching.search(who, strategy, order, 0),
        answer -> {
          StepMade step = add(who, strategy, order, answer.count(), answer.asOf());
          return CommandKind.done(step)
              .changing(List.of("step:" + step.step()))
              .toldTo(Audience.ME);
        });
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(STEP);
  }

  /** A step as a list shows it; {@code q} names its strategy. */
  public record StepLine(String id, String q, StrategyBody strategy, int count, Instant at) {}

  /** The member's last steps, newest first, each strategy once; {@code words}: that say them. */
  @Transactional(readOnly = true)
  public List<StepLine> latest(Member who, String words, int most) {
    return mapper.latest(who.id(), Like.part(words), most).stream()
        .map(
            row ->
                new StepLine(
                    row.pid(),
                    row.q(),
                    json.read(row.strategy(), StrategyBody.class),
                    row.count(),
                    row.at()))
        .toList();
  }

  /**
   * Puts a step on the member's trail, as a part of a command.
   *
   * @param count what was found
   * @param asOf the state in which it was
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public StepMade add(Member who, Strategy strategy, Ordering order, int count, String asOf) {
    TrailMapper.Kept kept = keep(who, strategy);
    TrailMapper.Last last = mapper.last(who.id());
    Integer before = last == null ? null : last.count();
    boolean same =
        last != null
            && last.strategy() == kept.id()
            && last.ordered().equals(order.word())
            && last.asOf().equals(asOf);
    String pid = same ? last.pid() : ids.next();
    if (!same) {
      Instant now = calendar.now();
      mapper.add(
          new TrailMapper.NewStep(
              pid, who.id(), kept.id(), order.word(), before, count, asOf, now));
    }
    return new StepMade(pid, kept.pid(), count, before);
  }

  private TrailMapper.Kept keep(Member who, Strategy strategy) {
    String text = json.write(StrategyBody.of(strategy.numbered()));
    TrailMapper.Kept kept =
        mapper.keep(ids.next(), who.group(), text, Hash.of(text), calendar.now());
    // Null: another transaction kept it between the two halves of the statement.
    return kept != null
        ? kept
        : mapper.keep(ids.next(), who.group(), text, Hash.of(text), calendar.now());
  }

  /**
   * Notes that a member opened a publication or took its text along, and by which step. Each is
   * kept; the same one told twice in a row is one.
   */
  @Transactional
  public void open(Member who, String publication, @Nullable String step, boolean downloaded) {
    int id = publications.get(Viewer.of(who), publication).id();
    mapper.open(who.id(), id, findStep(who, step).orElse(null), calendar.now(), downloaded);
  }

  /** A strategy in few words, as it is named in lists and sentences. */
  public String spoken(Strategy strategy) {
    return KeptShelf.spoken(strategy);
  }

  /** Those of the publications (row numbers) that the member opened. */
  @Transactional(readOnly = true)
  public Set<Integer> opened(Member who, Collection<Integer> ids) {
    return Set.copyOf(mapper.opened(who.id(), ids.toArray(Integer[]::new)));
  }

  /** When the member last opened each of some publications (row numbers), where they did. */
  @Transactional(readOnly = true)
  public Map<Integer, Instant> lastOpened(Member who, Collection<Integer> ids) {
    return mapper.lastOpenedOf(who.id(), ids.toArray(Integer[]::new)).stream()
        .collect(Collectors.toMap(TrailMapper.OpenedAt::publication, TrailMapper.OpenedAt::at));
  }

  /** The strategy behind an address of the group. */
  @Transactional(readOnly = true)
  public StrategyBody get(Member who, String q) {
    return Optional.ofNullable(mapper.find(who.group(), q))
        .map(kept -> json.read(kept.strategy(), StrategyBody.class))
        .orElseThrow(Refusal::unknown);
  }

  /** Strategies in few words, by their addresses; unknown ones are left out. */
  @Transactional(readOnly = true)
  public Map<String, String> spoken(Member who, Collection<String> qs) {
    return mapper.findAll(who.group(), qs.toArray(String[]::new)).stream()
        .collect(
            Collectors.toMap(
                TrailMapper.Kept::pid,
                kept -> spoken(json.read(kept.strategy(), StrategyBody.class).strategy())));
  }

  /** What a strategy found at a time. */
  public record Run(int count, Instant at) {}

  /** When the member first settled a strategy. */
  @Transactional(readOnly = true)
  public Optional<Run> firstRun(Member who, String q) {
    return Optional.ofNullable(mapper.firstRun(who.id(), q))
        .map(run -> new Run(run.count(), run.at()));
  }

  /** Public id of the group that a strategy's address belongs to. */
  @Transactional(readOnly = true)
  public Optional<String> groupOf(String q) {
    return Optional.ofNullable(mapper.groupOf(q));
  }

  /** The row number of a member's own step. */
  @Transactional(readOnly = true)
  public Optional<Integer> findStep(Member who, @Nullable String step) {
    return step == null ? Optional.empty() : Optional.ofNullable(mapper.findStep(who.id(), step));
  }
}
