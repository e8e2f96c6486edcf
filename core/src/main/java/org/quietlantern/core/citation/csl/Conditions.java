package org.quietlantern.core.citation.csl;

import java.util.List;
import java.util.function.Predicate;

/** Which branch of a {@code choose} counts (specification, <i>Choose</i>). */
final class Conditions {
  private final Renderer renderer;
  private final Situation situation;

  Conditions(Renderer renderer) {
    this.renderer = renderer;
    this.situation = renderer.situation();
  }

  Rendered choose(Element.Choose choose) {
    for (Element.Branch branch : choose.branches()) {
      if (holds(branch)) {
        return renderer.branch(branch.children());
      }
    }
    return Rendered.NOTHING;
  }

  private boolean holds(Element.Branch branch) {
    List<Element.Condition> conditions = branch.conditions();
    Predicate<Element.Condition> each = this::holds;
    return switch (branch.match()) {
      case "any" -> conditions.isEmpty() || conditions.stream().anyMatch(each);
      case "none" -> conditions.stream().noneMatch(each);
      default -> conditions.stream().allMatch(each);
    };
  }

  private boolean holds(Element.Condition condition) {
    Item item = situation.item();
    String value = condition.value();
    return switch (condition.test()) {
      case "type" -> item.type().equals(value);
      case "variable" -> has(value);
      case "is-numeric" -> Numbers.isNumeric(renderer.value(value, ""));
      case "is-uncertain-date" ->
          item.dates().containsKey(value) && item.dates().get(value).circa();
      case "locator" ->
          situation.cite() != null
              && !situation.cite().locator().isEmpty()
              && label(situation.cite()).equals(value);
      case "position" -> situation.positions().contains(value);
      case "disambiguate" -> renderer.tellsApart() == value.equals("true");
      default -> false;
    };
  }

  private boolean has(String variable) {
    return switch (variable) {
      case "locator",
          "citation-number",
          "first-reference-note-number",
          "page-first",
          "title-short",
          "container-title-short" ->
          !renderer.value(variable, "").isEmpty();
      case "year-suffix" -> !situation.settled().yearSuffix.isEmpty();
      default -> !renderer.isUsed(variable) && situation.item().has(variable);
    };
  }

  static String label(Cite cite) {
    return cite.label().isEmpty() ? "page" : cite.label();
  }
}
