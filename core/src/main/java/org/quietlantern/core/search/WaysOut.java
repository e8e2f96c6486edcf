package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;

/** What would help a search that finds too few or nothing, each with its count (rule M10). */
public final class WaysOut {
  /** With more than this a search is not asked about. */
  public static final int FEW = 10;

  private static final int MOST = 6;
  private final Snapshot snapshot;
  private final SearchContext circumstances;
  private final Library library;

  /** What is done to a line. */
  public enum Kind {
    OFF,
    SPELLING,
    VARIANTS,
    ALTERNATIVE,
    TAKE_UNKNOWN
  }

  /**
   * One way out.
   *
   * @param line as it would be
   * @param text that is put in, where some is
   * @param count what the whole search would find
   */
  public record WayOut(Kind kind, Line line, String text, int count) {}

  public WaysOut(Snapshot snapshot, SearchContext circumstances, Library library) {
    this.snapshot = snapshot;
    this.circumstances = circumstances;
    this.library = library;
  }

  /**
   * Those that find more than the strategy does, most first; lines that find nothing alone lead.
   */
  public List<WayOut> of(Strategy strategy) {
    int now = count(strategy);
    Map<Line, WayOut> ways = new LinkedHashMap<>();
    for (Line line : strategy.inForce()) {
      Stream.concat(off(strategy, line), changed(strategy, line))
          .filter(way -> way.count() > now)
          .forEach(way -> ways.merge(way.line(), way, (a, b) -> a));
    }
    Comparator<WayOut> mending = Comparator.comparing(way -> way.kind() == Kind.OFF);
    return ways.values().stream()
        .sorted(mending.thenComparing(way -> -way.count()))
        .limit(MOST)
        .toList();
  }

  private Stream<WayOut> off(Strategy strategy, Line line) {
    boolean last = strategy.inForce().size() == 1;
    return last ? Stream.empty() : Stream.of(way(strategy, Kind.OFF, line.switched(true), ""));
  }

  private Stream<WayOut> changed(Strategy strategy, Line line) {
    if (line instanceof Line.Words words) {
      return words(strategy, words);
    }
    if (line instanceof Line.Limited limited) {
      return takingUnknown(limited).stream()
          .map(wider -> way(strategy, Kind.TAKE_UNKNOWN, wider, ""));
    }
    return Stream.empty();
  }

  private Stream<WayOut> words(Strategy strategy, Line.Words line) {
    List<WayOut> ways = new ArrayList<>();
    if (!line.widened().contains(Widening.VARIANTS)) {
      ways.add(way(strategy, Kind.VARIANTS, line.wider(EnumSet.of(Widening.VARIANTS)), ""));
    }
    for (LineHelp.Offer offer : new LineHelp(snapshot, circumstances, library).offers(line)) {
      switch (offer.kind()) {
        case SPELLING -> ways.add(put(strategy, line, offer, Kind.SPELLING));
        case ABBREVIATION -> ways.add(put(strategy, line, offer, Kind.ALTERNATIVE));
        default -> {
          // Variants go together; capitals only narrow.
        }
      }
    }
    return ways.stream();
  }

  private WayOut put(Strategy strategy, Line.Words line, LineHelp.Offer offer, Kind kind) {
    String text = putInto(line.text(), offer.span(), offer.text(), kind == Kind.SPELLING);
    return way(strategy, kind, line.saying(text), offer.text());
  }

  /** A text with another word in the place of one, or beside it. */
  public static String putInto(String text, Span span, String other, boolean inPlace) {
    String typed = text.substring(span.start(), span.end());
    boolean isAll = typed.equals(text.strip());
    String beside = isAll ? typed + " or " + other : "(" + typed + " or " + other + ")";
    return text.substring(0, span.start())
        + (inPlace ? other : beside)
        + text.substring(span.end());
  }

  /** The same limit with what is not known. */
  private static Optional<Line> takingUnknown(Line.Limited line) {
    Limit limit = line.limit();
    if (!limit.asksFor() || limit.takesUnknown() || limit.all()) {
      return Optional.empty();
    }
    List<String> chosen = Stream.concat(limit.chosen().stream(), Stream.of(Limit.UNKNOWN)).toList();
    Limit wider = new Limit(limit.property(), chosen, false, limit.ruledOut(), limit.range());
    return Optional.of(new Line.Limited(line.id(), wider, false));
  }

  private WayOut way(Strategy strategy, Kind kind, Line line, String text) {
    Strategy changed =
        new Strategy(
            strategy.lines().stream().map(l -> l.id().equals(line.id()) ? line : l).toList());
    return new WayOut(kind, line, text, count(changed));
  }

  /** -1 for what cannot be searched. */
  private int count(Strategy strategy) {
    return snapshot.count(strategy, circumstances, library).orElse(-1);
  }
}
