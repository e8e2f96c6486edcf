package org.quietlantern.standins.corpus;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.quietlantern.standins.words.Lexicon;

/** Draws what works are about, so that what belongs together comes together. */
final class Studies {
  private static final List<Genre> ORIGINAL = Genre.urn(false);
  private static final List<Genre> SYNTHESES = Genre.urn(true);

  private static final Set<String> MOBILE =
      Set.of("bat", "bird", "mammal", "amphibian", "fish", "moth", "walker");
  private static final Set<String> LIKED =
      Set.of("moth", "bat", "glow", "bird", "mammal", "amphibian", "fish", "pollinator");
  private static final Set<Genre> TIMED =
      Set.of(Genre.TRIAL, Genre.SURVEY, Genre.LAB, Genre.TREND, Genre.MAP);

  private Studies() {}

  /** {@code synthesis}: one that sums up other work. */
  static Study draw(Random random, Lab lab, boolean synthesis) {
    Lexicon.Taxon taxon =
        random.nextInt(10) < 7 ? pick(random, lab.taxa()) : pick(random, Lexicon.TAXA);
    Lexicon.Light light =
        random.nextInt(10) < 4 ? pick(random, lab.lights()) : pick(random, Lexicon.LIGHTS);
    Genre genre = fitting(pick(random, synthesis ? SYNTHESES : ORIGINAL), taxon, light);
    List<Lexicon.Response> responses = responses(random, taxon, genre);
    boolean mixed = random.nextInt(8) == 0;
    List<Lexicon.Place> places = places(random, lab, taxon);
    return new Study(
        genre,
        taxon,
        light,
        responses,
        pick(random, Lexicon.habitatsOf(taxon)),
        places.get(0),
        places.get(1),
        shuffled(random, Lexicon.moderatorsOf(taxon)).subList(0, 2),
        method(random, taxon, genre, responses.get(0)),
        mixed ? 4 + random.nextInt(40) : change(random, responses.get(0), light),
        mixed);
  }

  /** Where it was done, mostly near home, and where others did something like it. */
  private static List<Lexicon.Place> places(Random random, Lab lab, Lexicon.Taxon taxon) {
    List<Lexicon.Place> all = Lexicon.placesOf(taxon);
    boolean home = random.nextInt(10) < 6 && all.contains(lab.place());
    Lexicon.Place here = home ? lab.place() : pick(random, all);
    Lexicon.Place there = pick(random, all);
    while (there.equals(here)) {
      there = pick(random, all);
    }
    return List.of(here, there);
  }

  /** Nobody fits tags to aphids or puts up a skyglow. */
  private static Genre fitting(Genre genre, Lexicon.Taxon taxon, Lexicon.Light light) {
    Set<String> kinds = taxon.kinds();
    boolean fits =
        switch (genre) {
          case TRACK -> MOBILE.stream().anyMatch(kinds::contains);
          case PEOPLE, LAMP -> LIKED.stream().anyMatch(kinds::contains);
          case GENE -> !kinds.contains("plant") && !kinds.contains("algae");
          case TRIAL -> !light.there();
          default -> true;
        };
    return fits ? genre : Genre.SURVEY;
  }

  /** Three; a moment only as the first, and only where it can be measured. */
  private static List<Lexicon.Response> responses(Random random, Lexicon.Taxon taxon, Genre genre) {
    List<Lexicon.Response> all = shuffled(random, Lexicon.responsesOf(taxon));
    List<Lexicon.Response> amounts =
        new ArrayList<>(all.stream().filter(r -> !r.isTiming()).toList());
    if (all.get(0).isTiming() && TIMED.contains(genre)) {
      amounts.add(0, all.get(0));
    }
    while (amounts.size() < 3) {
      amounts.add(amounts.get(amounts.size() - 1));
    }
    return amounts.subList(0, 3);
  }

  private static Lexicon.Method method(
      Random random, Lexicon.Taxon taxon, Genre genre, Lexicon.Response response) {
    boolean ofLight = genre == Genre.MAP || (genre == Genre.LAMP && random.nextBoolean());
    return pick(random, Lexicon.methodsOf(taxon, ofLight ? "light" : response.way()));
  }

  /** More light is mostly bad, less of it mostly good; but not always. */
  private static int change(Random random, Lexicon.Response response, Lexicon.Light light) {
    int size = 6 + random.nextInt(random.nextInt(4) == 0 ? 70 : 40);
    int chance = random.nextInt(100);
    if (chance < 13) {
      return 0;
    }
    int expected =
        response.better() == 0
            ? (random.nextBoolean() ? 1 : -1)
            : response.better() * (light.spares() ? 1 : -1);
    return (chance < 24 ? -expected : expected) * size;
  }

  static <T> T pick(Random random, List<T> from) {
    return from.get(random.nextInt(from.size()));
  }

  private static <T> List<T> shuffled(Random random, List<T> from) {
    List<T> copy = new ArrayList<>(from);
    Collections.shuffle(copy, random);
    return copy;
  }
}
