package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.document.IntPoint;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.ReaderUtil;
import org.apache.lucene.index.SortedDocValues;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.MatchNoDocsQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TopFieldCollectorManager;
import org.apache.lucene.search.TopFieldDocs;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Strategy;
import org.roaringbitmap.RoaringBitmap;

/**
 * One state of the index. Everything asked of it is answered from the same state, until it is
 * closed.
 */
public final class Snapshot implements AutoCloseable {
  private final DirectoryReader reader;
  private final IndexSearcher searcher;
  private final long number;

  Snapshot(DirectoryReader reader, long number) {
    this.reader = reader;
    this.searcher = new IndexSearcher(reader);
    this.number = number;
  }

  /** The last change of the catalogue that this state holds. */
  public long number() {
    return number;
  }

  public Compiled compile(Strategy strategy) {
    return new StrategyCompiler(reader).compile(strategy);
  }

  /** The exact count, and the first ids in order. */
  public Found search(Compiled.Ready ready, Order order) {
    try {
      TopFieldDocs top =
          searcher.search(
              ready.query(),
              new TopFieldCollectorManager(order.sort(), Found.LISTED, null, Integer.MAX_VALUE));
      return new Found((int) top.totalHits.value, publicIds(top.scoreDocs));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Doc values can only be read forwards: all of a segment are, once, in the order they lie in. */
  private List<String> publicIds(ScoreDoc[] docs) throws IOException {
    ScoreDoc[] lying = docs.clone();
    Arrays.sort(lying, Comparator.comparingInt(doc -> doc.doc));
    Map<Integer, String> byDoc = new HashMap<>();
    LeafReaderContext leaf = null;
    SortedDocValues values = null;
    for (ScoreDoc doc : lying) {
      if (leaf == null || doc.doc >= leaf.docBase + leaf.reader().maxDoc()) {
        leaf = reader.leaves().get(ReaderUtil.subIndex(doc.doc, reader.leaves()));
        values = leaf.reader().getSortedDocValues(IndexFields.PUBLIC_ID);
      }
      if (values == null || !values.advanceExact(doc.doc - leaf.docBase)) {
        throw new IllegalStateException("a document without a public id");
      }
      byDoc.put(doc.doc, values.lookupOrd(values.ordValue()).utf8ToString());
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

  private RoaringBitmap collect(Query query) {
    try {
      return searcher.search(query, new IdCollector.Manager());
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Which words of a strategy a publication was met by, and in which fields. */
  public List<Why> why(Strategy strategy, int id) {
    List<Why> reasons = new ArrayList<>();
    for (Leaves.Leaf leaf : Leaves.of(strategy)) {
      List<Field> fields = leaf.fields().stream().filter(f -> meets(leaf, f, id)).toList();
      if (!fields.isEmpty()) {
        reasons.add(new Why(Leaves.typed(leaf.term()), fields));
      }
    }
    return reasons;
  }

  private boolean meets(Leaves.Leaf leaf, Field field, int id) {
    Query query = leaf.term().match(new TermCompiler(new Lexicon(reader), List.of(field)));
    if (query instanceof MatchNoDocsQuery) {
      return false;
    }
    return collect(
            new BooleanQuery.Builder()
                .add(query, Occur.FILTER)
                .add(IntPoint.newExactQuery(IndexFields.ID, id), Occur.FILTER)
                .build())
        .contains(id);
  }

  /** How many publications the index holds. */
  public int size() {
    return reader.numDocs();
  }

  @Override
  public void close() {
    try {
      reader.decRef();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
