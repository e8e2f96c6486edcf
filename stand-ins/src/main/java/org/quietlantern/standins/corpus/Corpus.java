package org.quietlantern.standins.corpus;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A made-up literature on outdoor light at night, the same for the same seed: three years up to
 * {@link #TODAY}, and a calendar of what is still to appear.
 */
public final class Corpus {
  /** The day on which the demo begins. */
  public static final LocalDate TODAY = LocalDate.of(2026, 11, 17);

  private static final int PAST = 380;
  private static final int DAYS_AHEAD = 180;
  private static final List<String> KINDS =
      List.of(
          "article",
          "article",
          "article",
          "article",
          "article",
          "article",
          "article",
          "review",
          "preprint",
          "thesis",
          "report",
          "letter");
  private final Random random;
  private final Set<String> titles = new HashSet<>();
  private final List<Revision> revisions = new ArrayList<>();
  private int number;

  private Corpus(long seed) {
    this.random = new Random(seed);
  }

  /** All that the source will ever say, in no order. */
  public static List<Revision> of(long seed) {
    Corpus corpus = new Corpus(seed);
    corpus.past();
    corpus.ahead();
    return List.copyOf(corpus.revisions);
  }

  private void past() {
    for (int i = 0; i < PAST; i++) {
      LocalDate day = TODAY.minusDays(1 + (long) (1095.0 * i / PAST));
      appear(day.minusDays(random.nextInt(20)), day);
    }
  }

  /** On some days nothing, on some days much; now and then a late, a changed or a withdrawn one. */
  private void ahead() {
    for (int d = 1; d <= DAYS_AHEAD; d++) {
      LocalDate day = TODAY.plusDays(d);
      int many = d % 7 == 0 ? 0 : d % 9 == 0 ? 7 : 1 + random.nextInt(3);
      for (int i = 0; i < many; i++) {
        boolean late = random.nextInt(9) == 0;
        appear(
            late ? day.minusDays(500 + random.nextInt(400)) : day.minusDays(random.nextInt(9)),
            day);
      }
      if (d % 11 == 0) {
        Revision old = revisions.get(random.nextInt(PAST));
        revisions.add(
            new Revision(at(day), old.work().titled(old.work().title().replace(":", " –")), false));
      }
      if (d % 23 == 0) {
        revisions.add(new Revision(at(day), revisions.get(random.nextInt(PAST)).work(), true));
      }
    }
  }

  private void appear(LocalDate published, LocalDate supplied) {
    revisions.add(new Revision(at(supplied), work(published), false));
  }

  private Instant at(LocalDate day) {
    return day.atTime(LocalTime.of(random.nextInt(2), random.nextInt(60)))
        .toInstant(ZoneOffset.UTC);
  }

  private Work work(LocalDate date) {
    String kind = pick(KINDS);
    Writer writer = new Writer(random);
    String title = writer.title(kind);
    while (!titles.add(title)) {
      writer = new Writer(random);
      title = writer.title(kind);
    }
    boolean inJournal =
        !kind.equals("thesis") && !kind.equals("report") && !kind.equals("preprint");
    Work.Journal journal =
        !inJournal ? null : kind.equals("review") ? Words.JOURNALS.get(5) : pick(Words.JOURNALS);
    return new Work(
        ++number,
        kind,
        title,
        authors(kind),
        journal,
        date.getYear() - 2012,
        1 + (date.getMonthValue() - 1) / 3,
        1 + random.nextInt(400),
        pages(kind),
        date,
        random.nextInt(20) == 0 ? "de" : "en",
        random.nextInt(15) == 0 ? "" : writer.summary(),
        topics(writer),
        List.of(writer.subject().keyword(), writer.light().keyword()),
        random.nextInt(5) < 3);
  }

  private int pages(String kind) {
    return switch (kind) {
      case "thesis" -> 120 + random.nextInt(120);
      case "review" -> 24 + random.nextInt(30);
      case "letter" -> 2 + random.nextInt(3);
      default -> 7 + random.nextInt(16);
    };
  }

  private List<Work.Author> authors(String kind) {
    int many = kind.equals("thesis") ? 1 : 1 + random.nextInt(random.nextInt(8) == 0 ? 9 : 4);
    return Stream.generate(() -> pick(Words.AUTHORS)).distinct().limit(many).toList();
  }

  private List<Work.Topic> topics(Writer writer) {
    return Stream.of(
            new Work.Topic(writer.subject().heading(), random.nextBoolean()),
            new Work.Topic(writer.light().heading(), random.nextBoolean()),
            new Work.Topic(writer.response().heading(), false),
            new Work.Topic(pick(Words.RESPONSES).heading(), false))
        .distinct()
        .toList();
  }

  private <T> T pick(List<T> from) {
    return from.get(random.nextInt(from.size()));
  }
}
