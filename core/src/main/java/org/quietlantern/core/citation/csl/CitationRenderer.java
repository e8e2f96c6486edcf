package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * A citation: its cites in order, those of one author together (specification, <i>Citation</i>).
 */
final class CitationRenderer {
  /** More than a word, and its end. */
  private static final Pattern SENTENCE = Pattern.compile("\\S+\\s.*[.?!]\\s*");

  private final Processor processor;
  private final Style style;

  CitationRenderer(Processor processor, Style style) {
    this.processor = processor;
    this.style = style;
  }

  Output render(Citation citation, Positions positions) {
    Style.Layout layout = style.citation();
    List<Cite> cites =
        new Sorting(layout.sort(), processor.locale().language())
            .sorted(
                citation.cites(),
                cite -> processor.inCitation(cite, new Positions.Position(java.util.Set.of(), 0)));
    List<Positions.Position> where = positions.next(cites, citation.note());
    List<Collapsing.One> all = new ArrayList<>();
    for (int i = 0; i < cites.size(); i++) {
      all.add(one(cites.get(i), where.get(i)));
    }
    Output content = new Collapsing(style).joined(all);
    // A note begins with a capital, where it begins with a term.
    if (style.note() && !cites.isEmpty() && cites.get(0).prefix().isEmpty()) {
      raise(content);
    }
    Output.Span inner = new Output.Span(layout.formatting().decorations(), "", false);
    if (Output.isEmpty(content)) {
      return Output.span();
    }
    inner.add(Output.style(layout.formatting().prefix()));
    inner.add(content);
    inner.add(Output.style(layout.formatting().suffix()));
    return inner;
  }

  private Collapsing.One one(Cite cite, Positions.Position position) {
    Situation situation = processor.inCitation(cite, position);
    Renderer whole = rendered(situation, false, cite);
    boolean collapses = style.citation().options().has("collapse");
    return new Collapsing.One(
        cite, situation, whole, collapses ? rendered(situation, true, cite) : whole);
  }

  private static void raise(Output output) {
    Output.words(output).stream()
        .filter(words -> !words.text.isEmpty())
        .findFirst()
        .filter(words -> words.from == Output.Words.From.TERM)
        .ifPresent(words -> TextCase.apply("capitalize-first", words, ""));
  }

  private Renderer rendered(Situation situation, boolean withoutNames, Cite cite) {
    Renderer renderer = new Renderer(situation);
    renderer.omitNames(withoutNames || cite.suppressAuthor());
    renderer.render(style.citation());
    if (SENTENCE.matcher(cite.prefix()).matches()) {
      raise(renderer.result());
    }
    return renderer;
  }
}
