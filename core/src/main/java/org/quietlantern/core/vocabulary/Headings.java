package org.quietlantern.core.vocabulary;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.quietlantern.core.publication.Fold;

/** The headings: found by any of their names, gone through up and down (rules H1, H2, H4). */
public final class Headings {
  public static final Headings NONE = new Headings(List.of(), List.of());

  private final Map<String, Concept> byUri = new LinkedHashMap<>();
  private final Map<String, List<Concept>> narrower = new HashMap<>();
  private final Map<Kind, Map<String, Concept>> byName = new HashMap<>();
  private final NavigableMap<String, Set<Heading>> byWord = new TreeMap<>();
  private final Map<String, Concept> aspects = new LinkedHashMap<>();

  /** What sort of name a heading was met by, best first. */
  public enum Kind {
    PREFERRED(0),
    OTHER(1),
    /** What it was called before. */
    FORMER(2);

    private final int worse;

    Kind(int worse) {
      this.worse = worse;
    }
  }

  /** A heading met by a name. */
  public record Named(Concept heading, String name, Kind kind) {}

  /** A heading with its names taken apart, so that looking up is comparing. */
  private record Heading(Concept concept, List<Name> names) {
    static Heading of(Concept concept) {
      return new Heading(
          concept,
          Headings.names(concept).stream().map(n -> new Name(n, words(n.name()))).toList());
    }

    /** Each is itself only. */
    @Override
    public boolean equals(Object other) {
      return this == other;
    }

    @Override
    public int hashCode() {
      return System.identityHashCode(this);
    }
  }

  private record Name(Named named, List<String> words) {}

  public Headings(Collection<Concept> headings, Collection<Concept> aspects) {
    headings.forEach(heading -> byUri.put(heading.uri(), heading));
    aspects.forEach(aspect -> this.aspects.put(aspect.uri(), aspect));
    for (Concept heading : headings) {
      heading
          .broader()
          .forEach(above -> narrower.computeIfAbsent(above, n -> new ArrayList<>()).add(heading));
      Heading apart = Heading.of(heading);
      for (Name name : apart.names()) {
        byName
            .computeIfAbsent(name.named().kind(), k -> new HashMap<>())
            .merge(Fold.letters(name.named().name()), heading, Headings::inUse);
        name.words()
            .forEach(word -> byWord.computeIfAbsent(word, w -> new LinkedHashSet<>()).add(apart));
      }
    }
    narrower.values().forEach(below -> below.sort(Comparator.comparing(Concept::label)));
  }

  /** Of two with one name, the one that is still given. */
  private static Concept inUse(Concept one, Concept other) {
    return one.fate().retired() ? other : one;
  }

  private static List<Named> names(Concept heading) {
    List<Named> names = new ArrayList<>();
    names.add(new Named(heading, heading.label(), Kind.PREFERRED));
    heading.names().forEach(name -> names.add(new Named(heading, name, Kind.OTHER)));
    heading.fate().former().forEach(name -> names.add(new Named(heading, name, Kind.FORMER)));
    return names;
  }

  /** Words as they are compared: letters folded, without the ending of a plural. */
  private static List<String> words(String name) {
    List<String> words = new ArrayList<>();
    for (String part : name.split("[^\\p{L}\\p{M}\\p{N}]+")) {
      String word = Fold.letters(part);
      if (!word.isEmpty()) {
        words.add(singular(word));
      }
    }
    return words;
  }

  private static String singular(String word) {
    return word.length() > 3 && word.endsWith("s") && !word.endsWith("ss")
        ? word.substring(0, word.length() - 1)
        : word;
  }

  /** All of them, in the order given. */
  public Collection<Concept> all() {
    return List.copyOf(byUri.values());
  }

  public Optional<Concept> get(String uri) {
    return Optional.ofNullable(byUri.get(uri));
  }

  /** The heading that has a name; a preferred name wins over another, that over a former one. */
  public Optional<Named> find(String name) {
    String folded = Fold.letters(name);
    for (Kind kind : Kind.values()) {
      Concept heading = byName.getOrDefault(kind, Map.of()).get(folded);
      if (heading != null) {
        return Optional.of(new Named(heading, name, kind));
      }
    }
    return Optional.empty();
  }

  /** Those right above a heading. */
  public List<Concept> broader(Concept heading) {
    return heading.broader().stream().flatMap(uri -> get(uri).stream()).toList();
  }

  /** Those right below a heading. */
  public List<Concept> narrower(Concept heading) {
    return List.copyOf(narrower.getOrDefault(heading.uri(), List.of()));
  }

  public List<Concept> related(Concept heading) {
    return heading.related().stream().flatMap(uri -> get(uri).stream()).toList();
  }

  /** Those without anything above them, by name. */
  public List<Concept> tops() {
    return byUri.values().stream()
        .filter(heading -> broader(heading).isEmpty() && !heading.fate().retired())
        .sorted(Comparator.comparing(Concept::label))
        .toList();
  }

  /**
   * URIs that a search for a heading looks for: its own, what took its place and, if wanted,
   * everything below. Two parents or a circle do no harm.
   */
  public Set<String> reach(Concept heading, boolean withNarrower) {
    Set<String> met = new LinkedHashSet<>();
    Deque<String> waiting = new ArrayDeque<>(List.of(heading.uri()));
    while (!waiting.isEmpty()) {
      String uri = waiting.remove();
      if (met.add(uri)) {
        get(uri).ifPresent(each -> waiting.addAll(each.fate().replacedBy()));
        if (withNarrower) {
          narrower.getOrDefault(uri, List.of()).forEach(below -> waiting.add(below.uri()));
        }
      }
    }
    return met;
  }

  /** All aspects that a publication can be about a heading in. */
  public List<Concept> aspects() {
    return List.copyOf(aspects.values());
  }

  /** Those that make sense for a heading; all, where its scheme does not say. */
  public List<Concept> aspects(Concept heading) {
    List<Concept> own =
        heading.aspects().stream().map(aspects::get).filter(a -> a != null).toList();
    return own.isEmpty() ? aspects() : own;
  }

  public boolean isAspect(String word) {
    return aspects.values().stream().anyMatch(aspect -> aspectWord(aspect.label()).equals(word));
  }

  /** An aspect as it is typed and indexed: in lower case, hyphens for spaces. */
  public static String aspectWord(String label) {
    return label.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", "-");
  }

  /** Headings for everyday words, best first (rule H1); each with the name it was met by. */
  public List<Named> lookUp(String typed, int most) {
    List<String> sought = words(typed);
    if (sought.isEmpty()) {
      return List.of();
    }
    Set<Heading> met = new LinkedHashSet<>(beginningWith(sought.get(0)));
    sought.subList(1, sought.size()).forEach(word -> met.retainAll(beginningWith(word)));
    Set<String> whole = new HashSet<>(sought);
    return met.stream()
        .map(heading -> best(heading, sought, whole))
        .sorted(
            Comparator.comparingInt((Ranked r) -> r.rank())
                .thenComparingInt(r -> r.named().heading().label().length())
                .thenComparing(r -> r.named().heading().label()))
        .limit(most)
        .map(Ranked::named)
        .toList();
  }

  private Set<Heading> beginningWith(String word) {
    Set<Heading> met = new LinkedHashSet<>();
    byWord.subMap(word, true, word + Character.MAX_VALUE, false).values().forEach(met::addAll);
    return met;
  }

  /** A lower rank is better. */
  private record Ranked(Named named, int rank) {}

  private static Ranked best(Heading heading, List<String> sought, Set<String> whole) {
    Ranked best = null;
    for (Name name : heading.names()) {
      int rank = rank(name, sought, whole);
      if (best == null || rank < best.rank()) {
        best = new Ranked(name.named(), rank);
      }
    }
    return best;
  }

  /** The same words; all of them among others; beginning so; elsewhere. */
  private static int rank(Name name, List<String> sought, Set<String> whole) {
    List<String> words = name.words();
    Named named = name.named();
    int how;
    if (words.equals(sought)) {
      how = 0;
    } else if (words.containsAll(whole)) {
      how = 1;
    } else if (!words.isEmpty() && words.get(0).startsWith(sought.get(0))) {
      how = 2;
    } else {
      how = sought.stream().allMatch(s -> words.stream().anyMatch(w -> w.startsWith(s))) ? 3 : 4;
    }
    int retired = named.heading().fate().retired() ? 3 : 0;
    return how * 6 + retired + named.kind().worse;
  }
}
