package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToIntFunction;

/** The entries of a bibliography (specification, <i>Bibliography-specific Options</i>). */
final class Bibliography {
  private final Style style;
  private final Locale locale;
  private final boolean tidies;
  private final Function<String, Situation> where;

  Bibliography(Style style, Locale locale, boolean tidies, Function<String, Situation> where) {
    this.tidies = tidies;
    this.style = style;
    this.locale = locale;
    this.where = where;
  }

  /** Names are said again below another heading. */
  List<Processor.Entry> entries(List<String> order, ToIntFunction<String> heading) {
    Style.Layout layout = style.bibliography();
    String substitute = layout.options().get("subsequent-author-substitute");
    boolean substitutes = layout.options().has("subsequent-author-substitute");
    List<Processor.Entry> entries = new ArrayList<>();
    String before = "";
    int below = 0;
    for (String id : order) {
      Renderer renderer = new Renderer(where.apply(id));
      Rendered rendered = renderer.all(layout.children(), layout.delimiter());
      Output content = rendered.isEmpty() ? Output.span() : rendered.output();
      Output names = renderer.firstNames();
      String plain = names == null ? "" : Output.plain(names);
      if (heading.applyAsInt(id) != below) {
        below = heading.applyAsInt(id);
        before = "";
      }
      if (substitutes && names instanceof Output.Span span && plain.equals(before)) {
        replace(span, substitute);
      }
      before = plain;
      boolean aligned = !layout.options().get("second-field-align").isEmpty();
      Output entry =
          aligned
              ? aligned(content, layout.formatting())
              : renderer.wrapped(content, layout.formatting());
      Output whole = entry == null ? Output.span() : entry;
      entries.add(new Processor.Entry(id, new Typeset(Finish.finished(whole, locale, tidies))));
    }
    return entries;
  }

  private static void replace(Output.Span names, String substitute) {
    names.children.clear();
    names.add(Output.style(substitute));
  }

  /** The first field stands in the margin, the others beside it. */
  private static Output aligned(Output content, Formatting formatting) {
    if (!(content instanceof Output.Span span) || span.children.size() < 2) {
      return content;
    }
    Output.Span margin = new Output.Span(List.of(), "left-margin", false);
    margin.add(span.children.get(0));
    Output.Span inline = new Output.Span(List.of(), "right-inline", false);
    span.children.subList(1, span.children.size()).forEach(inline::add);
    inline.add(Output.style(formatting.suffix()));
    Output.Span both = Output.span().add(margin).add(inline);
    // A space at the end belongs to what comes after the block.
    List<Output.Words> words =
        Output.words(inline).stream().filter(one -> !one.text.isEmpty()).toList();
    Output.Words last = words.isEmpty() ? null : words.get(words.size() - 1);
    if (last != null && last.text.endsWith(" ")) {
      last.text = last.text.stripTrailing();
      both.add(Output.style(" "));
    }
    return both;
  }
}
