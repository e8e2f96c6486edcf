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
 * A tidy index of what is published: full names, abstracts, DOIs, and headings, which its indexers
 * assign two to four months after a record came.
 */
final class NightIndex {
  private static final Set<String> ELSEWHERE = Set.of("preprint", "thesis", "report", "dataset");

  /** One record in so many is taken back, before indexers come to it. */
  private static final int WITHDRAWN = 45;

  private NightIndex() {}

  static boolean takes(Work work) {
    return !ELSEWHERE.contains(work.kind())
        && !(work.kind().equals("conference paper") && work.number() % 2 == 1);
  }

  static List<Revision> of(Literature literature, Work work) {
    Random random = literature.random(work, 11);
    Entry entry =
        Entry.of(
            "oai:nightindex.example:%05d".formatted(work.number()), work, traits(random, work));
    Instant from = Days.supplied(work.date().plusDays(lag(random)), random);
    List<Revision> all = new ArrayList<>();
    boolean fresh = !Days.of(from).isBefore(Literature.OPENING.plusDays(30));
    boolean indexed = random.nextInt(100) < 86;
    Entry first = !indexed || fresh ? plus(entry, Trait.NO_HEADINGS) : entry;
    if (random.nextInt(45) == 0) {
      first = first.titled(entry.title().replace(":", " –").replace("ou", "uo"));
    }
    all.add(new Revision(from, first, false));
    if (random.nextInt(WITHDRAWN) == 0) {
      all.add(new Revision(Days.later(from, 3 + random.nextInt(70), random), first, true));
      return all;
    }
    Entry now = first;
    if (indexed && fresh) {
      now = entry;
      all.add(new Revision(Days.later(from, 60 + random.nextInt(60), random), now, false));
    }
    addNotice(literature, work, random, now, all);
    return all;
  }

  private static void addNotice(
      Literature literature, Work work, Random random, Entry now, List<Revision> all) {
    literature
        .noticeOf(work)
        .ifPresent(
            notice -> {
              LocalDate day = notice.date().plusDays(3);
              Instant last = all.get(all.size() - 1).from();
              Instant at = Days.supplied(day, random);
              Entry marked =
                  now.noticed(new Entry.Notice(notice.kind(), notice.doi(), notice.date()));
              all.add(
                  new Revision(at.isAfter(last) ? at : Days.later(last, 1, random), marked, false));
            });
  }

  /** Most within weeks, some long after. */
  private static int lag(Random random) {
    return random.nextInt(18) == 0 ? 200 + random.nextInt(700) : 1 + random.nextInt(24);
  }

  private static Set<Trait> traits(Random random, Work work) {
    Set<Trait> traits = EnumSet.noneOf(Trait.class);
    int exact = random.nextInt(100);
    if (exact < 1) {
      traits.add(Trait.NO_DATE);
    } else if (exact < 12) {
      traits.add(Trait.ONLY_YEAR);
    } else if (exact < 40) {
      traits.add(Trait.ONLY_MONTH);
    }
    if (work.abstractText().isEmpty()) {
      traits.add(Trait.NO_ABSTRACT);
    }
    return traits;
  }

  private static Entry plus(Entry entry, Trait trait) {
    Set<Trait> traits = EnumSet.of(trait);
    traits.addAll(entry.traits());
    return entry.with(traits);
  }
}
