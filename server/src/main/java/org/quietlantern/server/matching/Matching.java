package org.quietlantern.server.matching;

import io.micrometer.core.instrument.Counter;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.CitedCounts;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.Explainer;
import org.quietlantern.core.search.Explanation;
import org.quietlantern.core.search.Highlighter;
import org.quietlantern.core.search.Library;
import org.quietlantern.core.search.Only;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.core.search.SearchContext;
import org.quietlantern.core.search.SearchResult;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.search.TimeLimit;
import org.quietlantern.core.search.Unheaded;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Presence;
import org.quietlantern.server.platform.Refusal;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Searching the catalogue: the one place where strategies are compiled and counted. */
@Service
public class Matching {
  /** Every publication, as a strategy: with an abstract or without. */
  public static final Strategy EVERYTHING =
      new Strategy(
          List.of(new Line.Limited("all", Limit.any(Property.ABSTRACT, "yes", "no"), false)));

  private static final Set<Problem.Code> FATES =
      Set.of(
          Problem.Code.HEADING_RENAMED,
          Problem.Code.HEADING_REPLACED,
          Problem.Code.HEADING_RETIRED,
          Problem.Code.HEADING_UNKNOWN);

  private static final Set<Problem.Code> LOST =
      Set.of(Problem.Code.HEADING_RETIRED, Problem.Code.HEADING_UNKNOWN);

  private static final ThreadLocal<Look> HELD = new ThreadLocal<>();
  private final IndexKeeper index;
  private final GroupContexts circumstances;
  private final Shelves shelves;
  private final Duration searchTime;
  private final FairShare share;
  private final SlowSearches slow;
  private final Timer took;
  private final Counter givenUp;

  Matching(
      IndexKeeper index,
      GroupContexts circumstances,
      Shelves shelves,
      LanternProperties properties,
      SlowSearches slow,
      MeterRegistry figures) {
    this.slow = slow;
    this.took = Timer.builder("lantern.search").publishPercentileHistogram().register(figures);
    this.givenUp = figures.counter("lantern.search.given.up");
    this.searchTime = properties.searchTime();
    this.share = new FairShare(Runtime.getRuntime().availableProcessors(), searchTime);
    this.index = index;
    this.circumstances = circumstances;
    this.shelves = shelves;
  }

  /** Matching a state that holds at least the change {@code waitFor}. */
  public Answer search(Member who, Strategy strategy, Ordering order, long waitFor) {
    return inOneState(who, waitFor, () -> search(HELD.get(), strategy, order, Optional.empty()));
  }

  /** The same with a filter of the list; the count is that of the strategy. */
  public Answer search(Member who, Strategy strategy, Ordering order, Only only) {
    return inOneState(who, 0, () -> search(HELD.get(), strategy, order, Optional.of(only)));
  }

  private Answer search(Look look, Strategy strategy, Ordering order, Optional<Only> only) {
    long begun = System.nanoTime();
    try {
      return found(look, strategy, order, only);
    } finally {
      slow.note(strategy, Duration.ofNanos(System.nanoTime() - begun).toMillis());
    }
  }

  private Answer found(Look look, Strategy strategy, Ordering order, Optional<Only> only) {
    Snapshot snapshot = look.snapshot();
    Compiled.Ready ready = look.compile(strategy);
    SearchResult found = snapshot.search(ready, order, only);
    return new Answer(
        found.count(),
        found.listed(),
        look.asOf(),
        index.upToDate(),
        snapshot.number(),
        found.publicIds(),
        new LineAnswers(look, strategy, ready, found.count()).all(),
        ready.notes().stream().map(Matching::note).toList(),
        ready.covers().stream().map(c -> new Answer.Cut(c.line(), c.typed(), c.words())).toList(),
        Unheaded.count(snapshot, strategy, look.library(), ready)
            .filter(count -> count > 0)
            .orElse(null));
  }

  /**
   * Whatever is asked inside of {@code work} is asked of one state of the catalogue, so that rows
   * and counts of one answer belong together (rule O2).
   */
  public <T> T inOneState(Member who, long waitFor, Supplier<T> work) {
    if (HELD.get() != null) {
      return work.get();
    }
    Supplier<T> inState = () -> inState(index.latest(Viewer.of(who), waitFor), who, work);
    // Whoever has a connection to the database keeps nobody waiting for one by waiting here.
    return TransactionSynchronizationManager.isActualTransactionActive()
        ? inState.get()
        : share.take(who.id(), who.group(), inState);
  }

  private <T> T inState(Snapshot state, Member who, Supplier<T> work) {
    try (state) {
      HELD.set(new Look(state, circumstances.of(who), shelves.of(who.group())));
      return took.record(() -> TimeLimit.within(searchTime, Presence::left, work));
    } catch (TimeLimit.Left left) {
      throw Refusal.left();
    } catch (TimeLimit.Over over) {
      givenUp.increment();
      throw new Refusal(
          HttpStatus.SERVICE_UNAVAILABLE,
          "search-time",
          ("This took longer than %d seconds and was given up. Longer beginnings of cut words, or"
                  + " fewer of them, take less.")
              .formatted(searchTime.toSeconds()));
    } finally {
      HELD.remove();
    }
  }

  /** How many searches wait until it is their turn. */
  public int waiting() {
    return share.waiting();
  }

  /** How many of the member's own searches do. */
  public int waitingOf(Member who) {
    return share.waitingOf(who.id());
  }

  /** How many a strategy finds now. */
  public int count(Member who, Strategy strategy) {
    return look(who, look -> look.snapshot().count(look.compile(strategy)));
  }

  /** How many of these publications (row numbers) a strategy finds now. */
  public int countAmong(Member who, Strategy strategy, RoaringBitmap candidates) {
    return look(
        who, look -> look.snapshot().among(look.compile(strategy), candidates).getCardinality());
  }

  /** A strategy that cannot be searched; the first problem is the sentence of the refusal. */
  public static final class NotSearchable extends Refusal {
    private static final long serialVersionUID = 1;
    private final transient List<Answer.Note> problems;

    public NotSearchable(List<Answer.Note> problems) {
      super(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "search-problem",
          problems.isEmpty() ? "There is nothing to read." : problems.get(0).sentence(),
          Map.of("problems", problems));
      this.problems = List.copyOf(problems);
    }

    public List<Answer.Note> problems() {
      return problems;
    }
  }

  /** What one looks at while asking about a strategy: all of one state. */
  public record Look(Snapshot snapshot, SearchContext circumstances, Library library) {
    public Compiled.Ready compile(Strategy strategy) {
      return Matching.compile(snapshot, circumstances, library, strategy);
    }

    /** Says by which words publications were met. */
    public Explainer reasons() {
      return new Explainer(snapshot, library, circumstances.headings(), circumstances.texts());
    }

    /** The name of this state, opaque. */
    public String asOf() {
      return new AsOf(snapshot.number(), circumstances.today(), circumstances.whole()).token();
    }

    /** What a strategy finds; 0 if it cannot be searched. */
    public int count(Strategy strategy) {
      return found(strategy).orElse(0);
    }

    /** What a strategy finds; empty if it cannot be searched. */
    public OptionalInt found(Strategy strategy) {
      return snapshot.count(strategy, circumstances, library);
    }

    /** What became of headings that a strategy asks for; nothing where it cannot be searched. */
    public List<String> fates(Strategy strategy) {
      return told(strategy, FATES);
    }

    /** Of those headings, the ones that are not there any more. */
    public List<String> lost(Strategy strategy) {
      return told(strategy, LOST);
    }

    private List<String> told(Strategy strategy, Set<Problem.Code> codes) {
      return snapshot.compile(strategy, circumstances, library) instanceof Compiled.Ready ready
          ? Matching.told(ready, codes)
          : List.of();
    }
  }

  /** Asks the present state of the catalogue something. */
  public <T> T look(Member who, Function<Look, T> asking) {
    return look(who, 0, asking);
  }

  /** The same of a state that holds at least the change {@code waitFor}. */
  public <T> T look(Member who, long waitFor, Function<Look, T> asking) {
    return inOneState(who, waitFor, () -> asking.apply(HELD.get()));
  }

  /** The same in a state that somebody else holds open, for a group by its row number. */
  public Look look(Snapshot snapshot, int group, java.time.ZoneId zone) {
    return new Look(snapshot, circumstances.of(group, zone), shelves.of(group));
  }

  /** A strategy that can be searched in this state; refused with places otherwise. */
  private static Compiled.Ready compile(
      Snapshot snapshot, SearchContext circumstances, Library library, Strategy strategy) {
    Compiled compiled = snapshot.compile(strategy, circumstances, library);
    if (compiled instanceof Compiled.Refused refused) {
      List<Answer.Note> problems = refused.problems().stream().map(Matching::note).toList();
      throw new NotSearchable(problems);
    }
    return (Compiled.Ready) compiled;
  }

  /**
   * What became of headings that a strategy asks for, as sentences (rule H4); nothing for most, nor
   * where it cannot be searched.
   */
  public List<String> fates(Member who, Strategy strategy) {
    return look(who, look -> look.fates(strategy));
  }

  /** The same of a strategy that can be searched. */
  public static List<String> fates(Compiled.Ready ready) {
    return told(ready, FATES);
  }

  private static List<String> told(Compiled.Ready ready, Set<Problem.Code> codes) {
    return ready.notes().stream()
        .map(Compiled.Placed::problem)
        .filter(problem -> codes.contains(problem.code()))
        .map(Problem::sentence)
        .distinct()
        .toList();
  }

  /** Which words a publication was met by, and where. */
  public List<Explanation> why(Member who, Strategy strategy, int publication) {
    return look(who, look -> look.reasons().of(strategy, publication));
  }

  /** Where matched words stand in shown texts. */
  public Highlighter highlighter(Member who, Strategy strategy) {
    return new Highlighter(strategy, shelves.of(who.group()));
  }

  /** How often works are cited by others here, by DOI. */
  public Map<String, Integer> citedBy(Member who, Collection<String> dois) {
    if (HELD.get() != null) {
      return CitedCounts.of(HELD.get().snapshot(), dois);
    }
    try (Snapshot snapshot = index.latest(Viewer.of(who), 0)) {
      return CitedCounts.of(snapshot, dois);
    }
  }

  private static Answer.Note note(Compiled.Placed placed) {
    Problem problem = placed.problem();
    return new Answer.Note(
        placed.line(),
        problem.code().name(),
        problem.span().column(),
        problem.span(),
        problem.sentence());
  }
}
