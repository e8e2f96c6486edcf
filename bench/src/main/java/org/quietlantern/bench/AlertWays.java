package org.quietlantern.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import org.quietlantern.core.search.Candidates;
import org.quietlantern.core.search.CatalogueIndex;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.IndexEntry;
import org.quietlantern.core.search.Library;
import org.quietlantern.core.search.SearchContext;
import org.quietlantern.core.search.Snapshot;
import org.roaringbitmap.RoaringBitmap;

/**
 * Watched searches against records that just came, as alerts do it and in other ways, each with the
 * same answers: every search whole and then cut down, PostgreSQL's full text over a table of what
 * came, and sets of bits for each word of it, which is the least that it can take.
 */
final class AlertWays {
  private static final SearchContext TODAY =
      SearchContext.on(LocalDate.of(2026, 12, 1), ZoneId.of("Europe/Oslo"));
  private static final int BATCH = 1_000;
  private final String database;
  private final String password;

  AlertWays(String database, String password) {
    this.database = database;
    this.password = password;
  }

  /** {@code copies}: of so many records each. */
  void measure(int records, int copies, int searches, int came) throws IOException, SQLException {
    List<IndexEntry> all = Records.of(records + came).toList();
    List<IndexEntry> batch =
        all.subList(records, records + came).stream().map(entry -> moved(entry, copies)).toList();
    Path first = Files.createTempDirectory("lantern-bench");
    try (CatalogueIndex index = CatalogueIndex.open(first, "bench")) {
      for (int from = 0; from < records; from += BATCH) {
        index.apply(all.subList(from, Math.min(records, from + BATCH)), List.of(), from + 1L);
      }
      index.commit();
    }
    Path folder = Files.createTempDirectory("lantern-bench");
    Copies.make(first, folder, copies);
    List<WatchedSearch> watched = WatchedSearch.of(searches, all.subList(0, 2_000));
    try (CatalogueIndex index = CatalogueIndex.open(folder, "bench")) {
      index.apply(batch, List.of(), index.number() + came);
      try (Snapshot snapshot = index.snapshot()) {
        print(
            "%n| %,d searches, %,d records came to %,d | s | times ours | found |%n"
                + "|---|---|---|---|%n",
            searches, came, records * copies);
        compare(snapshot, watched, batch);
      }
    }
    SizeBench.delete(first);
    SizeBench.delete(folder);
  }

  /** Row numbers of copies are those of the first: what comes has others. */
  private static IndexEntry moved(IndexEntry entry, int copies) {
    int id = entry.id() + copies * 10_000_000;
    return new IndexEntry(
        id, "b" + id, entry.group(), entry.came(), entry.sources(), entry.publication());
  }

  private void compare(Snapshot snapshot, List<WatchedSearch> watched, List<IndexEntry> batch)
      throws SQLException {
    RoaringBitmap came = RoaringBitmap.bitmapOf(batch.stream().mapToInt(IndexEntry::id).toArray());
    // What is measured first would pay for the virtual machine's own compiler.
    List<WatchedSearch> some = watched.subList(0, watched.size() / 10);
    amongBatch(snapshot, some, came);
    whole(snapshot, some, came);
    timed(
        "read only: words and what they mean",
        0,
        () -> {
          watched.forEach(w -> compiled(snapshot, w));
          return List.of();
        });
    Found ours = timed("as alerts do it", 0, () -> amongBatch(snapshot, watched, came));
    check(
        ours,
        timed("each search whole, cut down", ours.seconds(), () -> whole(snapshot, watched, came)));
    try (BatchFullText text = new BatchFullText(database, password, batch)) {
      check(
          ours,
          timed("PostgreSQL over a table of what came", ours.seconds(), () -> text.all(watched)));
    }
    BatchBits bits = new BatchBits(batch);
    check(ours, timed("bits of each word, the least", ours.seconds(), () -> bits.all(watched)));
  }

  /** Which of what came each search finds. */
  private record Found(List<RoaringBitmap> sets, double seconds) {}

  private static Found timed(String way, double ours, Supplier<List<RoaringBitmap>> all) {
    long began = System.nanoTime();
    List<RoaringBitmap> sets = all.get();
    double seconds = (System.nanoTime() - began) / 1e9;
    print(
        "| %s | %.2f | %s | %,d |%n",
        way,
        seconds,
        ours == 0 ? "" : "%.1f".formatted(seconds / ours),
        sets.stream().mapToLong(RoaringBitmap::getCardinality).sum());
    return new Found(sets, seconds);
  }

  private static void check(Found ours, Found other) {
    int differ = 0;
    for (int n = 0; n < ours.sets().size(); n++) {
      differ += ours.sets().get(n).equals(other.sets().get(n)) ? 0 : 1;
    }
    if (differ > 0) {
      print("| … **other answers for %,d searches** | | | |%n", differ);
    }
  }

  private static List<RoaringBitmap> amongBatch(
      Snapshot snapshot, List<WatchedSearch> watched, RoaringBitmap came) {
    Candidates candidates = snapshot.candidates(came);
    return watched.stream().map(search -> candidates.matching(compiled(snapshot, search))).toList();
  }

  private static List<RoaringBitmap> whole(
      Snapshot snapshot, List<WatchedSearch> watched, RoaringBitmap came) {
    List<RoaringBitmap> all = new ArrayList<>();
    for (WatchedSearch search : watched) {
      RoaringBitmap found = snapshot.all(compiled(snapshot, search));
      found.and(came);
      all.add(found);
    }
    return all;
  }

  static Compiled.Ready compiled(Snapshot snapshot, WatchedSearch search) {
    return (Compiled.Ready) snapshot.compile(search.strategy(), TODAY, Library.EMPTY);
  }

  private static void print(String format, Object... values) {
    System.out.printf(Locale.ENGLISH, format, values);
  }
}
