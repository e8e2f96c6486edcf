package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Works as a sentence names them: <i>Oxlade (2024, 2025) and Berg et al. (2023)</i>. */
final class Narrative {
  /** How people are named where the style's citations name nobody. */
  private static final Map<String, String> IN_SENTENCE =
      Map.of("form", "short", "and", "text", "et-al-min", "3", "et-al-use-first", "1");

  private static final Positions.Position FIRST = new Positions.Position(Set.of("first"), 0);

  private final Processor processor;
  private final Style style;

  /** Cites of the same people; {@code names} empty where the style has none for a sentence. */
  private record OfSame(Output names, List<Cite> cites) {
    boolean is(Output others) {
      return names != null && others != null && Output.plain(names).equals(Output.plain(others));
    }
  }

  Narrative(Processor processor, Style style) {
    this.processor = processor;
    this.style = style;
  }

  Output of(List<Cite> cites) {
    List<OfSame> groups = new ArrayList<>();
    for (Cite cite : cites) {
      Output names = style.note() ? null : names(cite);
      OfSame last = groups.isEmpty() ? null : groups.get(groups.size() - 1);
      if (last == null || !(last.is(names) || (names == null && last.names() == null))) {
        last = new OfSame(names, new ArrayList<>());
        groups.add(last);
      }
      last.cites().add(cite);
    }
    return joined(groups.stream().map(this::sentence).toList());
  }

  /** With commas, and a word before the last. */
  private Output joined(List<Output> parts) {
    String and = " " + processor.locale().term("and") + " ";
    // English alone has a comma before the last of three.
    boolean comma = parts.size() > 2 && processor.locale().language().startsWith("en");
    Output.Span all = Output.span();
    for (int i = 0; i < parts.size(); i++) {
      if (i > 0) {
        all.add(Output.style(i < parts.size() - 1 ? ", " : comma ? "," + and : and));
      }
      all.add(parts.get(i));
    }
    return all;
  }

  private Output sentence(OfSame group) {
    boolean named = group.names() != null;
    List<Cite> cites =
        named ? group.cites().stream().map(Cite::withoutAuthor).toList() : group.cites();
    Output cited =
        new CitationRenderer(processor, style).render(new Citation(cites, 0), new Positions(style));
    if (!named) {
      return cited;
    }
    // In a sentence people are joined by a word.
    Output.words(group.names()).stream()
        .filter(Output.Words::isOfStyle)
        .forEach(words -> words.text = words.text.replace("&", processor.locale().term("and")));
    return Output.span().add(group.names()).add(Output.style(" ")).add(cited);
  }

  /** As the citation names them; by itself where it names nobody. */
  private Output names(Cite cite) {
    Renderer whole = new Renderer(processor.inCitation(cite, FIRST));
    whole.render(style.citation());
    return whole.firstNames() == null
        ? new Renderer(processor.inCitation(cite, FIRST))
            .render(Element.Names.plain("author", IN_SENTENCE))
            .output()
        : whole.firstNames();
  }
}
