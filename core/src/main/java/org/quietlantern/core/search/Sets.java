package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
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
import org.apache.lucene.util.BitSetIterator;
import org.apache.lucene.util.Bits;
import org.apache.lucene.util.FixedBitSet;
import org.roaringbitmap.RoaringBitmap;

/**
 * What queries find in one state of the index, as sets of documents. The set of each word, phrase
 * and limit is kept by segment, so that a strategy of which one word changed costs one word and
 * some arithmetic, and so does one that is asked again after some records came.
 */
final class Sets {
  private final IndexSearcher searcher;
  private final List<LeafReaderContext> leaves;
  private final PostingsCache kept;
  private final DocSet everything;
  private final DocSet all;

  Sets(IndexSearcher searcher, PostingsCache kept) {
    this.searcher = searcher;
    this.leaves = searcher.getIndexReader().leaves();
    this.kept = kept;
    this.everything =
        new DocSet(
            leaves.stream()
                .map(leaf -> RoaringBitmap.bitmapOfRange(0, leaf.reader().maxDoc()))
                .toList());
    this.all = new DocSet(leaves.stream().map(Sets::living).toList());
  }

  private static RoaringBitmap living(LeafReaderContext leaf) {
    int size = leaf.reader().maxDoc();
    RoaringBitmap living = RoaringBitmap.bitmapOfRange(0, size);
    Bits live = leaf.reader().getLiveDocs();
    if (live != null) {
      FixedBitSet gone = FixedBitSet.copyOf(live);
      gone.flip(0, size);
      BitSetIterator each = new BitSetIterator(gone, 0);
      for (int doc = each.nextDoc(); doc != BitSetIterator.NO_MORE_DOCS; doc = each.nextDoc()) {
        living.remove(doc);
      }
    }
    return living;
  }

  /** Every document that is there. */
  DocSet all() {
    return all;
  }

  DocSet none() {
    return new DocSet(leaves.stream().map(leaf -> new RoaringBitmap()).toList());
  }

  /** The documents that match and are there. */
  DocSet of(Query query) {
    return searcher.getIndexReader().hasDeletions() ? matching(query).and(all) : matching(query);
  }

  private DocSet matching(Query query) {
    if (query instanceof BooleanQuery joined) {
      return joined(joined);
    }
    if (query instanceof MatchAllDocsQuery) {
      return everything;
    }
    return query instanceof MatchNoDocsQuery ? none() : leaf(query);
  }

  /** Any of the optional ones where nothing is required, as Lucene has it. */
  private DocSet joined(BooleanQuery query) {
    List<DocSet> required = new ArrayList<>();
    List<DocSet> optional = new ArrayList<>();
    List<DocSet> out = new ArrayList<>();
    for (BooleanClause clause : query.clauses()) {
      switch (clause.getOccur()) {
        case MUST, FILTER -> required.add(matching(clause.getQuery()));
        case SHOULD -> optional.add(matching(clause.getQuery()));
        case MUST_NOT -> out.add(matching(clause.getQuery()));
      }
    }
    if (required.isEmpty() && optional.isEmpty()) {
      return none();
    }
    DocSet found = required.isEmpty() ? DocSet.any(optional) : DocSet.all(required);
    return out.isEmpty() ? found : found.andNot(DocSet.any(out));
  }

  /** The documents of what nobody asks again: nothing of it is kept. */
  DocSet once(Query query) {
    Weight weight = weight(query);
    return new DocSet(
        leaves.stream().map(leaf -> filled(new Filling(), weight, leaf).docs()).toList());
  }

  private DocSet leaf(Query query) {
    return new DocSet(postings(query).stream().map(Postings::docs).toList());
  }

  /** Where a word, phrase or limit is met in each segment, in documents that went as well. */
  List<Postings> postings(Query query) {
    List<Postings> known = leaves.stream().map(leaf -> kept.find(leaf, query)).toList();
    if (!known.contains(null)) {
      return known;
    }
    Weight weight = weight(query);
    return leaves.stream().map(leaf -> evaluate(query, weight, leaf)).toList();
  }

  private Weight weight(Query query) {
    try {
      ScoreMode mode = isWord(query) ? ScoreMode.COMPLETE : ScoreMode.COMPLETE_NO_SCORES;
      return searcher.createWeight(searcher.rewrite(query), mode, 1);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static boolean isWord(Query query) {
    return !(query instanceof LimitQuery);
  }

  private Postings evaluate(Query query, Weight weight, LeafReaderContext leaf) {
    Postings known = kept.find(leaf, query);
    if (known != null) {
      return known;
    }
    Postings found = filled(isWord(query) ? new Weighing() : new Filling(), weight, leaf);
    kept.keep(leaf, query, found);
    return found;
  }

  private static Postings filled(Filling filling, Weight weight, LeafReaderContext leaf) {
    TimeLimit.check();
    try {
      BulkScorer scorer = weight.bulkScorer(leaf);
      if (scorer != null) {
        scorer.score(filling, null, 0, DocIdSetIterator.NO_MORE_DOCS);
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return filling.postings.build();
  }

  private static class Filling implements LeafCollector {
    /** Documents after which it is looked at the time. */
    private static final int LOOK = 4096;

    final Postings.Builder postings = new Postings.Builder();
    private int met;

    final void count() {
      if (++met % LOOK == 0) {
        TimeLimit.check();
      }
    }

    @Override
    public void setScorer(Scorable scorer) throws IOException {
      // Nothing is scored.
    }

    @Override
    public void collect(int doc) throws IOException {
      count();
      postings.add(doc);
    }
  }

  private static final class Weighing extends Filling {
    private Scorable scorer;

    @Override
    public void setScorer(Scorable scorer) {
      this.scorer = scorer;
    }

    @Override
    public void collect(int doc) throws IOException {
      count();
      postings.add(doc, scorer.score());
    }
  }
}
