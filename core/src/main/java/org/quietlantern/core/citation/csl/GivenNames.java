package org.quietlantern.core.citation.csl;

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
    Set<ItemName> all = new LinkedHashSet<>();
    for (String id : order) {
      processor
          .item(id)
          .names()
          .values()
          .forEach(names -> all.addAll(primary ? names.stream().limit(1).toList() : names));
    }
    Map<String, List<ItemName>> byFamily =
        all.stream()
            .filter(name -> !name.isInstitution())
            .collect(Collectors.groupingBy(name -> name.nonDroppingParticle() + name.family()));
    byFamily.values().stream()
        .filter(people -> people.stream().map(GivenNames::letters).distinct().count() > 1)
        .forEach(people -> tell(people, order, primary, onlyInitials));
  }

  private static String letters(ItemName name) {
    return name.given().replaceAll("[\\s.]", "");
  }

  private void tell(
      List<ItemName> people, List<String> order, boolean primary, boolean onlyInitials) {
    for (ItemName person : people) {
      String mine = Initials.of(person.given(), ".", true, true);
      long same =
          people.stream()
              .filter(one -> Initials.of(one.given(), ".", true, true).equals(mine))
              .count();
      int level = same > 1 ? 2 : level(1);
      if (onlyInitials && initials) {
        level = same < people.size() ? 1 : 0;
      }
      for (String id : order) {
        int shown = level;
        processor
            .item(id)
            .names()
            .values()
            .forEach(
                names -> {
                  boolean there =
                      primary
                          ? !names.isEmpty() && names.get(0).equals(person)
                          : names.contains(person);
                  if (there) {
                    processor.settled(id).given.put(person, shown);
                  }
                });
      }
    }
  }
}
