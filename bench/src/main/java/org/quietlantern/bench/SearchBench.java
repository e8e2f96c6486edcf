package org.quietlantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.CatalogueIndex;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.core.search.Entry;
import org.quietlantern.core.search.Order;
import org.quietlantern.core.search.Snapshot;

/**
 * Exact count and the first 1,000 ids of some classes of query, through core and through PostgreSQL
 * full text on the same records in the same run. Ratios matter; absolutes are of this machine.
 * Arguments: JDBC address of a scratch database, its password, number of records.
 */
public final class SearchBench {
  private static final int ROUNDS = 40;
  private static final int WARM = 10;
  private static final int BATCH = 1_000;

  /** A class of query: as a line of ours, and as a tsquery. */
  private record Query(String name, String line, String tsquery) {}

  private static final List<Query> QUERIES =
      List.of(
          new Query("rare word", "noctule", "noctule"),
          new Query("common word", "light", "light"),
          new Query(
              "boolean of six",
              "(moth or bat or beetle) (dimming or curfew) not bridge",
              "(moth | bat | beetle) & (dimming | curfew) & !bridge"),
          new Query("phrase", "\"light traps\"", "light <-> traps"),
          new Query("cut word", "pipistr*", "pipistr:*"));

  private SearchBench() {}

  public static void main(String[] arguments) throws SQLException, java.io.IOException {
    int size = Integer.parseInt(arguments[2]);
    Path folder = Files.createTempDirectory("lantern-bench");
    try (CatalogueIndex index = CatalogueIndex.open(folder, "bench");
        FullText database = new FullText(arguments[0], arguments[1], Records.of(size))) {
      fill(index, size);
      System.out.printf(
          Locale.ENGLISH,
          "%n%,d records, %d rounds, milliseconds: median (95th percentile)%n%n| query | found | core | PostgreSQL | times |%n|---|---|---|---|---|%n",
          size,
          ROUNDS);
      try (Snapshot snapshot = index.snapshot()) {
        for (Query query : QUERIES) {
          print(query, snapshot, database);
        }
      }
    }
  }

  private static void fill(CatalogueIndex index, int size) throws java.io.IOException {
    List<Entry> batch = new ArrayList<>();
    Iterator<Entry> entries = Records.of(size).iterator();
    while (entries.hasNext()) {
      batch.add(entries.next());
      if (batch.size() == BATCH || !entries.hasNext()) {
        index.apply(batch, List.of(), batch.get(0).id());
        batch.clear();
      }
    }
  }

  private static void print(Query query, Snapshot snapshot, FullText database) {
    Compiled.Ready ready = (Compiled.Ready) snapshot.compile(Strategy.of(query.line));
    int[] found = new int[2];
    Times ours = time(() -> found[0] = snapshot.search(ready, Order.RELEVANCE).count());
    Times theirs = time(() -> found[1] = database.search(query.tsquery));
    System.out.printf(
        Locale.ENGLISH,
        "| %s | %,d / %,d | %.2f (%.2f) | %.2f (%.2f) | %.0f |%n",
        query.name,
        found[0],
        found[1],
        ours.median,
        ours.slow,
        theirs.median,
        theirs.slow,
        theirs.median / ours.median);
  }

  private record Times(double median, double slow) {}

  private static Times time(Runnable work) {
    List<Double> millis = new ArrayList<>();
    for (int i = 0; i < WARM + ROUNDS; i++) {
      long start = System.nanoTime();
      work.run();
      if (i >= WARM) {
        millis.add((System.nanoTime() - start) / 1e6);
      }
    }
    millis.sort(null);
    return new Times(millis.get(ROUNDS / 2), millis.get(ROUNDS * 95 / 100));
  }
}
