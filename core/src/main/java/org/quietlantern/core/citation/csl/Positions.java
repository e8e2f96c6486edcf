package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Where each cite stands among those before it (specification, {@code position}). */
final class Positions {
  private static final int NEAR = 5;
  private final int near;

  /** The note that cited a work first and last, by work. */
  private final Map<String, Integer> firstNotes = new HashMap<>();

  private final Map<String, Integer> lastNotes = new HashMap<>();
  private List<Cite> before = List.of();
  private boolean begun;

  /** {@code firstNote}: of the work; 0 where it is this one or there are none. */
  record Position(Set<String> holds, int firstNote) {}

  Positions(Style style) {
    Attributes options = style.citation().options();
    this.near = options.has("near-note-distance") ? options.number("near-note-distance") : NEAR;
  }

  /** Of the cites of the next citation, in the order in which they stand. */
  List<Position> next(List<Cite> cites, int note) {
    List<Position> positions = new ArrayList<>();
    for (int i = 0; i < cites.size(); i++) {
      Cite cite = cites.get(i);
      Cite last = i > 0 ? cites.get(i - 1) : only();
      positions.add(new Position(holds(cite, last, note), firstNotes.getOrDefault(cite.item(), 0)));
      firstNotes.putIfAbsent(cite.item(), note);
      lastNotes.put(cite.item(), note);
    }
    before = cites;
    begun = true;
    return positions;
  }

  /** The cite of the citation before, where it has one alone. */
  private Cite only() {
    boolean one =
        begun && !before.isEmpty() && before.stream().map(Cite::item).distinct().count() == 1;
    return one ? before.get(before.size() - 1) : null;
  }

  private Set<String> holds(Cite cite, Cite last, int note) {
    if (!firstNotes.containsKey(cite.item())) {
      return Set.of("first");
    }
    List<String> holds = new ArrayList<>();
    holds.add("subsequent");
    if (note - lastNotes.getOrDefault(cite.item(), 0) <= near) {
      holds.add("near-note");
    }
    if (last != null && last.item().equals(cite.item())) {
      boolean same =
          cite.locator().equals(last.locator())
              && Conditions.label(cite).equals(Conditions.label(last));
      if (same || (cite.locator().isEmpty() && last.locator().isEmpty())) {
        holds.add("ibid");
      } else if (!cite.locator().isEmpty()) {
        holds.add("ibid");
        holds.add("ibid-with-locator");
      }
    }
    return Set.copyOf(holds);
  }
}
