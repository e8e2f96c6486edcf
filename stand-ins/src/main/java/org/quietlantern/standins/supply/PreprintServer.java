package org.quietlantern.standins.supply;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Work;

/**
 * Early forms, some of which are published elsewhere later: then it says where, mostly. What is
 * withdrawn just vanishes from it.
 */
final class PreprintServer {
  private PreprintServer() {}

  static boolean takes(Literature literature, Work work) {
    boolean later = work.kind().equals("article") || work.kind().equals("review");
    return work.kind().equals("preprint")
        || (later && literature.random(work, 30).nextInt(100) < 11);
  }

  static List<Revision> of(Literature literature, Work work) {
    Random random = literature.random(work, 31);
    boolean published = !work.kind().equals("preprint");
    LocalDate date = published ? work.date().minusDays(60 + random.nextInt(340)) : work.date();
    String doi = "10.5555/el.%d.%05d".formatted(date.getYear(), work.number());
    String identifier = "oai:earlylight.example:%d.%05d".formatted(date.getYear(), work.number());
    Entry entry =
        Entry.of(identifier, work, EnumSet.of(Trait.NO_HEADINGS, Trait.NO_PAGES))
            .as("preprint", date, doi);
    if (published) {
      entry = entry.titled(early(random, work.title()));
    }
    Instant from = Days.supplied(date.plusDays(random.nextInt(2)), random);
    List<Revision> all = new ArrayList<>(List.of(new Revision(from, entry, false)));
    if (random.nextInt(4) == 0) {
      entry = entry.titled(work.title());
      all.add(new Revision(Days.later(from, 20 + random.nextInt(40), random), entry, false));
    }
    if (published && random.nextInt(100) < 60) {
      Instant known = Days.supplied(work.date().plusDays(10 + random.nextInt(60)), random);
      Instant last = all.get(all.size() - 1).from();
      all.add(
          new Revision(
              known.isAfter(last) ? known : Days.later(last, 5, random),
              entry.versionOf(work.doi()),
              false));
    } else if (!published && random.nextInt(40) == 0) {
      all.add(new Revision(Days.later(from, 90 + random.nextInt(200), random), entry, true));
    }
    return all;
  }

  /** Preprints mostly have the later title already; some a shorter one, a few another. */
  private static String early(Random random, String title) {
    int chance = random.nextInt(10);
    int colon = title.indexOf(": ");
    if (chance == 0) {
      return "Early results on " + Character.toLowerCase(title.charAt(0)) + title.substring(1);
    }
    return chance < 3 && colon > 25 ? title.substring(0, colon) : title;
  }
}
