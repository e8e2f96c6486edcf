package org.quietlantern.core.query;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * A search as a stack of lines. Lines are joined by <i>and</i>; those that rule out are taken from
 * the whole, wherever they stand.
 *
 * @param version of the stored form; this code writes {@value #VERSION}
 */
public record Strategy(int version, List<Line> lines) {
  public static final int VERSION = 1;

  /** Lines of one strategy. */
  public static final int MOST_LINES = 200;

  public Strategy {
    lines = List.copyOf(lines);
    if (version != VERSION) {
      throw new IllegalArgumentException("strategy of version " + version + " cannot be read");
    }
    if (lines.size() > MOST_LINES) {
      throw new IllegalArgumentException("more than " + MOST_LINES + " lines: " + lines.size());
    }
    Set<String> ids = new HashSet<>();
    for (Line line : lines) {
      if (!ids.add(line.id())) {
        throw new IllegalArgumentException("line id used twice: " + line.id());
      }
    }
  }

  /** The strategy of one typed line. */
  public static Strategy of(String text) {
    return new Strategy(VERSION, List.of(new Line.Words("1", text, false)));
  }

  /** The lines in force. */
  public List<Line> inForce() {
    return lines.stream().filter(line -> !line.off()).toList();
  }
}
