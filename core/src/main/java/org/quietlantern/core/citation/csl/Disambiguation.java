package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Tells works apart whose citations would read the same (specification, <i>Disambiguation</i>):
 * more names, given names, the condition {@code disambiguate}, a letter behind the year, in this
 * order.
 */
final class Disambiguation {
  private static final Positions.Position FIRST = new Positions.Position(Set.of("subsequent"), 0);
  private final Processor processor;
  private final Style style;
  private final Attributes options;

  /** Conditions {@code disambiguate} that the style has, at most. */
  private final int mostConditions;

  Disambiguation(Processor processor, Style style) {
    this.processor = processor;
    this.style = style;
    this.options = style.citation().options();
    this.mostConditions =
        (int)
            Elements.all(style.citation().children(), style).stream()
                .filter(Element.Choose.class::isInstance)
                .flatMap(one -> ((Element.Choose) one).branches().stream())
                .flatMap(branch -> branch.conditions().stream())
                .filter(condition -> condition.test().equals("disambiguate"))
                .count();
  }

  /** {@code order}: of the bibliography, in which letters are given. */
  void settle(List<String> order) {
    boolean names = options.is("disambiguate-add-names");
    boolean given = options.is("disambiguate-add-givenname");
    String rule = options.get("givenname-disambiguation-rule", "by-cite");
    if (given && !rule.equals("by-cite")) {
      new GivenNames(processor, style, options).everywhere(order, rule);
    }
    boolean byCite = given && rule.equals("by-cite");
    if (names || byCite) {
      GivenNames people = byCite ? new GivenNames(processor, style, options) : null;
      alike(order).forEach(set -> addNames(set, names, people));
    }
    alike(order).forEach(this::conditions);
    if (options.is("disambiguate-add-year-suffix")) {
      alike(order).forEach(this::suffix);
    }
  }

  /** Works that read the same, in sets of two or more. */
  private List<List<String>> alike(List<String> ids) {
    Map<String, List<String>> byText = new LinkedHashMap<>();
    ids.forEach(id -> byText.computeIfAbsent(text(id), t -> new ArrayList<>()).add(id));
    return byText.entrySet().stream()
        .filter(one -> !one.getKey().isEmpty() && one.getValue().size() > 1)
        .map(Map.Entry::getValue)
        .toList();
  }

  private String text(String id) {
    return text(id, processor.settled(id));
  }

  private String text(String id, Settled settled) {
    Situation situation = processor.inCitation(Cite.of(id), FIRST).toldApart(settled);
    Renderer renderer = new Renderer(situation);
    renderer.render(style.citation());
    return HtmlWriter.write(renderer.result());
  }

  private int most(String id) {
    return processor.item(id).names().values().stream().mapToInt(List::size).max().orElse(0);
  }

  /**
   * Shows one name more at a time, and given names of those shown, as long as works read the same.
   *
   * @param more whether names are added
   * @param people null where given names are not
   */
  private void addNames(List<String> set, boolean more, GivenNames people) {
    Map<String, Settled> base = new HashMap<>();
    set.forEach(id -> base.put(id, processor.settled(id).copy()));
    int most = set.stream().mapToInt(this::most).max().orElse(0);
    Map<String, Settled> best = new HashMap<>(base);
    List<String> left = new ArrayList<>(set);
    for (int names = 0; names <= (more ? most : 0) && left.size() > 1; names++) {
      int now = names;
      left.forEach(id -> processor.settled(id).names = base.get(id).names + now);
      resolve(left, best);
      if (people != null) {
        for (int at = 0; at < most && left.size() > 1; at++) {
          for (int level = 1; level <= 2 && left.size() > 1; level++) {
            addGiven(left, people, at, level);
            resolve(left, best);
          }
        }
      }
    }
    left.forEach(id -> restore(id, best.get(id)));
  }

  /**
   * Those that read like no other are done. What told some of them apart is kept by the others,
   * too.
   */
  private void resolve(List<String> left, Map<String, Settled> best) {
    Set<String> open = alike(left).stream().flatMap(List::stream).collect(Collectors.toSet());
    if (left.removeIf(id -> !open.contains(id))) {
      left.forEach(id -> best.put(id, processor.settled(id).copy()));
    }
  }

  private void addGiven(List<String> left, GivenNames people, int at, int level) {
    Map<String, Settled> before = new HashMap<>();
    Set<String> former = left.stream().map(this::text).collect(Collectors.toSet());
    for (String id : left) {
      before.put(id, processor.settled(id).copy());
      people.show(id, at, level);
    }
    if (left.stream().map(this::text).collect(Collectors.toSet()).size() == former.size()) {
      left.forEach(id -> restore(id, before.get(id)));
    }
  }

  private void restore(String id, Settled before) {
    Settled now = processor.settled(id);
    now.names = before.names;
    now.given.clear();
    now.given.putAll(before.given);
  }

  /** Has one condition more hold at a time, for those that still read the same. */
  private void conditions(List<String> set) {
    List<String> left = set;
    for (int now = 1; now <= mostConditions && left.size() > 1; now++) {
      for (String id : left) {
        processor.settled(id).conditions = now;
      }
      List<List<String>> open = alike(left);
      if (now == mostConditions && open.size() == 1 && open.get(0).size() == set.size()) {
        // They told nobody apart.
        set.forEach(id -> processor.settled(id).conditions = 0);
      }
      left = open.stream().flatMap(List::stream).toList();
    }
  }

  private void suffix(List<String> set) {
    for (int i = 0; i < set.size(); i++) {
      processor.settled(set.get(i)).yearSuffix = Letters.of(i + 1);
    }
  }
}
