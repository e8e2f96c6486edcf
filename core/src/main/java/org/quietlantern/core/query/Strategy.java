package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A search as a stack of lines. Lines are joined by <i>and</i>; those that rule out are taken from
 * the whole, wherever they stand.
 */
public record Strategy(List<Line> lines) {
  /** Lines of one strategy. */
  public static final int MOST_LINES = 200;

  /** Characters of all its words together. */
  public static final int MOST_CHARACTERS = 20_000;

  public Strategy {
    lines = List.copyOf(lines);
    check(lines);
  }

  private static void check(List<Line> lines) {
    if (lines.size() > MOST_LINES) {
      throw new IllegalArgumentException(
          "it has " + lines.size() + " lines; the most are " + MOST_LINES);
    }
    Set<String> ids = new HashSet<>();
    Set<Property> limits = EnumSet.noneOf(Property.class);
    int characters = 0;
    for (Line line : lines) {
      if (!ids.add(line.id())) {
        throw new IllegalArgumentException("line id used twice: " + line.id());
      }
      if (line instanceof Line.Limited limited && !limits.add(limited.limit().property())) {
        throw new IllegalArgumentException(
            "two lines limit the " + limited.limit().property().word() + "; one has to hold both");
      }
      characters += line instanceof Line.Words words ? words.text().length() : 0;
    }
    if (characters > MOST_CHARACTERS) {
      throw new IllegalArgumentException(
          String.format(
              java.util.Locale.ENGLISH,
              "its words have %,d characters; the most are %,d",
              characters,
              MOST_CHARACTERS));
    }
  }

  /** The strategy of one typed line. */
  public static Strategy of(String text) {
    return new Strategy(List.of(new Line.Words("1", text, false)));
  }

  /** The same strategy with its lines numbered from 1: equal for all who wrote the same. */
  public Strategy numbered() {
    List<Line> numbered = new ArrayList<>();
    for (Line line : lines) {
      numbered.add(line.called(Integer.toString(numbered.size() + 1)));
    }
    return new Strategy(numbered);
  }

  /** The lines in force. */
  public List<Line> inForce() {
    return lines.stream().filter(line -> !line.off()).toList();
  }

  /** Whether it asks by words of one field only, whatever limits it has. */
  public boolean asksOnly(Field field) {
    List<Line> asked = inForce().stream().filter(line -> !(line instanceof Line.Limited)).toList();
    return !asked.isEmpty() && asked.stream().allMatch(line -> stands(line, field));
  }

  private static boolean stands(Line line, Field field) {
    return line instanceof Line.Words words
        && words
            .parsed()
            .tree()
            .filter(tree -> tree instanceof Term.In in && in.fields().equals(List.of(field)))
            .isPresent();
  }

  /** The limit of a property, in force or not. */
  public Optional<Line.Limited> limit(Property property) {
    return limits().filter(line -> line.limit().property() == property).findFirst();
  }

  public Stream<Line.Limited> limits() {
    return lines.stream().filter(Line.Limited.class::isInstance).map(Line.Limited.class::cast);
  }
}
