package org.quietlantern.core.search;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.Query;

/**
 * Where words, phrases and limits are met in a segment, in documents that went as well. Kept while
 * there is room and the segment lives: states of the index that differ by some records share nearly
 * all.
 */
final class PostingsCache {
  private static final long MOST_BYTES = 128L << 20;
  private static final int BYTES_BESIDE = 256;

  private record Key(IndexReader.CacheKey segment, Query query) {}

  private final Set<IndexReader.CacheKey> living = ConcurrentHashMap.newKeySet();
  private final Cache<Key, Postings> kept =
      Caffeine.newBuilder()
          .maximumWeight(MOST_BYTES)
          .weigher((Key key, Postings postings) -> BYTES_BESIDE + postings.bytes())
          .executor(Runnable::run)
          .build();

  /** Null where nothing is kept. */
  Postings find(LeafReaderContext leaf, Query query) {
    return kept.getIfPresent(key(leaf, query));
  }

  void keep(LeafReaderContext leaf, Query query, Postings postings) {
    IndexReader.CacheHelper helper = leaf.reader().getCoreCacheHelper();
    if (living.add(helper.getKey())) {
      helper.addClosedListener(this::forget);
    }
    kept.put(key(leaf, query), postings);
  }

  private void forget(IndexReader.CacheKey segment) {
    living.remove(segment);
    kept.asMap().keySet().removeIf(key -> key.segment().equals(segment));
  }

  void forgetAll() {
    kept.invalidateAll();
  }

  private static Key key(LeafReaderContext leaf, Query query) {
    return new Key(leaf.reader().getCoreCacheHelper().getKey(), query);
  }
}
