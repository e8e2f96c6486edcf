package org.quietlantern.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.store.FSDirectory;

/** A bigger index out of copies of one: every record several times, every word as often. */
final class Copies {
  private Copies() {}

  /** Writes {@code times} copies of the index of one folder into another. */
  static void make(Path from, Path to, int times) throws IOException {
    try (FSDirectory source = FSDirectory.open(from);
        FSDirectory target = FSDirectory.open(to);
        IndexWriter writer = new IndexWriter(target, new IndexWriterConfig())) {
      for (int i = 0; i < times; i++) {
        writer.addIndexes(source);
      }
      try (DirectoryReader reader = DirectoryReader.open(source)) {
        Map<String, String> data = new HashMap<>(reader.getIndexCommit().getUserData());
        writer.setLiveCommitData(data.entrySet());
      }
      writer.commit();
    }
  }
}
