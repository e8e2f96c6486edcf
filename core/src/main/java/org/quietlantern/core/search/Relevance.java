package org.quietlantern.core.search;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.roaringbitmap.IntConsumer;
import org.roaringbitmap.RoaringBitmap;

/**
 * Puts a set of documents in order of relevance: the sum, over the words that find, of how strongly
 * each meets a document times how rare it is in this state (BM25, see {@link TermStrength}). Ties:
 * order of coming here, then row number (rule O1).
 */
final class Relevance {
  private final IndexState state;
  private final List<Weighted> words = new ArrayList<>();

  /** A word, phrase or cut word and what meeting it is worth. */
  private record Weighted(Query query, float weight) {}

  /** A document that may come among the first. */
  private record Candidate(int doc, float score, int came, int id) {}

  /** {@code queries}: those of the lines that find. */
  Relevance(IndexState state, List<Query> queries) {
    this.state = state;
    queries.forEach(this::collect);
  }

  private void collect(Query query) {
    if (query instanceof BooleanQuery joined) {
      joined.clauses().stream()
          .filter(BooleanClause::isScoring)
          .forEach(clause -> collect(clause.getQuery()));
    } else {
      words.add(new Weighted(query, rarity(state.sets().of(query).count())));
    }
  }

  private float rarity(int having) {
    double all = state.reader().numDocs();
    return (float) Math.log1p((all - having + 0.5) / (having + 0.5));
  }

  /** The first of a set; {@code reverse}: the least relevant. */
  ScoreDoc[] first(DocSet set, int most, boolean reverse) throws IOException {
    First first = new First(most, reverse);
    List<List<Postings>> met = words.stream().map(w -> state.sets().postings(w.query())).toList();
    for (LeafReaderContext leaf : state.reader().leaves()) {
      if (!set.in(leaf).isEmpty()) {
        first.take(leaf, set.in(leaf), scores(leaf, met));
      }
    }
    return first.inOrder();
  }

  private float[] scores(LeafReaderContext leaf, List<List<Postings>> met) {
    float[] scores = new float[leaf.reader().maxDoc()];
    for (int i = 0; i < words.size(); i++) {
      met.get(i).get(leaf.ord).addTo(scores, words.get(i).weight());
    }
    return scores;
  }

  /** Keeps the first of all that it is given. */
  private final class First {
    private final int most;
    private final float sign;
    private final Comparator<Candidate> order;
    private final PriorityQueue<Candidate> kept;

    /** Better than this, or as good, gets a closer look. */
    private float enough = Float.NEGATIVE_INFINITY;

    First(int most, boolean reverse) {
      this.most = most;
      this.sign = reverse ? -1 : 1;
      this.order =
          Comparator.<Candidate>comparingDouble(c -> -sign * c.score())
              .thenComparingInt(Candidate::came)
              .thenComparingInt(Candidate::id);
      this.kept = new PriorityQueue<>(order.reversed());
    }

    void take(LeafReaderContext leaf, RoaringBitmap docs, float[] scores) throws IOException {
      int[] came = state.columns().numbers(leaf, IndexFields.CAME);
      int[] ids = state.columns().numbers(leaf, IndexFields.ID);
      IntConsumer look =
          doc -> {
            if (sign * scores[doc] >= enough) {
              take(new Candidate(leaf.docBase + doc, scores[doc], came[doc], ids[doc]));
            }
          };
      docs.forEach(look);
    }

    private void take(Candidate candidate) {
      if (kept.size() < most) {
        kept.add(candidate);
      } else if (order.compare(candidate, kept.element()) < 0) {
        kept.remove();
        kept.add(candidate);
      }
      if (kept.size() == most) {
        enough = sign * kept.element().score();
      }
    }

    ScoreDoc[] inOrder() {
      Candidate[] all = kept.toArray(Candidate[]::new);
      Arrays.sort(all, order);
      return Arrays.stream(all)
          .map(candidate -> new ScoreDoc(candidate.doc(), candidate.score()))
          .toArray(ScoreDoc[]::new);
    }
  }
}
