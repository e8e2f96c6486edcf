package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Range;
import org.quietlantern.core.query.Strategy;

/** Draws publications and strategies out of few words and values, so that much of it meets. */
final class RandomStrategies {
  static final List<String> WORDS =
      List.of("moth", "moths", "bat", "part-night", "night", "dimming", "dimmed", "verge", "lamp");
  private static final List<String> KINDS = List.of("article", "review", "thesis");
  private static final List<String> TAXA = List.of("insects", "moths", "beetles", "bats");
  private static final List<String> SOURCES = List.of("index", "repository");
  private final Random random;

  RandomStrategies(long seed) {
    random = new Random(seed);
  }

  <T> T one(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  boolean chance(int in) {
    return random.nextInt(in) == 0;
  }

  /** Some of them, often none. */
  <T> List<T> some(List<T> of) {
    return of.stream().filter(each -> chance(3)).toList();
  }

  Strategy strategy() {
    List<Line> lines = new ArrayList<>();
    for (int i = random.nextInt(4); i >= 0; i--) {
      lines.add(new Line.Words("w" + i, text(2, chance(5)), chance(6)));
    }
    List<Property> limits = new ArrayList<>();
    for (int i = random.nextInt(4); i > 0; i--) {
      Property property =
          one(
              List.of(
                  Property.KIND,
                  Property.TAXON,
                  Property.SOURCE,
                  Property.DATE,
                  Property.PAGES,
                  Property.ABSTRACT));
      if (!limits.contains(property)) {
        limits.add(property);
        int at = random.nextInt(lines.size() + 1);
        lines.add(at, new Line.Limited("l" + i, limit(property), chance(6)));
      }
    }
    return new Strategy(lines);
  }

  Limit limit(Property property) {
    List<String> unknown = chance(3) ? List.of(Limit.UNKNOWN) : List.of();
    if (property.shape() == Property.Shape.RANGE) {
      return new Limit(property, unknown, false, List.of(), range(property));
    }
    List<String> values = values(property);
    List<String> chosen = Stream.concat(some(values).stream(), unknown.stream()).toList();
    return new Limit(property, chosen, property.overlaps() && chance(3), some(values), Range.NONE);
  }

  private static List<String> values(Property property) {
    return switch (property) {
      case KIND -> KINDS;
      case TAXON -> TAXA;
      case SOURCE -> SOURCES;
      default -> List.of("yes", "no");
    };
  }

  private Range range(Property property) {
    if (property == Property.PAGES) {
      return Range.between(chance(3) ? "" : "" + random.nextInt(20), "" + random.nextInt(30));
    }
    if (chance(4)) {
      return Range.lastYears(1 + random.nextInt(8));
    }
    return Range.between(chance(3) ? "" : date(), chance(3) ? "" : date());
  }

  private String date() {
    int year = 2015 + random.nextInt(13);
    return chance(2) ? "" + year : String.format("%d-%02d", year, 1 + random.nextInt(12));
  }

  String words(int many) {
    return String.join(" ", Stream.generate(() -> one(WORDS)).limit(many).toList());
  }

  String text(int depth, boolean rulesOut) {
    String joined = (rulesOut ? "not " : "") + unit(depth);
    for (int i = random.nextInt(3); i > 0; i--) {
      joined += one(List.of(" ", " and ", " or ", " not ")) + unit(depth);
    }
    return joined;
  }

  private String unit(int depth) {
    return switch (random.nextInt(depth > 0 ? 7 : 4)) {
      case 0 -> "\"" + one(WORDS) + " " + one(WORDS) + "\"";
      case 1 -> one(WORDS).replaceAll("^(.{3}).*", "$1*");
      case 2 -> "\"" + one(WORDS) + "\"";
      case 4 -> "(" + text(depth - 1, false) + ")";
      case 5 -> "title: " + one(WORDS);
      default -> one(WORDS);
    };
  }

  int number(int below) {
    return random.nextInt(below);
  }

  static List<String> kinds() {
    return KINDS;
  }

  static List<String> taxa() {
    return TAXA;
  }

  static List<String> sources() {
    return SOURCES;
  }
}
