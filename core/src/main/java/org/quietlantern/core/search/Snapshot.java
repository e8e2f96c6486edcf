package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.apache.lucene.document.IntPoint;
import org.apache.lucene.index.BinaryDocValues;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.ReaderUtil;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TopFieldCollectorManager;
import org.quietlantern.core.query.Strategy;
import org.roaringbitmap.RoaringBitmap;

/**
 * One state of the index. Everything asked of it is answered from the same state, until it is
 * closed. What is asked of it besides has classes of its own: {@link LineCounts}, {@link
 * Breakdown}, {@link Explainer}, {@link Suggestions} and others.
 */
public final class Snapshot implements AutoCloseable {
  private final IndexState state;

  Snapshot(IndexState state) {
    this.state = state;
  }

  /** The last change of the catalogue that this state holds. */
  public long number() {
    return state.number();
  }

  public Compiled compile(Strategy strategy, SearchContext circumstances, Library library) {
    return new StrategyCompiler(state, circumstances, library).compile(strategy);
  }

  /** How many a strategy finds; empty where it cannot be searched. */
  public OptionalInt count(Strategy strategy, SearchContext circumstances, Library library) {
    return compile(strategy, circumstances, library) instanceof Compiled.Ready ready
        ? OptionalInt.of(count(ready))
        : OptionalInt.empty();
  }

  /** How many match. */
  public int count(Compiled.Ready ready) {
    return state.sets().of(ready.query()).count();
  }

  /** The exact count, and the first ids in order. */
  public SearchResult search(Compiled.Ready ready, Ordering ordering) {
    return search(ready, ordering, Optional.empty());
  }

  /** The exact count, and the first ids in order of those that are to be listed. */
  public SearchResult search(Compiled.Ready ready, Ordering ordering, Optional<Only> only) {
    DocSet set = state.sets().of(ready.query());
    DocSet listed = only.map(filter -> listed(set, filter)).orElse(set);
    try {
      return new SearchResult(
          set.count(), listed.count(), publicIds(first(ready, listed, ordering)));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private DocSet listed(DocSet set, Only only) {
    Query these = IntPoint.newSetQuery(IndexFields.ID, only.publications().toArray());
    DocSet filter = state.sets().once(these);
    return only.isRuledOut() ? set.andNot(filter) : set.and(filter);
  }

  private ScoreDoc[] first(Compiled.Ready ready, DocSet set, Ordering ordering) throws IOException {
    if (ordering.order() == Order.RELEVANCE) {
      List<Query> words =
          ready.inForce().stream().filter(Compiled.Part::scores).map(Compiled.Part::query).toList();
      return new Relevance(state, words).first(set, SearchResult.LISTED, ordering.reverse());
    }
    return sorted(set, ordering, SearchResult.LISTED);
  }

  private ScoreDoc[] sorted(DocSet set, Ordering ordering, int most) throws IOException {
    return sorted(new SetQuery(set), ordering, most);
  }

  private ScoreDoc[] sorted(Query query, Ordering ordering, int most) throws IOException {
    return state
        .searcher()
        .search(
            query,
            new TopFieldCollectorManager(
                ordering.order().sort(ordering.reverse(), state), most, null, most))
        .scoreDocs;
  }

  /** Public ids of those of some publications (row numbers) that it holds, in an order. */
  public List<String> ordered(RoaringBitmap publications, Ordering ordering) {
    if (publications.isEmpty()) {
      return List.of();
    }
    try {
      Query these = IntPoint.newSetQuery(IndexFields.ID, publications.toArray());
      return publicIds(sorted(these, ordering, publications.getCardinality()));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Public ids of those that came here last, the newest first. {@code most}: at least one. */
  List<String> newest(DocSet set, int most) {
    try {
      return publicIds(sorted(set, new Ordering(Order.HERE, false), most));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Doc values can only be read forwards: all of a segment are, once, in the order they lie in. */
  List<String> publicIds(ScoreDoc[] docs) throws IOException {
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

  /** Those of {@code candidates} (row numbers) that match. */
  public RoaringBitmap among(Compiled.Ready ready, RoaringBitmap candidates) {
    return candidates(candidates).matching(ready);
  }

  /** Publications by row number, to ask several searches what they find of them. */
  public Candidates candidates(RoaringBitmap publications) {
    return new Candidates(state, publications);
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

  IndexState state() {
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
