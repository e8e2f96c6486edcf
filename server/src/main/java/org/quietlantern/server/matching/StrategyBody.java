package org.quietlantern.server.matching;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Range;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;

/**
 * A strategy as it travels and is stored: versioned, its lines with ids (docs/formats.md). Version
 * 1 knew lines of words only, version 2 not what names of headings meant; both are read as what
 * they are.
 */
public record StrategyBody(int version, List<LineBody> lines) {
  private static final int VERSION = 3;

  public StrategyBody {
    lines = lines == null ? List.of() : List.copyOf(lines);
  }

  /** The strategy of a request; refused where it is missing or cannot be read. */
  public static Strategy of(@Nullable StrategyBody body) {
    if (body == null) {
      throw Refusal.unusable("strategy", "A strategy is needed.");
    }
    return body.strategy();
  }

  /**
   * A line. {@code kind} is {@code words}, {@code limit} or {@code held}; what another kind has is
   * left out.
   *
   * @param text of a line of words, as typed
   * @param widened how a line of words is widened
   * @param means names of headings in a line of words that mean what they meant before headings
   *     were renamed, with the URIs of those
   * @param property what a limit narrows by
   * @param chosen values of a limit; {@code all}: all of them
   * @param ruledOut values that a limit rules out
   * @param from one end of a limit, {@code to} the other; {@code last}: years before this one
   * @param strategies names of held strategies; {@code rulesOut}: they are taken away
   */
  public record LineBody(
      String id,
      String kind,
      @Nullable String text,
      @Nullable List<String> widened,
      @Nullable Map<String, String> means,
      @Nullable String property,
      @Nullable List<String> chosen,
      @Nullable Boolean all,
      @Nullable List<String> ruledOut,
      @Nullable String from,
      @Nullable String to,
      @Nullable Integer last,
      @Nullable List<String> strategies,
      @Nullable Boolean rulesOut,
      @Nullable Boolean off) {}

  public static StrategyBody of(Strategy strategy) {
    return new StrategyBody(VERSION, strategy.lines().stream().map(StrategyBody::body).toList());
  }

  private static LineBody body(Line line) {
    Optional<Line.Words> words = as(Line.Words.class, line);
    Optional<Limit> limit = as(Line.Limited.class, line).map(Line.Limited::limit);
    Optional<Range> range = limit.map(Limit::range);
    Optional<Line.Held> held = as(Line.Held.class, line);
    return new LineBody(
        line.id(),
        words.isPresent() ? "words" : limit.isPresent() ? "limit" : "held",
        words.map(Line.Words::text).orElse(null),
        words
            .map(w -> ifAny(w.widened().stream().sorted().map(Widening::word).toList()))
            .orElse(null),
        words.map(w -> ifAny(w.means())).orElse(null),
        limit.map(l -> l.property().word()).orElse(null),
        limit.map(l -> ifAny(l.chosen())).orElse(null),
        limit.map(l -> ifTrue(l.all())).orElse(null),
        limit.map(l -> ifAny(l.ruledOut())).orElse(null),
        range.map(r -> ifAny(r.from())).orElse(null),
        range.map(r -> ifAny(r.to())).orElse(null),
        range.map(r -> r.last() == 0 ? null : r.last()).orElse(null),
        held.map(Line.Held::strategies).orElse(null),
        held.map(h -> ifTrue(h.rulesOut())).orElse(null),
        ifTrue(line.off()));
  }

  private static <L extends Line> Optional<L> as(Class<L> kind, Line line) {
    return Optional.of(line).filter(kind::isInstance).map(kind::cast);
  }

  private static @Nullable Boolean ifTrue(boolean is) {
    return is ? true : null;
  }

  private static @Nullable String ifAny(String text) {
    return text.isEmpty() ? null : text;
  }

  /** In one order, so that the same strategy is the same text. */
  private static @Nullable Map<String, String> ifAny(Map<String, String> means) {
    return means.isEmpty() ? null : new TreeMap<>(means);
  }

  private static @Nullable List<String> ifAny(List<String> values) {
    return values.isEmpty() ? null : values;
  }

  /** As core knows it; refused where it cannot be read. */
  public Strategy strategy() {
    if (version < 1 || version > VERSION) {
      throw refused("strategy of version " + version + " cannot be read");
    }
    try {
      return new Strategy(lines.stream().map(StrategyBody::line).toList());
    } catch (IllegalArgumentException unreadable) {
      throw refused(String.valueOf(unreadable.getMessage()));
    }
  }

  private static Refusal refused(String why) {
    return Refusal.unusable("strategy", "This strategy cannot be searched: " + why + ".");
  }

  private static Line line(LineBody body) {
    boolean off = Boolean.TRUE.equals(body.off());
    return switch (body.kind()) {
      case "words" -> {
        Set<Widening> widened = EnumSet.noneOf(Widening.class);
        orNone(body.widened()).forEach(word -> widened.add(Widening.of(word)));
        yield new Line.Words(body.id(), orNone(body.text()), off, widened, means(body));
      }
      case "limit" -> new Line.Limited(body.id(), limit(body), off);
      case "held" ->
          new Line.Held(
              body.id(), orNone(body.strategies()), Boolean.TRUE.equals(body.rulesOut()), off);
      default -> throw new IllegalArgumentException("unknown kind of line: " + body.kind());
    };
  }

  private static Map<String, String> means(LineBody body) {
    Map<String, String> means = body.means() == null ? Map.of() : body.means();
    if (means.values().stream().anyMatch(Objects::isNull)) {
      throw new IllegalArgumentException("a name means nothing");
    }
    return means;
  }

  private static Limit limit(LineBody body) {
    Property property =
        Property.named(orNone(body.property()))
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "there is no limit named “" + body.property() + "”"));
    return new Limit(
        property,
        orNone(body.chosen()),
        Boolean.TRUE.equals(body.all()),
        orNone(body.ruledOut()),
        new Range(
            orNone(body.from()), orNone(body.to()), Optional.ofNullable(body.last()).orElse(0)));
  }

  private static String orNone(@Nullable String text) {
    return text == null ? "" : text;
  }

  private static List<String> orNone(@Nullable List<String> values) {
    return values == null ? List.of() : values;
  }
}
