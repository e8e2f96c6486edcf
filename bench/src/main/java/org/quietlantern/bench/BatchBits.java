package org.quietlantern.bench;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.quietlantern.core.search.IndexEntry;
import org.roaringbitmap.RoaringBitmap;

/** A set of bits for each word of what came; a search is arithmetic on them. */
final class BatchBits {
  private final List<IndexEntry> batch;
  private final List<String> texts = new ArrayList<>();
  private final NavigableMap<String, BitSet> having = new TreeMap<>();
  private final BitSet articles = new BitSet();

  BatchBits(List<IndexEntry> batch) {
    this.batch = batch;
    for (int n = 0; n < batch.size(); n++) {
      List<String> words =
          List.of(
              Texts.of(batch.get(n).publication())
                  .toLowerCase(java.util.Locale.ROOT)
                  .split("[^\\p{L}\\p{N}]+"));
      texts.add(" " + String.join(" ", words) + " ");
      for (String word : words) {
        having.computeIfAbsent(word, w -> new BitSet()).set(n);
      }
      articles.set(n, batch.get(n).publication().kind().word().equals("article"));
    }
  }

  List<RoaringBitmap> all(List<WatchedSearch> watched) {
    return watched.stream().map(this::found).toList();
  }

  private RoaringBitmap found(WatchedSearch search) {
    BitSet found = new BitSet();
    found.set(0, batch.size());
    if (search.articles()) {
      found.and(articles);
    }
    for (List<WatchedSearch.Way> ways : search.ideas()) {
      BitSet any = new BitSet();
      ways.forEach(way -> any.or(of(way)));
      found.and(any);
    }
    return RoaringBitmap.bitmapOf(found.stream().map(n -> batch.get(n).id()).toArray());
  }

  private BitSet of(WatchedSearch.Way way) {
    if (way.cut()) {
      String start = way.words().get(0);
      BitSet any = new BitSet();
      having.subMap(start, start + Character.MAX_VALUE).values().forEach(any::or);
      return any;
    }
    BitSet all = new BitSet();
    all.set(0, batch.size());
    way.words().forEach(word -> all.and(having.getOrDefault(word, new BitSet())));
    if (way.words().size() > 1) {
      String phrase = " " + String.join(" ", way.words()) + " ";
      IntStream.range(0, batch.size())
          .filter(n -> all.get(n) && !texts.get(n).contains(phrase))
          .forEach(all::clear);
    }
    return all;
  }
}
