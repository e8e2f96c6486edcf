package org.quietlantern.core.search;

import java.io.IOException;
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
    Map<String, V> kept = of(leaf.reader().getCoreCacheHelper());
    V known = kept.get(name);
    if (known != null) {
      return known;
    }
    if (kept.size() > MOST) {
      kept.clear();
    }
    // Outside of the map, for making one thing may ask for another.
    V made = making.make(leaf.reader());
    V first = kept.putIfAbsent(name, made);
    return first == null ? made : first;
  }

  private Map<String, V> of(IndexReader.CacheHelper helper) {
    return segments.computeIfAbsent(
        helper.getKey(),
        key -> {
          helper.addClosedListener(segments::remove);
          return new ConcurrentHashMap<>();
        });
  }
}
