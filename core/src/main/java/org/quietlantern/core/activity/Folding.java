package org.quietlantern.core.activity;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Tells what one person did in one place as one line. */
public final class Folding {
  private Folding() {}

  /** Deeds that share a line: whose, which, and in what. */
  private record Line(Optional<Integer> who, String words, List<Deed.Thing> things) {}

  /**
   * Lines by person, first of who did something last; what the lantern did by itself comes behind.
   *
   * @param deeds the latest first
   */
  public static List<Deed> fold(List<Deed> deeds) {
    Map<Optional<Integer>, Map<Line, Deed>> byPerson = new LinkedHashMap<>();
    for (Deed deed : deeds) {
      byPerson
          .computeIfAbsent(deed.who(), who -> new LinkedHashMap<>())
          .merge(
              new Line(deed.who(), deed.words(), deed.things()),
              deed,
              (one, two) -> both(one, two));
    }
    Map<Line, Deed> byItself =
        Optional.ofNullable(byPerson.remove(Optional.<Integer>empty())).orElseGet(Map::of);
    List<Deed> lines = new ArrayList<>();
    byPerson.values().forEach(its -> lines.addAll(its.values()));
    lines.addAll(byItself.values());
    return lines;
  }

  private static Deed both(Deed latest, Deed before) {
    Set<String> publications = new LinkedHashSet<>(latest.publications());
    publications.addAll(before.publications());
    return new Deed(
        latest.who(),
        latest.words(),
        latest.things(),
        List.copyOf(publications),
        latest.times() + before.times(),
        latest.at());
  }
}
