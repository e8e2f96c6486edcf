package org.quietlantern.core.vocabulary;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.quietlantern.core.vocabulary.Concept.Fate;

/**
 * What a newer edition of some schemes changes (rule H4). Nothing is forgotten: a term that was
 * renamed is still found by its former name, one that is no longer there is retired.
 *
 * @param terms all terms of the schemes, as they are from now on
 * @param added labels of new terms
 * @param renamed former and present labels
 * @param replaced labels of terms that others took the place of: merged or split
 * @param retired labels of terms that are no longer given
 */
public record VocabularyUpdate(
    List<Concept> terms,
    List<String> added,
    List<Renamed> renamed,
    List<Replaced> replaced,
    List<String> retired) {
  public VocabularyUpdate {
    terms = List.copyOf(terms);
    added = List.copyOf(added);
    renamed = List.copyOf(renamed);
    replaced = List.copyOf(replaced);
    retired = List.copyOf(retired);
  }

  public record Renamed(String from, String to) {}

  /** {@code by}: one for a merger, several for a split. */
  public record Replaced(String label, List<String> by) {
    public Replaced {
      by = List.copyOf(by);
    }
  }

  /** {@code before}: all terms known so far; those of schemes that the file leaves out stay. */
  public static VocabularyUpdate of(Collection<Concept> before, Collection<Concept> file) {
    Map<String, Concept> known = new LinkedHashMap<>();
    before.forEach(term -> known.put(term.uri(), term));
    Map<String, String> labels = new LinkedHashMap<>();
    file.forEach(term -> labels.put(term.uri(), term.label()));
    Making making = new Making(known, labels);
    file.forEach(making::take);
    Set<String> schemes = new LinkedHashSet<>();
    file.forEach(term -> schemes.add(term.scheme()));
    before.stream()
        .filter(term -> schemes.contains(term.scheme()) && !labels.containsKey(term.uri()))
        .forEach(making::miss);
    return making.update();
  }

  private static final class Making {
    private final Map<String, Concept> known;
    private final Map<String, String> labels;
    private final List<Concept> terms = new ArrayList<>();
    private final List<String> added = new ArrayList<>();
    private final List<Renamed> renamed = new ArrayList<>();
    private final List<Replaced> replaced = new ArrayList<>();
    private final List<String> retired = new ArrayList<>();

    Making(Map<String, Concept> known, Map<String, String> labels) {
      this.known = known;
      this.labels = labels;
    }

    void take(Concept term) {
      Concept old = known.get(term.uri());
      Fate fate = term.fate();
      Set<String> former = new LinkedHashSet<>(old == null ? List.of() : old.fate().former());
      if (old == null) {
        added.add(term.label());
      } else if (!old.label().equals(term.label())) {
        former.add(old.label());
        renamed.add(new Renamed(old.label(), term.label()));
      }
      former.remove(term.label());
      Fate before = old == null ? Fate.IN_USE : old.fate();
      if (!fate.replacedBy().isEmpty() && !fate.replacedBy().equals(before.replacedBy())) {
        replaced.add(
            new Replaced(term.label(), fate.replacedBy().stream().map(labels::get).toList()));
      } else if (fate.retired() && !before.retired()) {
        retired.add(term.label());
      }
      terms.add(term.with(new Fate(fate.retired(), fate.replacedBy(), List.copyOf(former))));
    }

    /** It is in no newer edition: what it was given to is still found by it. */
    void miss(Concept term) {
      Fate fate = term.fate();
      if (!fate.retired()) {
        retired.add(term.label());
      }
      terms.add(term.with(new Fate(true, fate.replacedBy(), fate.former())));
    }

    VocabularyUpdate update() {
      return new VocabularyUpdate(terms, added, renamed, replaced, retired);
    }
  }
}
