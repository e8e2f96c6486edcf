package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.MatchNoDocsQuery;
import org.apache.lucene.search.Query;
import org.roaringbitmap.RoaringBitmap;

/**
 * One state of the texts that a group may read, to be searched beside the catalogue. A text of
 * another group is never in it.
 */
public final class InsideTexts {
  /** No text at all. */
  public static final InsideTexts NONE = new InsideTexts(Optional.empty(), "0");

  private final Optional<IndexReader> reader;
  private final String edition;

  InsideTexts(Optional<IndexReader> reader, String edition) {
    this.reader = reader.filter(all -> all.numDocs() > 0);
    this.edition = edition;
  }

  /** Names this state: equal editions of a group have equal texts. */
  public String edition() {
    return edition;
  }

  public boolean isEmpty() {
    return reader.isEmpty();
  }

  /** Row numbers of all publications of which there is a text. */
  public RoaringBitmap publications() {
    return having(new MatchAllDocsQuery());
  }

  /** The words of all texts; empty where there is none. */
  Optional<Lexicon> lexicon() {
    return reader.map(Lexicon::new);
  }

  /** Publications whose texts match, as a query of the catalogue. */
  Query in(Query inside) {
    RoaringBitmap found = having(inside);
    return found.isEmpty() ? new MatchNoDocsQuery("in no text") : new TextsQuery(found);
  }

  private RoaringBitmap having(Query inside) {
    if (reader.isEmpty()) {
      return new RoaringBitmap();
    }
    try {
      return new IndexSearcher(reader.get()).search(inside, new IdCollector.Manager());
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
