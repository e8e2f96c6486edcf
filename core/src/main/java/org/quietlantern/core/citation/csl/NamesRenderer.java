package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Names of one or several variables (specification, <i>Names</i>). */
final class NamesRenderer {
  private final Renderer renderer;
  private final Situation situation;
  private final Element.Names element;
  private final Attributes options;

  NamesRenderer(Renderer renderer, Element.Names element) {
    this.renderer = renderer;
    this.situation = renderer.situation();
    this.element = element;
    this.options = NameOptions.of(situation, element);
  }

  Rendered render() {
    List<Output> blocks = new ArrayList<>();
    List<String> variables = variables();
    int counted = 0;
    for (String variable : variables) {
      List<ItemName> names = names(variable);
      if (names.isEmpty()) {
        continue;
      }
      if (options.get("form").equals("count")) {
        counted += new NameList(renderer, element, options, names).shown();
        continue;
      }
      String term = variables.size() < element.variables().size() ? "editortranslator" : variable;
      blocks.add(block(names, term));
    }
    if (counted > 0) {
      String count = situation.sorts() ? "%05d".formatted(counted) : Integer.toString(counted);
      return Rendered.of(renderer.wrapped(Output.field(count), element.formatting()));
    }
    if (blocks.isEmpty()) {
      return substituted();
    }
    String delimiter = element.said().get("delimiter", situation.options().get("names-delimiter"));
    Output.Span span = Output.span();
    for (Output block : blocks) {
      if (!span.children.isEmpty()) {
        span.add(Output.style(delimiter));
      }
      span.add(block);
    }
    return Rendered.of(renderer.wrapped(span, element.formatting()));
  }

  /** Editors who are the translators as well are named once. */
  private List<String> variables() {
    List<String> all = element.variables();
    boolean both = all.size() == 2 && all.contains("editor") && all.contains("translator");
    boolean same =
        both && !names("editor").isEmpty() && names("editor").equals(names("translator"));
    boolean said =
        situation
            .locale()
            .term("editortranslator", "long", false)
            .filter(term -> !term.isEmpty())
            .isPresent();
    return same && said ? List.of(all.get(0)) : all;
  }

  private List<ItemName> names(String variable) {
    return renderer.isUsed(variable)
        ? List.of()
        : situation.item().names().getOrDefault(variable, List.of());
  }

  private Output block(List<ItemName> names, String term) {
    Output list = Output.span().add(new NameList(renderer, element, options, names).render());
    renderer.note(element.variables().size() == 1 ? list : null);
    Output label = element.label().flatMap(one -> label(one, term, names.size())).orElse(null);
    Output.Span block = Output.span();
    if (label != null && element.labelFirst()) {
      block.add(label);
    }
    block.add(list);
    if (label != null && !element.labelFirst()) {
      block.add(label);
    }
    return block;
  }

  private Optional<Output> label(Element.Label label, String term, int names) {
    if (situation.sorts()) {
      return Optional.empty();
    }
    boolean plural =
        switch (label.said().get("plural", "contextual")) {
          case "always" -> true;
          case "never" -> false;
          default -> names > 1;
        };
    return situation
        .locale()
        .term(term, label.said().get("form", "long"), plural)
        .filter(words -> !words.isEmpty())
        .map(words -> renderer.wrapped(Output.style(words), label.formatting()));
  }

  /** The first of the substitutes that has something; what it used is not shown again. */
  private Rendered substituted() {
    for (Element each : element.substitute()) {
      if (renderer.isBlank(each)) {
        return Rendered.NOTHING;
      }
      Rendered rendered = renderer.substitute(each, element);
      if (!rendered.isEmpty()) {
        return new Rendered(renderer.wrapped(rendered.output(), element.formatting()), true, true);
      }
    }
    return Rendered.EMPTY;
  }
}
