package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BulkScorer;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.LeafCollector;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.MatchNoDocsQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.Scorable;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Weight;
import org.apache.lucene.util.Bits;
import org.apache.lucene.util.FixedBitSet;

/**
 * What queries find in one state of the index, as sets of documents. The set of each word, phrase
 * and limit is kept, so that a strategy of which one word changed costs one word and some
 * arithmetic. Sets that are given out may be shared and are not to be changed.
 */
final class Sets {
  /** Bytes that the kept sets of one state may take. */
  private static final long MOST_BYTES = 96L << 20;

  private final IndexSearcher searcher;
  private final int size;
  private final FixedBitSet all;
  private final Map<Query, FixedBitSet> kept = new LinkedHashMap<>(64, 0.75f, true);

  Sets(IndexSearcher searcher) {
    this.searcher = searcher;
    this.size = Math.max(1, searcher.getIndexReader().maxDoc());
    this.all = living();
  }

  private FixedBitSet living() {
    FixedBitSet living = none();
    for (LeafReaderContext leaf : searcher.getIndexReader().leaves()) {
      living.set(leaf.docBase, leaf.docBase + leaf.reader().maxDoc());
      Bits live = leaf.reader().getLiveDocs();
      if (live != null) {
        FixedBitSet gone = FixedBitSet.copyOf(live);
        gone.flip(0, gone.length());
        for (int doc = next(gone, 0); doc >= 0; doc = next(gone, doc + 1)) {
          living.clear(leaf.docBase + doc);
        }
      }
    }
    return living;
  }

  /** The next one of a set from a place on; -1 where there is none. */
  private static int next(FixedBitSet set, int from) {
    int next = from < set.length() ? set.nextSetBit(from) : DocIdSetIterator.NO_MORE_DOCS;
    return next == DocIdSetIterator.NO_MORE_DOCS ? -1 : next;
  }

  /** Every document that is there. */
  FixedBitSet all() {
    return all;
  }

  FixedBitSet none() {
    return new FixedBitSet(size);
  }

  FixedBitSet of(Query query) {
    if (query instanceof BooleanQuery joined) {
      return joined(joined);
    }
    if (query instanceof MatchAllDocsQuery) {
      return all;
    }
    return query instanceof MatchNoDocsQuery ? none() : leaf(query);
  }

  /** Any of the optional ones where nothing is required, as Lucene has it. */
  private FixedBitSet joined(BooleanQuery query) {
    List<FixedBitSet> required = new ArrayList<>();
    List<FixedBitSet> optional = new ArrayList<>();
    List<FixedBitSet> out = new ArrayList<>();
    for (BooleanClause clause : query.clauses()) {
      switch (clause.getOccur()) {
        case MUST, FILTER -> required.add(of(clause.getQuery()));
        case SHOULD -> optional.add(of(clause.getQuery()));
        case MUST_NOT -> out.add(of(clause.getQuery()));
      }
    }
    FixedBitSet result;
    if (required.isEmpty()) {
      result = none();
      optional.forEach(result::or);
    } else {
      result = required.get(0).clone();
      required.subList(1, required.size()).forEach(result::and);
    }
    out.forEach(result::andNot);
    return result;
  }

  private FixedBitSet leaf(Query query) {
    synchronized (kept) {
      FixedBitSet known = kept.get(query);
      if (known != null) {
        return known;
      }
    }
    FixedBitSet found = evaluate(query);
    synchronized (kept) {
      kept.put(query, found);
      long most = Math.max(8, MOST_BYTES / (size / 8 + 64));
      var eldest = kept.entrySet().iterator();
      while (kept.size() > most && eldest.hasNext()) {
        eldest.next();
        eldest.remove();
      }
    }
    return found;
  }

  private FixedBitSet evaluate(Query query) {
    FixedBitSet found = none();
    try {
      Weight weight =
          searcher.createWeight(searcher.rewrite(query), ScoreMode.COMPLETE_NO_SCORES, 1);
      for (LeafReaderContext leaf : searcher.getIndexReader().leaves()) {
        BulkScorer scorer = weight.bulkScorer(leaf);
        if (scorer != null) {
          scorer.score(
              new Filling(found, leaf.docBase),
              leaf.reader().getLiveDocs(),
              0,
              DocIdSetIterator.NO_MORE_DOCS);
        }
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return found;
  }

  private record Filling(FixedBitSet found, int base) implements LeafCollector {
    @Override
    public void setScorer(Scorable scorer) {
      // Nothing is scored.
    }

    @Override
    public void collect(int doc) {
      found.set(base + doc);
    }
  }
}
