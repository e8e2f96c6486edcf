package org.quietlantern.standins.supply;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Work;

/**
 * What an institution collects: theses, reports, data, and its people's own copies of articles.
 * Typed in by many hands: titles in capitals, initials, pages and abstracts missing, DOIs left out
 * or wrong; identifiers of its own.
 */
final class Repository {
  private static final Set<String> OWN = Set.of("thesis", "report", "dataset");
  private static final Set<String> COPIES = Set.of("article", "review", "chapter");

  private Repository() {}

  static boolean takes(Literature literature, Work work) {
    return OWN.contains(work.kind())
        || (work.kind().equals("conference paper") && work.number() % 2 == 1)
        || (COPIES.contains(work.kind()) && literature.random(work, 20).nextInt(100) < 13);
  }

  static List<Revision> of(Literature literature, Work work) {
    Random random = literature.random(work, 21);
    boolean copy = COPIES.contains(work.kind());
    Entry entry =
        Entry.of(
            "oai:fjordside.example:%d".formatted(40_000 + 7 * work.number()),
            work,
            traits(random, work));
    LocalDate date = copy ? work.date().minusDays(random.nextInt(60)) : work.date();
    entry = entry.as(copy ? "accepted" : "final", date, doi(literature, work, random, copy));
    entry = copy && random.nextInt(4) == 0 ? entry.titled(loosely(random, work.title())) : entry;
    Instant from = Days.supplied(work.date().plusDays(5 + random.nextInt(120)), random);
    List<Revision> all = new ArrayList<>(List.of(new Revision(from, entry, false)));
    if (random.nextInt(30) == 0) {
      all.add(
          new Revision(
              Days.later(from, 30 + random.nextInt(300), random),
              entry.titled(work.title()),
              false));
    }
    return all;
  }

  private static Set<Trait> traits(Random random, Work work) {
    Set<Trait> traits = EnumSet.noneOf(Trait.class);
    maybe(traits, random, Trait.CAPITALS, 30);
    maybe(traits, random, Trait.INITIALS, 55);
    maybe(traits, random, Trait.NO_PAGES, 60);
    maybe(traits, random, Trait.NO_ABSTRACT, work.abstractText().isEmpty() ? 100 : 20);
    maybe(traits, random, Trait.ONLY_YEAR, 50);
    maybe(traits, random, Trait.NO_DATE, 3);
    return traits;
  }

  private static void maybe(Set<Trait> traits, Random random, Trait trait, int percent) {
    if (random.nextInt(100) < percent) {
      traits.add(trait);
    }
  }

  private static String doi(Literature literature, Work work, Random random, boolean copy) {
    int chance = random.nextInt(100);
    if (copy && chance < 2 && work.number() > 1) {
      return literature.work(work.number() - 1).doi(); // a slip of the hand
    }
    return chance < (copy ? 55 : 40) ? work.doi() : "";
  }

  /** Without its subtitle, or with the dashes and blanks of another hand. */
  private static String loosely(Random random, String title) {
    int colon = title.indexOf(": ");
    return colon > 25 && random.nextBoolean()
        ? title.substring(0, colon)
        : title.replace("-", " ").replace(": ", " – ");
  }
}
