package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;

/** Names of one variable, shortened by <i>et al.</i> (specification, <i>Name</i>, <i>Et-al</i>). */
final class NameList {
  private static final String ELLIPSIS = "… ";
  private final Renderer renderer;
  private final Situation situation;
  private final Element.Names element;
  private final Attributes options;
  private final List<ItemName> names;

  NameList(Renderer renderer, Element.Names element, Attributes options, List<ItemName> names) {
    this.renderer = renderer;
    this.situation = renderer.situation();
    this.element = element;
    this.options = options;
    this.names = names;
  }

  /** How many are shown before others are left out. */
  int shown() {
    boolean again = situation.positions().contains("subsequent");
    int min = number("et-al-min", again);
    int first = number("et-al-use-first", again) + situation.settled().names;
    return min > 0 && names.size() >= min && options.has("et-al-use-first") && first < names.size()
        ? first
        : names.size();
  }

  private int number(String option, boolean again) {
    String later = option.replace("et-al", "et-al-subsequent");
    return again && options.has(later) ? options.number(later) : options.number(option);
  }

  Output render() {
    int shown = shown();
    List<Output> each = new ArrayList<>();
    NameWriter writer = new NameWriter(renderer, element, options);
    for (int i = 0; i < shown; i++) {
      each.add(writer.name(names.get(i), i));
    }
    Output.Span list = Output.span();
    if (shown == names.size()) {
      joined(list, each);
    } else if (shown > 0) {
      shortened(list, each, writer);
    }
    Output.Span look = new Output.Span(element.name().decorations(), "", false);
    look.add(list);
    Output.Span around = Output.span();
    around.add(Output.style(element.name().prefix()));
    around.add(look);
    around.add(Output.style(element.name().suffix()));
    return around;
  }

  private String delimiter() {
    return options.get("delimiter", ", ");
  }

  private void joined(Output.Span list, List<Output> each) {
    String and =
        situation.sorts()
            ? ""
            : switch (options.get("and")) {
              case "text" -> situation.locale().term("and");
              case "symbol" -> "&";
              default -> "";
            };
    for (int i = 0; i < each.size(); i++) {
      boolean last = i == each.size() - 1;
      if (i > 0 && last && !and.isEmpty()) {
        boolean delimited = precedes("delimiter-precedes-last", each.size() > 2, i - 1);
        list.add(Output.style(delimited ? delimiter() : " "));
        list.add(
            Output.style(delimited && !delimiter().endsWith(" ") ? " " + and + " " : and + " "));
      } else if (i > 0) {
        list.add(Output.style(delimiter()));
      }
      list.add(each.get(i));
    }
  }

  private void shortened(Output.Span list, List<Output> each, NameWriter writer) {
    for (int i = 0; i < each.size(); i++) {
      if (i > 0) {
        list.add(Output.style(delimiter()));
      }
      list.add(each.get(i));
    }
    if (options.is("et-al-use-last") && each.size() + 1 < names.size()) {
      list.add(Output.style(delimiter() + ELLIPSIS));
      list.add(writer.name(names.get(names.size() - 1), names.size() - 1));
      return;
    }
    String term = situation.locale().term(element.etAl().term());
    if (term.isEmpty() || situation.sorts()) {
      return;
    }
    boolean delimited = precedes("delimiter-precedes-et-al", each.size() > 1, each.size() - 1);
    // Chinese and Japanese words stand without a space between.
    String space = Character.isIdeographic(term.codePointAt(0)) ? "" : " ";
    list.add(Output.style(delimited ? delimiter() : space));
    list.add(renderer.wrapped(Output.style(term), element.etAl().formatting()));
  }

  /** {@code before}: the name that stands before the delimiter. */
  private boolean precedes(String option, boolean contextual, int before) {
    return switch (options.get(option, "contextual")) {
      case "always" -> true;
      case "never" -> false;
      case "after-inverted-name" ->
          NameWriter.isInverted(options, before) && !names.get(before).isInstitution();
      default -> contextual;
    };
  }
}
