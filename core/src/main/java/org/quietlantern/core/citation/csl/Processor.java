package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.ToIntFunction;

/**
 * Makes citations and the bibliography of a set of works in a style. Not for several threads at
 * once.
 */
public final class Processor {
  private final Style style;
  private final Locale locale;
  private final boolean citationSaysYearSuffix;
  private final boolean bibliographySaysYearSuffix;
  private final Map<String, Item> items = new HashMap<>();
  private final Map<String, Settled> settled = new HashMap<>();
  private final Map<String, Integer> numbers = new HashMap<>();

  private boolean sorts;

  private boolean tidies = true;

  /** The works in the order of the bibliography. */
  private List<String> order = List.of();

  /** An entry of the bibliography; empty where the style prints nothing of the work. */
  public record Entry(String item, Typeset text) {}

  /**
   * @param language to write in; empty: the style's own
   * @param shipped the locale files by language, {@code en-US}
   */
  public Processor(Style style, String language, Function<String, Optional<LocaleData>> shipped) {
    this.style = style;
    this.citationSaysYearSuffix = style.saysYearSuffix(style.citation());
    this.bibliographySaysYearSuffix =
        style.hasBibliography() && style.saysYearSuffix(style.bibliography());
    String own = style.defaultLocale().isEmpty() ? "en-US" : style.defaultLocale();
    this.locale = Locales.of(language.isEmpty() ? own : language, shipped, style.locales());
  }

  /**
   * Leaves the blanks and marks that a style prints around what a work lacks, <i>Annals, , 12</i>:
   * the specification does not say that they go.
   */
  public Processor withEveryMark() {
    tidies = false;
    return this;
  }

  /**
   * Sets what is cited, in the order in which it is cited first, and settles numbers, and how works
   * are told apart.
   */
  public void setItems(List<Item> cited) {
    setItems(cited, false);
  }

  /** {@code asTheyAre}: whether the bibliography stands in this order, whatever the style says. */
  public void setItems(List<Item> cited, boolean asTheyAre) {
    sorts = style.hasBibliography() && !asTheyAre;
    items.clear();
    settled.clear();
    numbers.clear();
    List<String> ids = new ArrayList<>(new LinkedHashSet<>(cited.stream().map(Item::id).toList()));
    Map<String, String> named = CitationLabels.of(cited);
    cited.forEach(
        item ->
            items.put(item.id(), item.with("citation-label", named.getOrDefault(item.id(), ""))));
    ids.forEach(id -> settled.put(id, new Settled()));
    number(ids);
    order = sorted(ids);
    // Whoever sorts by the numbers keeps those that they were cited under.
    boolean byNumber = sortsByNumber();
    if (!byNumber) {
      number(order);
    }
    new Disambiguation(this, style).settle(order);
    number(ids);
    order = sorted(ids);
    number(order);
    if (byNumber && countsDown()) {
      List<String> last = new ArrayList<>(order);
      Collections.reverse(last);
      number(last);
    }
  }

  /** As the last key that sorts by number says. */
  private boolean countsDown() {
    return style.bibliography().sort().stream()
        .filter(this::saysNumber)
        .reduce((key, later) -> later)
        .filter(Style.Key::descending)
        .isPresent();
  }

  private boolean saysNumber(Style.Key key) {
    return key.variable().equals("citation-number")
        || Elements.variables(style.macros().getOrDefault(key.macro(), List.of()), style)
            .contains("citation-number");
  }

  private boolean sortsByNumber() {
    return sorts && style.bibliography().sort().stream().anyMatch(this::saysNumber);
  }

  private void number(List<String> ids) {
    for (int i = 0; i < ids.size(); i++) {
      numbers.put(ids.get(i), i + 1);
    }
  }

  private List<String> sorted(List<String> ids) {
    if (!sorts) {
      return ids;
    }
    return new Sorting(style.bibliography().sort(), locale.language())
        .sorted(ids, id -> inBibliography(id));
  }

  Item item(String id) {
    return items.get(id);
  }

  Settled settled(String id) {
    return settled.get(id);
  }

  Locale locale() {
    return locale;
  }

  private Situation inBibliography(String id) {
    return new Situation(
        style,
        locale,
        items.get(id),
        null,
        style.bibliography().options(),
        Set.of(),
        numbers.get(id),
        0,
        settled.get(id),
        true,
        bibliographySaysYearSuffix,
        false);
  }

  Situation inCitation(Cite cite, Positions.Position position) {
    return new Situation(
        style,
        locale,
        items.get(cite.item()),
        cite,
        style.citation().options(),
        position.holds(),
        numbers.get(cite.item()),
        position.firstNote(),
        settled.get(cite.item()),
        false,
        citationSaysYearSuffix,
        false);
  }

  /** The entries of the bibliography in its order; none where the style has no bibliography. */
  public List<Entry> bibliography() {
    return bibliography(id -> 0);
  }

  /**
   * The same below headings: {@code heading} says the place of a work's heading; below each, works
   * stand as the style says. Numbers run from the first entry to the last.
   */
  public List<Entry> bibliography(ToIntFunction<String> heading) {
    if (!style.hasBibliography()) {
      return List.of();
    }
    List<String> below = order.stream().sorted(Comparator.comparingInt(heading)).toList();
    if (!below.equals(order)) {
      order = below;
      number(order);
    }
    return new Bibliography(style, locale, tidies, this::inBibliography).entries(order, heading);
  }

  /** Whether the style says in which order works stand. */
  public boolean sorts() {
    return sorts && !style.bibliography().sort().isEmpty();
  }

  public EntryLayout entryLayout() {
    return EntryLayout.of(style);
  }

  /** Citations one after another; empty where the style prints nothing of the works. */
  public List<Typeset> citations(List<Citation> citations) {
    Positions positions = new Positions(style);
    List<Typeset> written = new ArrayList<>();
    for (Citation citation : citations) {
      Output output = new CitationRenderer(this, style).render(citation, positions);
      written.add(new Typeset(Finish.finished(output, locale, tidies)));
    }
    return written;
  }

  /**
   * Works as they are named in a sentence: their names, then the citation without them; those of
   * the same names together. The same as a citation where a style cites without names, as notes do;
   * empty where it prints nothing.
   */
  public Typeset narrative(List<Cite> cites) {
    return new Typeset(Finish.finished(new Narrative(this, style).of(cites), locale, tidies));
  }
}
