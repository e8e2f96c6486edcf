package org.quietlantern.core.search;

import org.apache.lucene.search.CollectionStatistics;
import org.apache.lucene.search.Explanation;
import org.apache.lucene.search.TermStatistics;
import org.apache.lucene.search.similarities.BM25Similarity;

/**
 * How strongly a document is met by a word, between 0 and 1: the part of BM25 (Robertson and
 * Zaragoza, The Probabilistic Relevance Framework, 2009, section 3.4) that depends on the document
 * alone. Texts are measured against a usual length in place of the average of the catalogue, so
 * that what was worked out for a document holds as long as the document does. How rare the word is
 * comes in when it is asked for, see {@link Relevance}.
 */
final class TermStrength extends BM25Similarity {
  /** Words in a title and its abstract. */
  private static final int USUAL_TEXT = 160;

  private static final int USUAL_NAME = 12;

  @Override
  protected float avgFieldLength(CollectionStatistics field) {
    return IndexFields.isLong(field.field()) ? USUAL_TEXT : USUAL_NAME;
  }

  @Override
  public Explanation idfExplain(CollectionStatistics field, TermStatistics term) {
    return Explanation.match(1f, "rarity is weighed elsewhere");
  }

  @Override
  public Explanation idfExplain(CollectionStatistics field, TermStatistics[] terms) {
    return Explanation.match(1f, "rarity is weighed elsewhere");
  }
}
