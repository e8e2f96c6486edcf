package org.quietlantern.server.matching;

import java.util.List;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;

/** A strategy as it travels and is stored: versioned, its lines with ids. */
public record StrategyBody(int version, List<LineBody> lines) {

  /** A line; {@code kind} is {@code words} so far. */
  public record LineBody(String id, String kind, String text, @Nullable Boolean off) {}

  public static StrategyBody of(Strategy strategy) {
    return new StrategyBody(
        strategy.version(), strategy.lines().stream().map(StrategyBody::line).toList());
  }

  private static LineBody line(Line line) {
    Line.Words words = (Line.Words) line;
    return new LineBody(words.id(), "words", words.text(), words.off() ? true : null);
  }

  /** As core knows it; refused where it cannot be read. */
  public Strategy strategy() {
    try {
      return new Strategy(version, lines.stream().map(StrategyBody::words).toList());
    } catch (IllegalArgumentException unreadable) {
      throw Refusal.unusable(
          "strategy", "This strategy cannot be read: " + unreadable.getMessage());
    }
  }

  private static Line words(LineBody line) {
    if (!"words".equals(line.kind())) {
      throw new IllegalArgumentException("unknown kind of line: " + line.kind());
    }
    return new Line.Words(line.id(), line.text(), Boolean.TRUE.equals(line.off()));
  }
}
