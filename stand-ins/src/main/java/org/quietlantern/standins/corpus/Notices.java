package org.quietlantern.standins.corpus;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import org.quietlantern.standins.words.Template;

/** Errata, corrections, retractions and an expression of concern on some works of journals. */
final class Notices {
  /** One in so many works of journals. */
  private static final int RARE = 70;

  private static final List<String> KINDS =
      List.of("correction", "erratum", "correction", "retraction", "erratum");

  private Notices() {}

  static List<Work> about(long seed, List<Work> works, LocalDate last) {
    List<Work> notices = new ArrayList<>();
    for (Work work : works) {
      Random random = Works.random(seed, work.number(), 3);
      if (work.journal().isEmpty() || random.nextInt(RARE) > 0) {
        continue;
      }
      LocalDate date = work.date().plusDays(60 + random.nextInt(500));
      String kind = notices.size() == 5 ? "expression of concern" : Studies.pick(random, KINDS);
      if (!date.isAfter(last)) {
        notices.add(notice(works.size() + notices.size() + 1, kind, work, date));
      }
    }
    return notices;
  }

  private static Work notice(int number, String kind, Work work, LocalDate date) {
    String title = Template.capital(kind) + (kind.equals("retraction") ? ": " : " to: ");
    return new Work(
        number,
        kind,
        title.replace("concern to", "concern") + work.title(),
        Optional.empty(),
        "en",
        work.authors(),
        work.journal(),
        "",
        date.getYear() - work.journal().orElseThrow().since() + 1,
        1 + (date.getMonthValue() - 1) / 3,
        900 + number % 90,
        1,
        date,
        "",
        List.of(),
        List.of(kind.toLowerCase(Locale.ROOT)),
        new Work.Facts("", "", "", List.of(), List.of(), false, true),
        Optional.empty(),
        Optional.of(work.number()));
  }
}
