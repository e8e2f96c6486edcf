package org.quietlantern.bench;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.search.CatalogueIndex;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.IndexEntry;
import org.quietlantern.core.search.InsideTexts;
import org.quietlantern.core.search.Library;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.core.search.SearchContext;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.search.TextsIndex;
import org.quietlantern.core.text.Passage;
import org.quietlantern.core.text.PdfTaking;
import org.quietlantern.core.text.Places;
import org.quietlantern.core.text.TakenText;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Texts;
import org.quietlantern.standins.corpus.Work;
import org.quietlantern.standins.print.PdfWriter;

/**
 * Texts: words taken out of files, searched inside beside a catalogue, passages found again. Ratios
 * matter; absolutes are of this machine. Argument: how many texts of 8,000 words.
 */
public final class TextBench {
  private static final int RECORDS = 20_000;
  private static final int WORDS = 8_000;
  private static final int FILES = 60;
  private static final int AT_ONCE = 50;
  private static final SearchContext TODAY =
      SearchContext.on(LocalDate.of(2026, 11, 25), ZoneId.of("Europe/Oslo"));

  private TextBench() {}

  public static void main(String[] arguments) throws Exception {
    int size = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 5_000;
    Path place = Files.createTempDirectory("lantern-texts");
    print("| texts | |%n|---|---|%n");
    files(place.resolve("files"));
    try (TextsIndex texts = TextsIndex.open(place.resolve("inside"), "bench");
        CatalogueIndex index = CatalogueIndex.open(place.resolve("index"), "bench")) {
      fill(texts, index, size);
      print("| their index | %,d MB |%n", bytes(place.resolve("inside")) >> 20);
      try (Snapshot snapshot = index.snapshot()) {
        for (String words :
            List.of("moths", "moth* street", "\"street lamps\"", "dim* or curfew*")) {
          search(snapshot, index, texts.now("1"), words);
        }
      }
    }
    passages();
    try (Stream<Path> all = Files.walk(place)) {
      all.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
    }
  }

  /** Files of 6 to 10 pages, a book and a thesis. */
  private static void files(Path place) throws IOException, TakenText.Unreadable {
    Files.createDirectories(place);
    Texts texts = new Texts(Literature.of(Literature.SEED, Extent.WHOLE));
    List<Work> works = texts.works().stream().limit(FILES).toList();
    List<Path> files = new ArrayList<>();
    for (Work work : works) {
      byte[] file = PdfWriter.write(texts.of(work.number()).orElseThrow());
      files.add(Files.write(place.resolve(work.number() + ".pdf"), file));
    }
    int pages = 0;
    long began = System.nanoTime();
    try (TextsIndex index = TextsIndex.open(place.resolve("index"), "bench")) {
      for (int n = 0; n < files.size(); n++) {
        TakenText taken = PdfTaking.take(files.get(n));
        pages += taken.pages().size();
        index.apply(
            List.of(
                new TextsIndex.Entry(
                    "t" + n, n, taken.pages().stream().map(TakenText.Page::text).toList())),
            Set.of());
      }
    }
    print(
        "| %d files, %,d pages: words out, searchable | %.1f s |%n",
        files.size(), pages, (System.nanoTime() - began) / 1e9);
  }

  /** Texts made of abstracts, of every fourth record. */
  private static void fill(TextsIndex texts, CatalogueIndex index, int size) {
    List<IndexEntry> entries = new ArrayList<>();
    Records.of(RECORDS).forEach(entries::add);
    for (int from = 0; from < RECORDS; from += 1_000) {
      index.apply(entries.subList(from, from + 1_000), List.of(), from + 1_000L);
    }
    Iterator<String> abstracts =
        Stream.generate(() -> entries)
            .flatMap(List::stream)
            .map(entry -> entry.publication().abstractText())
            .filter(text -> !text.isEmpty())
            .iterator();
    long began = System.nanoTime();
    List<TextsIndex.Entry> some = new ArrayList<>();
    for (int n = 0; n < size; n++) {
      some.add(
          new TextsIndex.Entry(
              "t" + n, entries.get(n * 4 % RECORDS).id(), List.of(text(abstracts))));
      if (some.size() == AT_ONCE || n == size - 1) {
        texts.apply(some, Set.of());
        some.clear();
      }
    }
    print(
        "| %,d texts of %,d words taken in | %.0f s |%n",
        size, WORDS, (System.nanoTime() - began) / 1e9);
  }

  private static String text(Iterator<String> abstracts) {
    StringBuilder text = new StringBuilder();
    int words = 0;
    while (words < WORDS) {
      String next = abstracts.next();
      text.append(next).append('\n');
      words += next.split(" ").length;
    }
    return text.toString();
  }

  /** New words each time: nothing is kept of what was found before. */
  private static void search(
      Snapshot snapshot, CatalogueIndex index, InsideTexts texts, String words) {
    SearchContext context = TODAY.with(texts);
    int[] found = new int[2];
    Times without =
        Times.of(index::forgetFound, () -> found[0] = found(snapshot, context, line(words)));
    Times inside =
        Times.of(
            index::forgetFound,
            () -> found[1] = found(snapshot, context, line(words, Widening.TEXT)));
    print(
        "| %s: %,d found, %,d inside texts too, milliseconds (95 %%) | %s, %s: %.1f times |%n",
        words, found[0], found[1], without, inside, without.timesLonger(inside));
  }

  private static Line.Words line(String text, Widening... widened) {
    Set<Widening> by = EnumSet.noneOf(Widening.class);
    by.addAll(List.of(widened));
    return new Line.Words("w", text, false, by);
  }

  private static int found(Snapshot snapshot, SearchContext context, Line.Words line) {
    Compiled.Ready ready =
        (Compiled.Ready) snapshot.compile(new Strategy(List.of(line)), context, Library.EMPTY);
    return snapshot.search(ready, Ordering.RELEVANCE).count();
  }

  /** Fifty notes in 200 pages. */
  private static void passages() {
    List<String> pages =
        IntStream.range(0, 200)
            .mapToObj(page -> ("Lamps of make " + page + " draw moths at night. ").repeat(60))
            .toList();
    List<Passage> notes =
        IntStream.range(0, 50)
            .mapToObj(n -> new Passage("of make " + n * 4 + " draw", "Lamps", "moths", n, 40))
            .toList();
    Times times =
        Times.of(
            () -> {
              Places places = new Places(pages);
              if (!notes.stream().allMatch(note -> places.find(note).isPresent())) {
                throw new IllegalStateException("a note was not found");
              }
            });
    print("| 50 notes found again in 200 pages, milliseconds | %s |%n", times);
  }

  private static long bytes(Path folder) throws IOException {
    try (Stream<Path> files = Files.walk(folder)) {
      return files.filter(Files::isRegularFile).mapToLong(file -> file.toFile().length()).sum();
    }
  }

  private static void print(String format, Object... values) {
    System.out.printf(Locale.ENGLISH, format, values);
  }
}
