package org.quietlantern.core.citation.csl;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Shows given names, to tell people apart (specification, {@code givenname-disambiguation-rule}).
 */
final class GivenNames {
  private final Processor processor;
  private final boolean initials;

  GivenNames(Processor processor, Style style, Attributes options) {
    this.processor = processor;
    this.initials =
        options.has("initialize-with")
            || Elements.all(style.citation().children(), style).stream()
                .anyMatch(
                    one ->
                        one instanceof Element.Names names
                            && names.options().has("initialize-with"));
  }

  /** Shows the given name at a place of a work further. */
  void show(String id, int at, int level) {
    processor.item(id).names().values().stream()
        .filter(names -> at < names.size())
        .forEach(
            names -> processor.settled(id).given.merge(names.get(at), level(level), Math::max));
  }

  private int level(int wanted) {
    return initials ? wanted : 2;
  }

  /** Wherever two people share a family name, whether their works read the same or not. */
  void everywhere(List<String> order, String rule) {
    boolean primary = rule.startsWith("primary");
    boolean onlyInitials = rule.endsWith("with-initials");
    Map<ItemName, Set<String>> works = works(order, primary);
    Map<String, List<ItemName>> byFamily =
        works.keySet().stream()
            .filter(name -> !name.isInstitution())
            .collect(Collectors.groupingBy(name -> name.nonDroppingParticle() + name.family()));
    byFamily.values().stream()
        .filter(people -> people.stream().map(GivenNames::letters).distinct().count() > 1)
        .forEach(people -> tell(people, works, onlyInitials));
  }

  /** Everybody, with the works that name them; {@code primary}: that name them first. */
  private Map<ItemName, Set<String>> works(List<String> order, boolean primary) {
    Map<ItemName, Set<String>> works = new LinkedHashMap<>();
    for (String id : order) {
      for (List<ItemName> names : processor.item(id).names().values()) {
        (primary ? names.stream().limit(1) : names.stream())
            .forEach(name -> works.computeIfAbsent(name, n -> new LinkedHashSet<>()).add(id));
      }
    }
    return works;
  }

  private static String letters(ItemName name) {
    return name.given().replaceAll("[\\s.]", "");
  }

  private void tell(List<ItemName> people, Map<ItemName, Set<String>> works, boolean onlyInitials) {
    Map<String, Long> sameInitials =
        people.stream()
            .collect(Collectors.groupingBy(GivenNames::initialsOf, Collectors.counting()));
    for (ItemName person : people) {
      long same = sameInitials.get(initialsOf(person));
      int level = same > 1 ? 2 : level(1);
      if (onlyInitials && initials) {
        level = same < people.size() ? 1 : 0;
      }
      int shown = level;
      works.get(person).forEach(id -> processor.settled(id).given.put(person, shown));
    }
  }

  private static String initialsOf(ItemName person) {
    return Initials.of(person.given(), ".", true, true);
  }
}
