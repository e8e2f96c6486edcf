package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.store.Directory;
import org.apache.lucene.store.FSDirectory;

/**
 * The searchable copy of a catalogue. It can be deleted at any time: its commits remember whose
 * copy it is and up to which change it goes, and whoever feeds it asks {@link #number} where to go
 * on.
 */
public final class CatalogueIndex implements AutoCloseable {
  private static final System.Logger LOG = System.getLogger(CatalogueIndex.class.getName());
  private static final String NUMBER = "number";
  private static final String CATALOGUE = "catalogue";

  /** The form of the documents; a copy in another form is made anew. */
  private static final String FORM = "4";

  static {
    IndexSearcher.setMaxClauseCount(32_768);
  }

  private final String catalogue;
  private final Directory directory;
  private final IndexWriter writer;
  private final Columns columns = new Columns();
  private final PostingsCache kept = new PostingsCache();
  private IndexState state;
  private long number;

  private CatalogueIndex(Directory directory, String catalogue) throws IOException {
    this.catalogue = catalogue + "/" + FORM;
    this.directory = directory;
    this.writer =
        new IndexWriter(
            directory, new IndexWriterConfig(new FieldAnalysis()).setCommitOnClose(false));
    Map<String, String> data = new HashMap<>();
    if (writer.getLiveCommitData() != null) {
      writer.getLiveCommitData().forEach(e -> data.put(e.getKey(), e.getValue()));
    }
    if (this.catalogue.equals(data.get(CATALOGUE))) {
      number = Long.parseLong(data.get(NUMBER));
    } else {
      writer.deleteAll();
    }
    state = new IndexState(DirectoryReader.open(writer), columns, kept, number);
  }

  /**
   * Opens or makes the copy in a folder.
   *
   * @param catalogue names the original; a copy of another original is emptied
   */
  public static CatalogueIndex open(Path folder, String catalogue) {
    return open(() -> FSDirectory.open(folder), catalogue);
  }

  static CatalogueIndex open(Opening directory, String catalogue) {
    try {
      return new CatalogueIndex(directory.open(), catalogue);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Makes a directory to keep the copy in. */
  interface Opening {
    Directory open() throws IOException;
  }

  /** The last change taken in. */
  public synchronized long number() {
    return number;
  }

  /** A publication that could not be taken in, and why. */
  public record SetAside(int id, String why) {}

  /**
   * Takes in changes up to {@code upTo}; seen by every snapshot taken from now on. Repeating it
   * changes nothing. What cannot be taken in is set aside, the rest goes on.
   */
  public synchronized List<SetAside> apply(
      Collection<IndexEntry> put, Collection<Integer> remove, long upTo) {
    List<SetAside> aside = new ArrayList<>();
    try {
      for (int id : remove) {
        writer.deleteDocuments(key(id));
      }
      for (IndexEntry entry : put) {
        put(entry).ifPresent(why -> aside.add(new SetAside(entry.id(), why)));
      }
      number = upTo;
      refresh();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    return aside;
  }

  private Optional<String> put(IndexEntry entry) throws IOException {
    try {
      writer.updateDocument(key(entry.id()), Documents.of(entry));
      return Optional.empty();
    } catch (IllegalArgumentException unfit) {
      writer.deleteDocuments(key(entry.id()));
      return Optional.of(String.valueOf(unfit.getMessage()));
    }
  }

  /** Makes what was taken in outlive the process. */
  public synchronized void commit() {
    try {
      Map<String, String> data = Map.of(NUMBER, Long.toString(number), CATALOGUE, catalogue);
      writer.setLiveCommitData(data.entrySet());
      writer.commit();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** Forgets everything; the next changes to take in start from the first. */
  public synchronized void empty() {
    try {
      writer.deleteAll();
      number = 0;
      refresh();
      commit();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private void refresh() throws IOException {
    DirectoryReader newer = DirectoryReader.openIfChanged(state.reader(), writer);
    if (newer != null) {
      state.reader().decRef();
      state = new IndexState(newer, columns, kept, number);
    } else {
      state = state.upTo(number);
    }
  }

  /** Keeps nothing of what was found so far; only measurements need it. */
  public void forgetFound() {
    kept.forgetAll();
  }

  private static Term key(int id) {
    return new Term(IndexFields.KEY, Integer.toString(id));
  }

  /** The present state; to be closed by the caller. */
  public synchronized Snapshot snapshot() {
    state.reader().incRef();
    return new Snapshot(state);
  }

  /**
   * Takes nothing in any more and lets the folder go, in whatever condition it is. What was taken
   * in can still be searched until it is closed.
   */
  public synchronized void retire() {
    try {
      writer.rollback();
    } catch (IOException | RuntimeException broken) {
      // It was broken already, which is why it is given up.
      LOG.log(System.Logger.Level.DEBUG, "an index was given up", broken);
    }
  }

  @Override
  public synchronized void close() {
    try {
      state.reader().decRef();
      if (writer.isOpen()) {
        writer.close();
      }
      directory.close();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
