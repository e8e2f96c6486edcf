package org.quietlantern.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.IndexEntry;

/**
 * A search as somebody watches one: all of some ideas, any of the ways of each. Words are meant as
 * they are written, so that others can be asked the same.
 *
 * @param articles only articles
 */
record WatchedSearch(List<List<Way>> ideas, boolean articles) {
  /** Words that follow each other; {@code cut}: the only one is the beginning of any. */
  record Way(List<String> words, boolean cut) {
    String typed() {
      return cut ? words.get(0) + "*" : '"' + String.join(" ", words) + '"';
    }

    String tsquery() {
      return cut ? words.get(0) + ":*" : String.join(" <-> ", words);
    }
  }

  /** So many different ones of five classes, with words that occur together in some records. */
  static List<WatchedSearch> of(int many, List<IndexEntry> records) {
    Random random = new Random(7);
    List<List<String>> texts =
        records.stream().map(entry -> words(Texts.of(entry.publication()))).toList();
    Map<String, Integer> uses = new HashMap<>();
    texts.forEach(text -> Set.copyOf(text).forEach(word -> uses.merge(word, 1, Integer::sum)));
    Set<WatchedSearch> all = new LinkedHashSet<>();
    while (all.size() < many) {
      List<String> text = texts.get(random.nextInt(texts.size()));
      // The rarer half of a record's words says what it is about.
      List<String> telling =
          text.stream()
              .distinct()
              .filter(word -> word.length() > 3)
              .sorted(Comparator.comparing(uses::get))
              .toList();
      if (telling.size() > 12) {
        all.add(one(all.size() % 5, random, text, telling.subList(0, telling.size() / 2)));
      }
    }
    return List.copyOf(all);
  }

  private static WatchedSearch one(
      int which, Random random, List<String> text, List<String> telling) {
    List<List<Way>> ideas = new ArrayList<>();
    List<Way> some =
        random
            .ints(3, 0, telling.size())
            .mapToObj(n -> new Way(List.of(telling.get(n)), false))
            .toList();
    switch (which) {
      case 0 -> some.subList(0, 2).forEach(way -> ideas.add(List.of(way)));
      case 1 -> some.forEach(way -> ideas.add(List.of(way)));
      case 2 -> ideas.addAll(List.of(some.subList(0, 2), some.subList(2, 3)));
      case 3 -> {
        int at = random.nextInt(text.size() - 1);
        ideas.add(List.of(new Way(text.subList(at, at + 2), false)));
        ideas.add(List.of(some.get(0)));
      }
      default -> {
        String word = telling.get(random.nextInt(telling.size()));
        ideas.add(List.of(new Way(List.of(word.substring(0, 4)), true)));
        ideas.add(List.of(some.get(0)));
      }
    }
    return new WatchedSearch(ideas, random.nextInt(7) == 0);
  }

  static List<String> words(String text) {
    return Arrays.stream(text.toLowerCase(java.util.Locale.ROOT).split("[^a-z0-9]+"))
        .filter(word -> word.matches("[a-z]+"))
        .toList();
  }

  String typed() {
    return ideas.stream()
        .map(ways -> ways.stream().map(Way::typed).collect(Collectors.joining(" or ", "(", ")")))
        .collect(Collectors.joining(" and "));
  }

  String tsquery() {
    return ideas.stream()
        .map(ways -> ways.stream().map(Way::tsquery).collect(Collectors.joining(" | ", "(", ")")))
        .collect(Collectors.joining(" & "));
  }

  Strategy strategy() {
    List<Line> lines = new ArrayList<>(List.of(new Line.Words("w", typed(), false)));
    if (articles) {
      lines.add(new Line.Limited("k", Limit.any(Property.KIND, "article"), false));
    }
    return new Strategy(lines);
  }

  /** As the server keeps it. */
  String json() {
    String words =
        "{\"id\":\"w\",\"kind\":\"words\",\"text\":\"%s\",\"off\":false}"
            .formatted(typed().replace("\"", "\\\""));
    String limit =
        ",{\"id\":\"k\",\"kind\":\"limit\",\"property\":\"kind\",\"chosen\":[\"article\"],\"off\":false}";
    return "{\"version\":3,\"lines\":[%s%s]}".formatted(words, articles ? limit : "");
  }
}
