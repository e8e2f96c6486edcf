package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.document.IntPoint;
import org.apache.lucene.index.BinaryDocValues;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.ReaderUtil;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TopFieldCollectorManager;
import org.apache.lucene.search.TopFieldDocs;
import org.apache.lucene.util.FixedBitSet;
import org.quietlantern.core.query.Strategy;
import org.roaringbitmap.RoaringBitmap;

/**
 * One state of the index. Everything asked of it is answered from the same state, until it is
 * closed. What is asked of it besides has classes of its own: {@link LineCounts}, {@link
 * Breakdown}, {@link Reasons}, {@link Suggestions} and others.
 */
public final class Snapshot implements AutoCloseable {
  /** From here on a set is gone through together with the words that score. */
  private static final int FEW = 20_000;

  private final State state;

  Snapshot(State state) {
    this.state = state;
  }

  /** The last change of the catalogue that this state holds. */
  public long number() {
    return state.number();
  }

  public Compiled compile(Strategy strategy, Circumstances circumstances, Library library) {
    return new StrategyCompiler(state, circumstances, library).compile(strategy);
  }

  /** The exact count, and the first ids in order. */
  public Found search(Compiled.Ready ready, Ordering ordering) {
    FixedBitSet set = state.sets().of(ready.query());
    int count = set.cardinality();
    try {
      TopFieldDocs top =
          state
              .searcher()
              .search(
                  ordering.order() == Order.RELEVANCE
                      ? scored(ready, set, count)
                      : new SetQuery(set, count),
                  new TopFieldCollectorManager(
                      ordering.order().sort(ordering.reverse(), state),
                      Found.LISTED,
                      null,
                      Found.LISTED));
      return new Found(count, publicIds(top.scoreDocs));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /**
   * Scores by the words of the lines that find; limits and what is ruled out only say what takes
   * part. A big set is not looked at one by one: the words alone lead, and skip what cannot come
   * among the first.
   */
  private Query scored(Compiled.Ready ready, FixedBitSet set, int count) {
    List<Compiled.Part> scoring = ready.inForce().stream().filter(Compiled.Part::scores).toList();
    if (scoring.isEmpty()) {
      return new SetQuery(set, count);
    }
    BooleanQuery.Builder all = new BooleanQuery.Builder();
    scoring.forEach(part -> all.add(part.query(), Occur.MUST));
    boolean wordsAlone = scoring.size() == ready.inForce().size() && count > FEW;
    if (!wordsAlone) {
      all.add(new SetQuery(set, count), Occur.FILTER);
    }
    return all.build();
  }

  /** Doc values can only be read forwards: all of a segment are, once, in the order they lie in. */
  private List<String> publicIds(ScoreDoc[] docs) throws IOException {
    ScoreDoc[] lying = docs.clone();
    Arrays.sort(lying, Comparator.comparingInt(doc -> doc.doc));
    Map<Integer, String> byDoc = new HashMap<>();
    LeafReaderContext leaf = null;
    BinaryDocValues values = null;
    for (ScoreDoc doc : lying) {
      if (leaf == null || doc.doc >= leaf.docBase + leaf.reader().maxDoc()) {
        List<LeafReaderContext> leaves = state.reader().leaves();
        leaf = leaves.get(ReaderUtil.subIndex(doc.doc, leaves));
        values = leaf.reader().getBinaryDocValues(IndexFields.PUBLIC_ID);
      }
      if (values == null || !values.advanceExact(doc.doc - leaf.docBase)) {
        throw new IllegalStateException("a document without a public id");
      }
      byDoc.put(doc.doc, values.binaryValue().utf8ToString());
    }
    return Arrays.stream(docs).map(doc -> byDoc.get(doc.doc)).toList();
  }

  /** Row numbers of all that match. */
  public RoaringBitmap all(Compiled.Ready ready) {
    return collect(ready.query());
  }

  /** Those of {@code candidates} that match; the same answer as {@link #all} cut down to them. */
  public RoaringBitmap among(Compiled.Ready ready, RoaringBitmap candidates) {
    return collect(
        new BooleanQuery.Builder()
            .add(ready.query(), Occur.MUST)
            .add(IntPoint.newSetQuery(IndexFields.ID, candidates.toArray()), Occur.FILTER)
            .build());
  }

  RoaringBitmap collect(Query query) {
    try {
      return state.searcher().search(query, new IdCollector.Manager());
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** How many match, without keeping which. */
  int count(Query query) {
    try {
      return state.searcher().count(query);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** How many publications the index holds. */
  public int size() {
    return state.reader().numDocs();
  }

  State state() {
    return state;
  }

  IndexReader reader() {
    return state.reader();
  }

  @Override
  public void close() {
    try {
      state.reader().decRef();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
