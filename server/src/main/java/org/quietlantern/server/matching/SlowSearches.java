package org.quietlantern.server.matching;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.stereotype.Component;

/**
 * Searches that took long since the start, by their shape: what sorts of lines they have, never
 * what stands in them.
 */
@Component
public class SlowSearches {
  private static final int LONG_MILLIS = 500;

  /** Shapes that are kept; the one that was met longest ago goes. */
  private static final int SHAPES = 50;

  private final ConcurrentHashMap<String, Slow> shapes = new ConcurrentHashMap<>();
  private final SystemTime system;

  /**
   * Searches of one shape.
   *
   * @param longest milliseconds
   */
  public record Slow(String shape, int count, int longest, Instant last) {}

  SlowSearches(SystemTime system) {
    this.system = system;
  }

  void note(Strategy strategy, long millis) {
    if (millis < LONG_MILLIS) {
      return;
    }
    int took = (int) Math.min(millis, Integer.MAX_VALUE);
    Instant now = system.now();
    shapes.merge(
        shape(strategy),
        new Slow(shape(strategy), 1, took, now),
        (known, one) ->
            new Slow(
                known.shape(), known.count() + 1, Math.max(known.longest(), took), one.last()));
    if (shapes.size() > SHAPES) {
      shapes.values().stream()
          .min(Comparator.comparing(Slow::last))
          .ifPresent(oldest -> shapes.remove(oldest.shape()));
    }
  }

  /** {@code 3 of words (1 with cut words), 1 limit: kind}. */
  static String shape(Strategy strategy) {
    Map<String, Integer> sorts = new TreeMap<>();
    for (Line line : strategy.lines()) {
      if (!line.off()) {
        sorts.merge(line.match(new Sort()), 1, Integer::sum);
      }
    }
    return String.join(
        ", ", sorts.entrySet().stream().map(e -> e.getValue() + " " + e.getKey()).toList());
  }

  private static final class Sort implements Line.Cases<String> {
    @Override
    public String words(Line.Words words) {
      String cut = words.text().matches("(?s).*[*?].*") ? " with cut words" : "";
      return "of words" + cut + (words.widened().isEmpty() ? "" : " widened");
    }

    @Override
    public String limit(Line.Limited limit) {
      return "limit by " + limit.limit().property().word();
    }

    @Override
    public String held(Line.Held held) {
      return "of a held search";
    }
  }

  /** The longest first. */
  public List<Slow> all() {
    return shapes.values().stream()
        .sorted(Comparator.comparingInt(Slow::longest).reversed())
        .toList();
  }
}
