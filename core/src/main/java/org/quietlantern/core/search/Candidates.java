package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.lucene.document.IntPoint;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BulkScorer;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Weight;
import org.roaringbitmap.FastAggregation;
import org.roaringbitmap.RoaringBitmap;

/**
 * Some publications of one state of the index, of which many searches are asked what they find.
 * Where those lie is looked up once, and so is which of them each word, phrase or limit meets: a
 * search is then arithmetic on small sets. For several threads.
 */
public final class Candidates {
  private final IndexSearcher searcher;
  private final List<LeafReaderContext> segments;
  private final SetQuery these;
  private final Map<Query, RoaringBitmap> met = new ConcurrentHashMap<>();

  /** {@code publications}: row numbers; what the index does not have is none of them. */
  Candidates(IndexState state, RoaringBitmap publications) {
    DocSet set = state.sets().once(IntPoint.newSetQuery(IndexFields.ID, publications.toArray()));
    this.searcher = state.searcher();
    this.these = new SetQuery(set);
    this.segments =
        state.reader().leaves().stream().filter(leaf -> !set.in(leaf).isEmpty()).toList();
  }

  /** Those that match, by row number; the same answer as all that match cut down to these. */
  public RoaringBitmap matching(Compiled.Ready ready) {
    return matching(ready.query()).clone();
  }

  /** The same of one query; not to be changed. */
  RoaringBitmap matching(Query query) {
    return query instanceof BooleanQuery joined
        ? joined(joined)
        : met.computeIfAbsent(query, this::evaluate);
  }

  /** Any of the optional ones where nothing is required, as Lucene has it. */
  private RoaringBitmap joined(BooleanQuery query) {
    List<RoaringBitmap> optional = new ArrayList<>();
    RoaringBitmap found = null;
    RoaringBitmap out = new RoaringBitmap();
    for (BooleanClause clause : query.clauses()) {
      RoaringBitmap its = matching(clause.getQuery());
      switch (clause.getOccur()) {
        case MUST, FILTER -> found = found == null ? its : RoaringBitmap.and(found, its);
        case SHOULD -> optional.add(its);
        case MUST_NOT -> out.or(its);
      }
    }
    RoaringBitmap all = found == null ? FastAggregation.or(optional.iterator()) : found;
    return out.isEmpty() ? all : RoaringBitmap.andNot(all, out);
  }

  private RoaringBitmap evaluate(Query query) {
    TimeLimit.check();
    Query both =
        new BooleanQuery.Builder().add(these, Occur.FILTER).add(query, Occur.FILTER).build();
    IdCollector found = new IdCollector();
    try {
      Weight weight =
          searcher.createWeight(searcher.rewrite(both), ScoreMode.COMPLETE_NO_SCORES, 1);
      for (LeafReaderContext segment : segments) {
        BulkScorer scorer = weight.bulkScorer(segment);
        if (scorer != null) {
          scorer.score(
              found.getLeafCollector(segment),
              segment.reader().getLiveDocs(),
              0,
              DocIdSetIterator.NO_MORE_DOCS);
        }
      }
      return found.ids();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
