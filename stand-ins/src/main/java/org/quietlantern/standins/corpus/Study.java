package org.quietlantern.standins.corpus;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.quietlantern.standins.words.Lexicon;

/**
 * What a work is about. {@code change} is the effect in per cent with its sign, 0 for none; {@code
 * mixed}: it went one way here and another there.
 */
record Study(
    Genre genre,
    Lexicon.Taxon taxon,
    Lexicon.Light light,
    List<Lexicon.Response> responses,
    Lexicon.Habitat habitat,
    Lexicon.Place place,
    Lexicon.Place otherPlace,
    List<Lexicon.Moderator> moderators,
    Lexicon.Method method,
    int change,
    boolean mixed) {

  Lexicon.Response response() {
    return responses.get(0);
  }

  /** The same, with another of its measures in front, and another moderator. */
  Study turned(int turns) {
    return new Study(
        genre,
        taxon,
        light,
        turned(responses, turns),
        habitat,
        place,
        otherPlace,
        turned(moderators, turns),
        method,
        change,
        mixed);
  }

  private static <T> List<T> turned(List<T> list, int turns) {
    List<T> copy = new ArrayList<>(list);
    Collections.rotate(copy, -turns);
    return copy;
  }

  /** Good or bad news for the taxon, none, or other than one expects. */
  String outcome() {
    if (mixed) {
      return "mixed";
    }
    if (change == 0) {
      return "null";
    }
    int good = response().better() * Integer.signum(change);
    if (good == 0) {
      return light.spares() ? "relief" : "harm";
    }
    return good > 0 == light.spares() ? (light.spares() ? "relief" : "harm") : "contrary";
  }

  /** What the templates may ask for. */
  Set<String> circumstances() {
    Set<String> all = new HashSet<>(taxon.kinds());
    all.addAll(genre.said());
    all.add(light.spares() ? "spares" : "adds");
    all.add(mixed ? "mixed" : change == 0 ? "none" : change > 0 ? "up" : "down");
    all.add(outcome());
    if (response().isTiming()) {
      all.add("timing");
    }
    return all;
  }
}
