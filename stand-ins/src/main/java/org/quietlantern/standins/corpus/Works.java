package org.quietlantern.standins.corpus;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.quietlantern.standins.words.RareWords;
import org.quietlantern.standins.words.Table;

/**
 * Draws works one after the other, in the order of their dates: a work may cite only what came
 * before, and the pages of an issue follow each other.
 */
final class Works {
  /** In how many of a hundred works. */
  private static final int ABROAD = 9;

  private static final int TRIES = 30;
  private static final List<Table.Row> CONTAINERS = Table.rows("containers.txt");
  private static final List<String> INSTITUTIONS =
      Table.rows("institutions.txt").stream().map(r -> r.text(0)).toList();
  private static final List<String> KINDS =
      urn(
          Map.of(
              "article",
              58,
              "review",
              7,
              "preprint",
              9,
              "conference paper",
              6,
              "thesis",
              5,
              "report",
              4,
              "dataset",
              3,
              "chapter",
              3,
              "letter",
              2,
              "editorial",
              2));
  private final long seed;
  private final List<Lab> labs;
  private final Set<String> titles = new HashSet<>();
  private final Map<String, Integer> pagesSoFar = new HashMap<>();
  private final Citations citations = new Citations();
  private final RareWords sites;
  private int number;

  Works(long seed) {
    this.seed = seed;
    this.labs = Labs.of(seed);
    this.sites = new RareWords(seed);
  }

  private static List<String> urn(Map<String, Integer> weights) {
    return new java.util.TreeMap<>(weights)
        .entrySet().stream()
            .flatMap(e -> java.util.Collections.nCopies(e.getValue(), e.getKey()).stream())
            .toList();
  }

  /** A generator for one work and one purpose: what one work is like does not hang on others. */
  static Random random(long seed, int number, int purpose) {
    return new Random(seed * 1_000_003L + number * 31L + purpose * 7_919L);
  }

  /** What a work is and what it is about; {@code random} goes on from there. */
  private record Begun(String kind, Lab lab, String language, Study study, Random random) {}

  private Begun begin(int which) {
    Random random = random(seed, which, 1);
    String kind = random.nextInt(120) == 0 ? "book" : Studies.pick(random, KINDS);
    Lab lab = labs.get((int) (Math.pow(random.nextDouble(), 1.6) * labs.size()));
    String language =
        random.nextInt(100) < ABROAD && !kind.equals("preprint")
            ? Studies.pick(random, Foreign.LANGUAGES)
            : "en";
    return new Begun(kind, lab, language, study(random, lab, kind, language), random);
  }

  /** The study that a work is about, found again by its number. */
  Study study(int which) {
    return begin(which).study();
  }

  Work next(LocalDate date) {
    number++;
    Begun begun = begin(number);
    String kind = begun.kind();
    Random random = begun.random();
    Lab lab = begun.lab();
    String language = begun.language();
    Study study = begun.study();
    Prose prose = new Prose(study, date.getYear(), sites, random);
    String title = title(prose, kind, date);
    Optional<Journal> journal = journal(random, kind, study, date);
    int pages = pages(random, kind);
    List<Topic> topics = Subjects.topics(study, random);
    List<String> ground = List.of(study.taxon().heading(), study.light().heading());
    Optional<List<Integer>> references = references(random, kind, ground);
    citations.appeared(random, ground, number);
    return new Work(
        number,
        kind,
        title,
        language.equals("en")
            ? Optional.empty()
            : Optional.of(Foreign.title(study, language, random)),
        language,
        authors(random, lab, kind, study),
        journal,
        container(random, kind),
        journal.map(j -> date.getYear() - j.since() + 1).orElse(0),
        1 + (date.getMonthValue() - 1) / 3,
        journal.map(j -> firstPage(j, date, pages)).orElse(1),
        pages,
        date,
        hasAbstract(random, kind, date) ? prose.summary() : "",
        topics,
        Subjects.keywords(study, random),
        Subjects.facts(study, random, journal.map(j -> j.isOpenIn(date.getYear()))),
        references,
        Optional.empty());
  }

  private static Study study(Random random, Lab lab, String kind, String language) {
    Study study;
    do {
      study = Studies.draw(random, lab, kind.equals("review"));
    } while (!language.equals("en") && !Foreign.canSay(study));
    return study;
  }

  private String title(Prose prose, String kind, LocalDate date) {
    String title = prose.title(kind);
    for (int i = 0; i < TRIES && titles.contains(title); i++) {
      title = prose.title(kind);
    }
    if (!titles.add(title)) {
      title = title + ", " + date.getYear() + " (" + number + ")";
    }
    return title;
  }

  private static Optional<Journal> journal(
      Random random, String kind, Study study, LocalDate date) {
    if (!Set.of("article", "review", "letter", "editorial").contains(kind)) {
      return Optional.empty();
    }
    List<Journal> open = Journal.ALL.stream().filter(j -> j.since() <= date.getYear()).toList();
    List<Journal> suiting = open.stream().filter(j -> Subjects.suits(j, study)).toList();
    return Optional.of(
        Studies.pick(random, suiting.isEmpty() || random.nextInt(14) == 0 ? open : suiting));
  }

  private int firstPage(Journal journal, LocalDate date, int pages) {
    String volume = journal.letters() + date.getYear();
    int first = pagesSoFar.getOrDefault(volume, 0) + 1;
    pagesSoFar.put(volume, first + pages - 1);
    return first;
  }

  private static int pages(Random random, String kind) {
    return switch (kind) {
      case "thesis" -> 90 + random.nextInt(160);
      case "book" -> 180 + random.nextInt(260);
      case "report" -> 18 + random.nextInt(90);
      case "review" -> 16 + random.nextInt(30);
      case "letter", "editorial" -> 1 + random.nextInt(3);
      case "dataset" -> 0;
      default -> 6 + random.nextInt(17);
    };
  }

  private static String container(Random random, String kind) {
    return switch (kind) {
      case "thesis", "report", "book" -> Studies.pick(random, INSTITUTIONS);
      case "chapter", "conference paper", "dataset" ->
          Studies.pick(random, CONTAINERS.stream().filter(row -> row.text(0).equals(kind)).toList())
              .text(1);
      default -> "";
    };
  }

  private static boolean hasAbstract(Random random, String kind, LocalDate date) {
    int without =
        switch (kind) {
          case "letter", "editorial" -> 95;
          case "book", "chapter" -> 40;
          default -> date.getYear() < 2010 ? 18 : 4;
        };
    return random.nextInt(100) >= without;
  }

  private Optional<List<Integer>> references(Random random, String kind, List<String> ground) {
    int wanted =
        switch (kind) {
          case "review", "book", "thesis" -> 20 + random.nextInt(60);
          case "dataset", "editorial", "letter" -> random.nextInt(4);
          default -> 4 + random.nextInt(22);
        };
    List<Integer> cited = citations.of(random, ground, wanted);
    return random.nextInt(100) < 72 ? Optional.of(cited) : Optional.empty();
  }

  private List<Person> authors(Random random, Lab lab, String kind, Study study) {
    if (random.nextInt(kind.equals("report") ? 4 : 90) == 0) {
      return List.of(Studies.pick(random, Labs.BODIES));
    }
    if (kind.equals("thesis") || random.nextInt(11) == 0) {
      return List.of(Studies.pick(random, lab.people()));
    }
    int many = 2 + random.nextInt(random.nextInt(5) == 0 ? 9 : 4);
    boolean large = study.genre() == Genre.TREND || study.genre() == Genre.META;
    if (random.nextInt(large ? 12 : 250) == 0) {
      many = 20 + random.nextInt(41);
    }
    int wanted = many;
    return Stream.generate(
            () ->
                random.nextInt(10) < 7
                    ? Studies.pick(random, lab.people())
                    : Studies.pick(random, Studies.pick(random, labs).people()))
        .distinct()
        .limit(wanted)
        .toList();
  }
}
