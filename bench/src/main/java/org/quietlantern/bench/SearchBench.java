package org.quietlantern.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Breakdown;
import org.quietlantern.core.search.CatalogueIndex;
import org.quietlantern.core.search.Comparison;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.IndexEntry;
import org.quietlantern.core.search.Library;
import org.quietlantern.core.search.LineCounts;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.core.search.SearchContext;
import org.quietlantern.core.search.SimilarPublications;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.core.search.Suggestions;

/**
 * Searching made-up catalogues, through core and through PostgreSQL full text on the same records
 * in the same run. Ratios matter; absolutes are of this machine. Arguments: JDBC address of a
 * scratch database, its password, and sizes: a number of records, or {@code 200000x5} for five
 * copies of so many.
 *
 * <p><i>New words</i>: nothing is kept of what was found before. <i>New state</i>: before each
 * round one record changes. <i>Again</i>: in the same state. The count is exact and the first 1,000
 * ids are read each time.
 */
public final class SearchBench {
  private static final int BATCH = 1_000;
  private static final SearchContext TODAY =
      SearchContext.on(LocalDate.of(2026, 11, 25), ZoneId.of("Europe/Oslo"));
  private final CatalogueIndex index;
  private final IndexEntry changing;
  private long number;
  private Snapshot snapshot;

  private SearchBench(CatalogueIndex index, int size) {
    this.index = index;
    this.changing = Records.of(1).iterator().next();
    this.number = size;
    this.snapshot = index.snapshot();
  }

  public static void main(String[] arguments) throws SQLException, IOException {
    Map<Integer, List<Integer>> sizes = new LinkedHashMap<>();
    for (int i = 2; i < arguments.length; i++) {
      String[] size = arguments[i].split("x");
      sizes
          .computeIfAbsent(Integer.valueOf(size[0]), s -> new ArrayList<>())
          .add(size.length > 1 ? Integer.parseInt(size[1]) : 1);
    }
    for (Map.Entry<Integer, List<Integer>> size : sizes.entrySet()) {
      run(arguments[0], arguments[1], size.getKey(), size.getValue());
    }
  }

  private static void run(String address, String password, int size, List<Integer> times)
      throws SQLException, IOException {
    Path folder = Files.createTempDirectory("lantern-bench");
    try (CatalogueIndex index = CatalogueIndex.open(folder, "bench")) {
      fill(index, size);
      index.commit();
    }
    try (FullText database = new FullText(address, password, Records.of(size))) {
      for (int each : times) {
        Path copies = Files.createTempDirectory("lantern-bench");
        Copies.make(folder, copies, each);
        database.become(each);
        measure(copies, size * each, database);
        delete(copies);
      }
    }
    delete(folder);
  }

  private static void measure(Path folder, int size, FullText database) {
    try (CatalogueIndex index = CatalogueIndex.open(folder, "bench")) {
      SearchBench bench = new SearchBench(index, size);
      bench.questions(size, database);
      bench.sheet();
      bench.fourAtOnce();
      bench.snapshot.close();
    }
  }

  private static void fill(CatalogueIndex index, int size) {
    List<IndexEntry> batch = new ArrayList<>();
    Iterator<IndexEntry> entries = Records.of(size).iterator();
    long start = System.nanoTime();
    while (entries.hasNext()) {
      batch.add(entries.next());
      if (batch.size() == BATCH || !entries.hasNext()) {
        index.apply(batch, List.of(), batch.get(0).id());
        batch.clear();
      }
    }
    print("%n%,d records, indexed in %.0f s%n", size, (System.nanoTime() - start) / 1e9);
  }

  private void changeSomething() {
    snapshot.close();
    number++;
    index.apply(List.of(changing), List.of(), number);
    snapshot = index.snapshot();
  }

  private void forget() {
    changeSomething();
    index.forgetFound();
  }

  private Compiled.Ready compile(Strategy strategy) {
    return (Compiled.Ready) snapshot.compile(strategy, TODAY, Library.EMPTY);
  }

  private void questions(int size, FullText database) {
    print(
        "%n| %,d records | found | new words | new state | again | PostgreSQL | times |%n"
            + "|---|---|---|---|---|---|---|%n",
        size);
    for (Question question : Question.all()) {
      int[] found = new int[2];
      Times first = Times.of(this::forget, () -> found[0] = search(question));
      Times ours = Times.of(this::changeSomething, () -> search(question));
      Times again = Times.of(() -> search(question));
      Times theirs = Times.of(() -> found[1] = database.search(question));
      print(
          "| %s | %,d / %,d | %s | %s | %s | %s | %.1f, %.1f |%n",
          question.name(),
          found[0],
          found[1],
          first,
          ours,
          again,
          theirs,
          first.timesLonger(theirs),
          ours.timesLonger(theirs));
    }
  }

  private int search(Question question) {
    Compiled.Ready ready = compile(question.strategy());
    for (Property property : Question.DIVIDED.subList(0, question.breakdowns())) {
      Breakdown.of(snapshot, ready, Breakdown.Asked.of(property));
    }
    return snapshot.search(ready, Ordering.RELEVANCE).count();
  }

  private void sheet() {
    print("%n| on the sheet | core |%n|---|---|%n");
    Strategy first = Question.eightLines(false);
    Strategy second = Question.eightLines(true);
    print(
        "| counts of eight lines, new words | %s |%n", Times.of(this::forget, () -> counts(first)));
    print(
        "| counts of eight lines, new state | %s |%n",
        Times.of(this::changeSomething, () -> counts(first)));
    print(
        "| counts of eight lines, one changed | %s |%n",
        Times.of(
            () -> {
              forget();
              counts(first);
            },
            () -> counts(second)));
    Strategy many = Question.all().get(Question.all().size() - 1).strategy();
    print(
        "| counts of three lines of 54 words, nothing changed | %s |%n",
        Times.of(() -> counts(many)));
    print(
        "| suggestions of four sorts for “mot” | %s |%n",
        Times.of(
            () -> {
              Suggestions suggestions = new Suggestions(snapshot);
              for (Property property :
                  List.of(Property.HEADING, Property.KEYWORD, Property.AUTHOR, Property.JOURNAL)) {
                suggestions.of(property, "mot", 4);
              }
            }));
    IndexEntry like = changing;
    print(
        "| what is alike to one publication | %s |%n",
        Times.of(
            () -> new SimilarPublications(snapshot, like.publication()).found(like.publicId())));
    Strategy before = Strategy.of("moth or bat or bird");
    Strategy after = Strategy.of("moth or bat or owl");
    print(
        "| gained and lost of two searches, with eight names each | %s |%n",
        Times.of(() -> Comparison.of(snapshot, compile(before), compile(after), 8)));
    print(
        "| the same, words nobody asked for before | %s |%n",
        Times.of(this::forget, () -> Comparison.of(snapshot, compile(before), compile(after), 8)));
    System.gc();
    long heap = Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    print(
        "%nheap in use: %,d MiB of at most %,d%n",
        heap >> 20, Runtime.getRuntime().maxMemory() >> 20);
  }

  private void counts(Strategy strategy) {
    new LineCounts(snapshot, compile(strategy)).all();
  }

  /** Four members at once, each with an own question: the slowest beside one alone. */
  private void fourAtOnce() {
    Question question = Question.all().get(2);
    Times alone = Times.of(this::changeSomething, () -> search(question));
    ExecutorService members = Executors.newFixedThreadPool(4);
    try {
      Times together =
          Times.of(
              this::changeSomething,
              () -> {
                List<Future<?>> all = new ArrayList<>();
                for (int i = 0; i < 4; i++) {
                  all.add(members.submit(() -> search(question)));
                }
                all.forEach(SearchBench::await);
              });
      print(
          "%nfour at once: %s, alone: %s, %.1f times%n",
          together, alone, alone.timesLonger(together));
    } finally {
      members.shutdown();
    }
  }

  private static void await(Future<?> one) {
    try {
      one.get();
    } catch (InterruptedException | ExecutionException failed) {
      throw new IllegalStateException(failed);
    }
  }

  private static void delete(Path folder) throws IOException {
    try (var files = Files.walk(folder)) {
      for (Path file : files.sorted(java.util.Comparator.reverseOrder()).toList()) {
        Files.delete(file);
      }
    }
  }

  private static void print(String format, Object... values) {
    System.out.printf(Locale.ENGLISH, format, values);
  }
}
