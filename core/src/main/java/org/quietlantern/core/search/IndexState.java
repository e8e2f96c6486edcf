package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.search.IndexSearcher;

/** One state of the index with what was found in it so far; shared by all who look at it. */
final class IndexState {
  private final IndexReader reader;
  private final IndexSearcher searcher;
  private final Columns columns;
  private final PostingsCache kept;
  private final Lexicon lexicon;
  private final long number;
  private Sets sets;
  private CitedBy citedBy;

  IndexState(IndexReader reader, Columns columns, PostingsCache kept, long number) {
    this(reader, columns, kept, new Lexicon(reader), number);
  }

  private IndexState(
      IndexReader reader, Columns columns, PostingsCache kept, Lexicon lexicon, long number) {
    this.lexicon = lexicon;
    this.reader = reader;
    this.searcher = new IndexSearcher(reader);
    this.searcher.setQueryCache(null);
    this.searcher.setSimilarity(new TermStrength());
    this.columns = columns;
    this.kept = kept;
    this.number = number;
  }

  IndexReader reader() {
    return reader;
  }

  IndexSearcher searcher() {
    return searcher;
  }

  Lexicon lexicon() {
    return lexicon;
  }

  Columns columns() {
    return columns;
  }

  /** The last change of the catalogue that this state holds. */
  long number() {
    return number;
  }

  synchronized Sets sets() {
    if (sets == null) {
      sets = new Sets(searcher, kept);
    }
    return sets;
  }

  synchronized CitedBy citedBy() {
    try {
      if (citedBy == null) {
        citedBy = CitedBy.of(reader);
      }
      return citedBy;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** The same documents up to a later change. */
  IndexState upTo(long later) {
    IndexState state = new IndexState(reader, columns, kept, lexicon, later);
    state.sets = sets;
    state.citedBy = citedBy;
    return state;
  }
}
