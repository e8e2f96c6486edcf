package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field.Store;
import org.apache.lucene.document.NumericDocValuesField;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.store.FSDirectory;
import org.quietlantern.core.query.Field;

/**
 * The searchable copy of the texts of one group, in a folder that can be deleted at any time. It
 * knows by keys what it holds, so that whoever feeds it brings only what is missing.
 */
public final class TextsIndex implements AutoCloseable {
  /** The form of the documents; a copy in another form is made anew. */
  private static final String FORM = "1";

  /** A word that a line end divides. */
  private static final Pattern DIVIDED = Pattern.compile("(?<=\\p{L})-\\n(?=\\p{Ll})");

  private final FSDirectory directory;
  private final IndexWriter writer;

  /** Former states, which somebody may still look at; the oldest first. */
  private final Deque<Former> former = new ArrayDeque<>();

  private DirectoryReader reader;

  private record Former(DirectoryReader reader, long since) {}

  /**
   * A text.
   *
   * @param key names it and the publication that it is of
   * @param publication row number
   * @param pages their words, in order
   */
  public record Entry(String key, int publication, List<String> pages) {}

  private TextsIndex(Path folder, String catalogue) throws IOException {
    directory = FSDirectory.open(folder);
    writer =
        new IndexWriter(
            directory, new IndexWriterConfig(new FieldAnalysis()).setCommitOnClose(false));
    String mine = catalogue + "/" + FORM;
    boolean isMine = false;
    if (writer.getLiveCommitData() != null) {
      for (Map.Entry<String, String> kept : writer.getLiveCommitData()) {
        isMine |= kept.getValue().equals(mine);
      }
    }
    if (!isMine) {
      writer.deleteAll();
    }
    writer.setLiveCommitData(Map.of("catalogue", mine).entrySet());
    reader = DirectoryReader.open(writer);
  }

  /** {@code catalogue} names the original; a copy of another original is emptied. */
  public static TextsIndex open(Path folder, String catalogue) {
    try {
      return new TextsIndex(folder, catalogue);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** The keys of all texts that it holds. */
  public synchronized Set<String> keys() {
    return new TreeSet<>(new Lexicon(reader).beginning(IndexFields.KEY, "", this::isThere));
  }

  /** Words of what is gone stay until they are swept away. */
  private boolean isThere(String key) {
    try {
      return new IndexSearcher(reader).count(IndexFields.having(IndexFields.KEY, key)) > 0;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Takes texts in and out; seen by every state taken from now on, and kept. */
  public synchronized void apply(Collection<Entry> put, Collection<String> remove) {
    try {
      for (String key : remove) {
        writer.deleteDocuments(new Term(IndexFields.KEY, key));
      }
      for (Entry entry : put) {
        writer.updateDocument(new Term(IndexFields.KEY, entry.key()), document(entry));
      }
      writer.commit();
      DirectoryReader newer = DirectoryReader.openIfChanged(reader, writer);
      if (newer != null) {
        former.add(new Former(reader, System.nanoTime()));
        reader = newer;
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static Document document(Entry entry) {
    Document document = new Document();
    document.add(new StringField(IndexFields.KEY, entry.key(), Store.NO));
    document.add(new NumericDocValuesField(IndexFields.ID, entry.publication()));
    // As one, for sentences go on from page to page.
    String words = DIVIDED.matcher(String.join("\n", entry.pages())).replaceAll("");
    String field = Field.TEXT.word();
    document.add(new TextField(IndexFields.stemmed(field), words, Store.NO));
    document.add(new TextField(IndexFields.exact(field), words, Store.NO));
    return document;
  }

  /**
   * The present state.
   *
   * @param edition names it
   */
  public synchronized InsideTexts now(String edition) {
    return new InsideTexts(Optional.of(reader), edition);
  }

  /** Lets go of states that were replaced so long ago. {@code nanos}: longer than any search. */
  public synchronized void forget(long nanos) {
    while (!former.isEmpty() && System.nanoTime() - former.peek().since() > nanos) {
      close(former.remove().reader());
    }
  }

  private static void close(DirectoryReader reader) {
    try {
      reader.close();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  @Override
  public synchronized void close() {
    forget(-1);
    close(reader);
    try {
      writer.close();
      directory.close();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
