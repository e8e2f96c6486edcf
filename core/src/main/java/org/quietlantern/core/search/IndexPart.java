package org.quietlantern.core.search;

import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.NumericDocValues;
import org.apache.lucene.index.Term;
import org.apache.lucene.store.Directory;
import org.apache.lucene.util.Bits;

/** One folder of documents: those of everybody, or those that one group alone has. */
final class IndexPart {
  private static final System.Logger LOG = System.getLogger(IndexPart.class.getName());
  private static final String NUMBER = "number";
  private static final String CATALOGUE = "catalogue";

  private final String catalogue;
  private final Directory directory;
  private final IndexWriter writer;
  private final Map<String, String> committed = new HashMap<>();
  private DirectoryReader reader;

  /** What another catalogue left in the directory is forgotten. */
  IndexPart(Directory directory, String catalogue) throws IOException {
    this.catalogue = catalogue;
    this.directory = directory;
    this.writer =
        new IndexWriter(
            directory, new IndexWriterConfig(new FieldAnalysis()).setCommitOnClose(false));
    if (writer.getLiveCommitData() != null) {
      writer.getLiveCommitData().forEach(e -> committed.put(e.getKey(), e.getValue()));
    }
    if (!catalogue.equals(committed.get(CATALOGUE))) {
      committed.clear();
      writer.deleteAll();
    }
    reader = DirectoryReader.open(writer);
  }

  /** The last change that its documents hold since they were committed; 0 for none. */
  long number() {
    return Long.parseLong(committed.getOrDefault(NUMBER, "0"));
  }

  /** What was committed with it besides; empty for what was not. */
  String committed(String name) {
    return committed.getOrDefault(name, "");
  }

  DirectoryReader reader() {
    return reader;
  }

  /** Answers why it cannot be taken in, if it cannot; then it is not there. */
  Optional<String> put(IndexEntry entry) throws IOException {
    try {
      writer.updateDocument(key(entry.id()), Documents.of(entry));
      return Optional.empty();
    } catch (IllegalArgumentException unfit) {
      remove(entry.id());
      return Optional.of(String.valueOf(unfit.getMessage()));
    }
  }

  void remove(int id) throws IOException {
    writer.deleteDocuments(key(id));
  }

  void empty() throws IOException {
    writer.deleteAll();
  }

  private static Term key(int id) {
    return new Term(IndexFields.KEY, Integer.toString(id));
  }

  /** Answers whether there are other documents than before. */
  boolean refresh() throws IOException {
    DirectoryReader newer = DirectoryReader.openIfChanged(reader, writer);
    if (newer == null) {
      return false;
    }
    reader.decRef();
    reader = newer;
    return true;
  }

  void digests(CatalogueIndex.Digests each) throws IOException {
    for (LeafReaderContext leaf : reader.leaves()) {
      Bits live = leaf.reader().getLiveDocs();
      NumericDocValues ids = leaf.reader().getNumericDocValues(IndexFields.ID);
      NumericDocValues digests = leaf.reader().getNumericDocValues(IndexFields.DIGEST);
      for (int doc = 0; doc < leaf.reader().maxDoc(); doc++) {
        if ((live == null || live.get(doc)) && ids.advanceExact(doc) && digests.advanceExact(doc)) {
          each.add((int) ids.longValue(), digests.longValue());
        }
      }
    }
  }

  /** Makes the documents outlive the process, with what else is to be known of them. */
  void commit(long number, Map<String, String> more) throws IOException {
    committed.putAll(more);
    committed.put(NUMBER, Long.toString(number));
    committed.put(CATALOGUE, catalogue);
    writer.setLiveCommitData(committed.entrySet());
    writer.commit();
  }

  /** Takes nothing in any more and lets the folder go, in whatever condition it is. */
  void retire() {
    try {
      writer.rollback();
    } catch (IOException | RuntimeException broken) {
      // It was broken already, which is why it is given up.
      LOG.log(System.Logger.Level.DEBUG, "an index was given up", broken);
    }
  }

  void close() throws IOException {
    reader.decRef();
    if (writer.isOpen()) {
      writer.close();
    }
    directory.close();
  }
}
