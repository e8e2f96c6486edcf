package org.quietlantern.core.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReader;
import org.apache.lucene.index.LeafReaderContext;

/** What was worked out of a segment, kept until the segment is no more. */
final class SegmentCache<V> {
  /** Names that a segment keeps; when there are more, what depends on other days goes. */
  private static final int MOST = 64;

  private final Map<IndexReader.CacheKey, Map<String, V>> segments = new ConcurrentHashMap<>();

  /** Works something out of a segment. */
  interface Making<V> {
    V make(LeafReader reader) throws IOException;
  }

  V get(LeafReaderContext leaf, String name, Making<? extends V> making) throws IOException {
    try {
      Map<String, V> kept = of(leaf.reader().getCoreCacheHelper());
      if (kept.size() > MOST) {
        kept.clear();
      }
      return kept.computeIfAbsent(name, n -> make(leaf.reader(), making));
    } catch (UncheckedIOException failed) {
      throw new IOException(failed);
    }
  }

  private Map<String, V> of(IndexReader.CacheHelper helper) {
    return segments.computeIfAbsent(
        helper.getKey(),
        key -> {
          helper.addClosedListener(segments::remove);
          return new ConcurrentHashMap<>();
        });
  }

  private static <V> V make(LeafReader reader, Making<? extends V> making) {
    try {
      return making.make(reader);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
