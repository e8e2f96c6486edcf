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
  private static final Positions.Position FIRST = new Positions.Position(Set.of("first"), 0);
  private final Processor processor;
  private final Style style;
  private final Attributes options;

  Disambiguation(Processor processor, Style style) {
    this.processor = processor;
    this.style = style;
    this.options = style.citation().options();
  }

  /** {@code order}: of the bibliography, in which letters are given. */
  void settle(List<String> order) {
    boolean names = options.is("disambiguate-add-names");
    boolean given = options.is("disambiguate-add-givenname");
    String rule = options.get("givenname-disambiguation-rule", "by-cite");
    if (given && !rule.equals("by-cite")) {
      new GivenNames(processor, style, options).everywhere(order, rule);
    }
    if (names) {
      alike(order).forEach(set -> addNames(set, given && rule.equals("by-cite")));
    }
    if (given && rule.equals("by-cite")) {
      alike(order).forEach(this::addGiven);
    }
    alike(order).forEach(this::condition);
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
    Situation situation = processor.inCitation(Cite.of(id), FIRST).with(settled);
    Renderer renderer = new Renderer(situation);
    renderer.render(style.citation());
    return HtmlWriter.write(renderer.result());
  }

  private int most(String id) {
    return processor.item(id).names().values().stream().mapToInt(List::size).max().orElse(0);
  }

  private void addNames(List<String> set, boolean withGiven) {
    int most = set.stream().mapToInt(this::most).max().orElse(0);
    Map<String, Integer> base = new HashMap<>();
    set.forEach(id -> base.put(id, processor.settled(id).names));
    List<String> left = new ArrayList<>(set);
    for (int more = 1; more <= most && left.size() > 1; more++) {
      int now = more;
      left.forEach(id -> processor.settled(id).names = base.get(id) + now);
      Map<String, Long> texts =
          left.stream().collect(Collectors.groupingBy(this::text, Collectors.counting()));
      left.removeIf(id -> texts.get(text(id)) == 1);
      if (texts.size() > 1 && left.size() > 1) {
        // Those that still read the same go on by themselves.
        List<List<String>> parts = alike(left);
        if (parts.size() > 1) {
          parts.forEach(part -> addNames(part, withGiven));
          return;
        }
      }
    }
    if (left.size() > 1) {
      boolean helped = left.size() < set.size();
      if (!helped && !withGiven) {
        left.forEach(id -> processor.settled(id).names = base.get(id));
      } else if (left.size() == set.size()) {
        left.forEach(id -> processor.settled(id).names = base.get(id));
      }
    }
  }

  private void addGiven(List<String> set) {
    GivenNames names = new GivenNames(processor, style, options);
    for (int level = 1; level <= 2; level++) {
      List<String> left = alike(set).stream().flatMap(List::stream).toList();
      if (left.isEmpty()) {
        return;
      }
      for (int at = 0; at < left.stream().mapToInt(this::most).max().orElse(0); at++) {
        List<String> now = alike(set).stream().flatMap(List::stream).toList();
        if (now.isEmpty()) {
          return;
        }
        Map<String, Settled> before = new HashMap<>();
        for (String id : now) {
          before.put(id, processor.settled(id).copy());
          names.show(id, at, level);
        }
        Set<String> texts = now.stream().map(this::text).collect(Collectors.toSet());
        Set<String> former =
            now.stream().map(id -> text(id, before.get(id))).collect(Collectors.toSet());
        if (texts.size() == former.size()) {
          now.forEach(id -> restore(id, before.get(id)));
        }
      }
    }
  }

  private void restore(String id, Settled before) {
    Settled now = processor.settled(id);
    now.given.clear();
    now.given.putAll(before.given);
  }

  private void condition(List<String> set) {
    Set<String> before = set.stream().map(this::text).collect(Collectors.toSet());
    set.forEach(id -> processor.settled(id).condition = true);
    Set<String> after = set.stream().map(this::text).collect(Collectors.toSet());
    if (after.size() == before.size()) {
      set.forEach(id -> processor.settled(id).condition = false);
    }
  }

  private void suffix(List<String> set) {
    for (int i = 0; i < set.size(); i++) {
      processor.settled(set.get(i)).yearSuffix = Letters.of(i + 1);
    }
  }
}
