package org.quietlantern.core.vocabulary;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.publication.Fold;

/** The headings: found by any of their names, gone through up and down (rules H1, H2, H4). */
public final class Headings {
  public static final Headings NONE = new Headings(List.of(), List.of());

  private final Map<String, Concept> byUri;
  private final Map<String, List<Concept>> narrower;
  private final Map<Kind, Map<String, Concept>> byName;
  private final Map<String, Named> byForm;
  private final HeadingIndex index;
  private final Map<String, Concept> aspects;

  /** Names in folded letters that mean a heading whoever has them now. */
  private final Map<String, String> meant;

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

    int worse() {
      return worse;
    }
  }

  /** A heading met by a name. */
  public record Named(Concept heading, String name, Kind kind) {}

  public Headings(Collection<Concept> headings, Collection<Concept> aspects) {
    byUri = new LinkedHashMap<>();
    narrower = new HashMap<>();
    byName = new HashMap<>();
    byForm = new HashMap<>();
    index = new HeadingIndex();
    this.aspects = new LinkedHashMap<>();
    meant = Map.of();
    headings.forEach(heading -> byUri.put(heading.uri(), heading));
    aspects.forEach(aspect -> this.aspects.put(aspect.uri(), aspect));
    for (Concept heading : headings) {
      heading
          .broader()
          .forEach(above -> narrower.computeIfAbsent(above, n -> new ArrayList<>()).add(heading));
      List<Named> names = names(heading);
      index.add(names);
      for (Named name : names) {
        byName
            .computeIfAbsent(name.kind(), k -> new HashMap<>())
            .merge(Fold.letters(name.name()), heading, Headings::inUse);
        byForm.merge(NameForms.key(name.name()), name, Headings::better);
      }
    }
    narrower.values().forEach(below -> below.sort(Comparator.comparing(Concept::label)));
  }

  private Headings(Headings same, Map<String, String> meant) {
    this.byUri = same.byUri;
    this.narrower = same.narrower;
    this.byName = same.byName;
    this.byForm = same.byForm;
    this.index = same.index;
    this.aspects = same.aspects;
    this.meant = Map.copyOf(meant);
  }

  /**
   * The same headings, where some names mean what they meant once, whoever has them now (rule H4).
   *
   * @param names in folded letters, with URIs; those of headings that are not here mean nothing
   */
  public Headings meaning(Map<String, String> names) {
    return names.isEmpty() ? this : new Headings(this, names);
  }

  /** Of two with one name, the one that is still given. */
  private static Concept inUse(Concept one, Concept other) {
    return one.fate().retired() ? other : one;
  }

  private static Named better(Named one, Named other) {
    if (one.heading().fate().retired() != other.heading().fate().retired()) {
      return one.heading().fate().retired() ? other : one;
    }
    return other.kind().worse() < one.kind().worse() ? other : one;
  }

  private static List<Named> names(Concept heading) {
    List<Named> names = new ArrayList<>();
    names.add(new Named(heading, heading.label(), Kind.PREFERRED));
    heading.names().forEach(name -> names.add(new Named(heading, name, Kind.OTHER)));
    heading.fate().former().forEach(name -> names.add(new Named(heading, name, Kind.FORMER)));
    return names;
  }

  /** All that a heading is called or was called, its preferred name first. */
  public static List<String> namesOf(Concept heading) {
    return names(heading).stream().map(Named::name).distinct().toList();
  }

  /** Whether two names differ in number, letter case or accents at most. */
  public static boolean areOneName(String one, String other) {
    return NameForms.key(one).equals(NameForms.key(other));
  }

  /** All of them, in the order given. */
  public Collection<Concept> all() {
    return List.copyOf(byUri.values());
  }

  public Optional<Concept> get(String uri) {
    return Optional.ofNullable(byUri.get(uri));
  }

  /**
   * The heading that has a name, or has it in another number (moth, moths); a preferred name wins
   * over another, that over a former one.
   */
  public Optional<Named> find(String name) {
    String folded = Fold.letters(name);
    Optional<Concept> once = Optional.ofNullable(meant.get(folded)).flatMap(this::get);
    if (once.isPresent()) {
      return Optional.of(new Named(once.get(), name, kind(once.get(), folded)));
    }
    for (Kind kind : Kind.values()) {
      Concept heading = byName.getOrDefault(kind, Map.of()).get(folded);
      if (heading != null) {
        return Optional.of(new Named(heading, name, kind));
      }
    }
    return Optional.ofNullable(byForm.get(NameForms.key(name)))
        .map(named -> new Named(named.heading(), name, named.kind()));
  }

  /** A name that is not its own any more, be it another's now, is one it had. */
  private static Kind kind(Concept heading, String folded) {
    return names(heading).stream()
        .filter(named -> Fold.letters(named.name()).equals(folded))
        .map(Named::kind)
        .findFirst()
        .orElse(Kind.FORMER);
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
    return index.lookUp(typed, most);
  }
}
