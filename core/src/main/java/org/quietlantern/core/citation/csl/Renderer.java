package org.quietlantern.core.citation.csl;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Renders the elements of a layout for one work. */
final class Renderer {
  private static final int DEEPEST = 100;

  /** Terms that stand for a variable: a group that has one of them says something. */
  private static final Set<String> FOR_MISSING = Set.of("no date", "anonymous");

  private final Situation situation;
  private final Item item;
  private final Locale locale;

  /** Variables that a substitute has used: they are empty from then on. */
  private final Set<String> used = new HashSet<>();

  private final Deque<String> macros = new ArrayDeque<>();

  /** What the first names came to, for collapsing and for substituting; null for none. */
  private Output firstNames;

  private boolean suffixGiven;
  private boolean omitsNames;

  /** For which names something is tried to stand; null for none. */
  private Element.Names substituted;

  /** Variables that were shown where something stands for names. */
  private Set<String> shown = new HashSet<>();

  /** Conditions {@code disambiguate} that were met. */
  private int tellingApart;

  /** Of the group or layout that is rendered. */
  private String nearestDelimiter = "";

  /** The names of the last element, without what stands around them. */
  private Output listed;

  private Output result;

  Renderer(Situation situation) {
    this.situation = situation;
    this.item = situation.item();
    this.locale = situation.locale();
  }

  Situation situation() {
    return situation;
  }

  Output firstNames() {
    return firstNames;
  }

  /** The first names are left out, as after a sentence that has them. */
  void omitNames(boolean omitted) {
    omitsNames = omitted;
  }

  /** A whole layout, without what stands around it. */
  void render(Style.Layout layout) {
    Rendered rendered = all(layout.children(), "");
    result = rendered.isEmpty() ? Output.span() : rendered.output();
  }

  /** What a layout came to; empty for nothing. */
  Output result() {
    return result;
  }

  /** Whether the next condition {@code disambiguate} holds. */
  boolean tellsApart() {
    return tellingApart++ < situation.settled().conditions;
  }

  boolean isUsed(String variable) {
    return used.contains(variable);
  }

  void note(Output list) {
    listed = list;
  }

  void use(String variable) {
    used.add(variable);
  }

  /**
   * One that may stand for names. Names in it look as those do, and whatever it shows is not shown
   * again.
   */
  Rendered substitute(Element element, Element.Names standsFor) {
    Element.Names around = substituted;
    Set<String> before = shown;
    substituted = standsFor;
    shown = new HashSet<>();
    Rendered rendered = render(element);
    if (!rendered.isEmpty()) {
      used.addAll(shown);
    }
    substituted = around;
    shown = before;
    return rendered;
  }

  /** Whether it is a term that is there and says nothing: nothing else shall be said. */
  boolean isBlank(Element element) {
    return element instanceof Element.Text text
        && text.kind().equals("term")
        && term(text).filter(String::isEmpty).isPresent();
  }

  private Optional<String> term(Element.Text text) {
    return locale.term(text.of(), text.said().get("form", "long"), text.said().is("plural"));
  }

  /** A layout, macro or group: its children one after another. */
  Rendered all(List<Element> elements, String delimiter) {
    String around = nearestDelimiter;
    nearestDelimiter = delimiter;
    Rendered rendered = joined(elements, delimiter);
    nearestDelimiter = around;
    return rendered;
  }

  /** A branch: what would stand around its children without it holds for them, too. */
  Rendered branch(List<Element> elements) {
    return joined(elements, nearestDelimiter);
  }

  private Rendered joined(List<Element> elements, String delimiter) {
    Output.Span span = Output.span();
    boolean called = false;
    boolean found = false;
    for (Element element : elements) {
      Rendered one = render(element);
      called |= one.called();
      found |= one.found();
      if (!one.isEmpty() && !Output.isEmpty(one.output())) {
        if (!span.children.isEmpty()) {
          span.add(Output.style(delimiter));
        }
        span.add(one.output());
      }
    }
    return new Rendered(span.children.isEmpty() ? null : span, called, found);
  }

  Rendered render(Element element) {
    Rendered rendered = rendered(element);
    if (substituted != null && !rendered.isEmpty()) {
      shown.addAll(Elements.ofItself(element));
    }
    return rendered;
  }

  private Rendered rendered(Element element) {
    if (element instanceof Element.Text text) {
      return text(text);
    }
    if (element instanceof Element.Numeral number) {
      return new Numbers(this).number(number);
    }
    if (element instanceof Element.Label label) {
      return new Numbers(this).label(label);
    }
    if (element instanceof Element.Date date) {
      return new Dates(this).render(date);
    }
    if (element instanceof Element.Names names) {
      boolean bare = substituted != null && !names.hasName();
      Element.Names wanted = bare ? names.like(substituted) : names;
      Rendered rendered = new NamesRenderer(this, wanted).render();
      if (substituted != null && !rendered.isEmpty()) {
        names.variables().forEach(this::use);
      }
      if (firstNames == null && !rendered.isEmpty()) {
        firstNames = listed == null ? rendered.output() : listed;
        // Said to be there, so that no substitute steps in.
        return omitsNames ? new Rendered(Output.span(), true, true) : rendered;
      }
      return rendered;
    }
    if (element instanceof Element.Group group) {
      Rendered inside = all(group.children(), group.delimiter());
      // A group that says something counts as a variable that holds something for what is around
      // it.
      return inside.called() && !inside.found()
          ? Rendered.EMPTY
          : inside.isEmpty()
              ? Rendered.NOTHING
              : Rendered.of(wrapped(inside.output(), group.formatting()));
    }
    return new Conditions(this).choose((Element.Choose) element);
  }

  private Rendered text(Element.Text text) {
    return switch (text.kind()) {
      case "macro" -> macro(text);
      case "term" -> {
        Output.Words term = new Output.Words(term(text).orElse(""), Output.Words.From.TERM);
        Output words = wrapped(term, text.formatting());
        yield words == null
            ? Rendered.NOTHING
            : FOR_MISSING.contains(text.of()) ? Rendered.of(words) : Rendered.said(words);
      }
      case "variable" -> variable(text);
      default ->
          text.of().isEmpty()
              ? Rendered.NOTHING
              : Rendered.said(wrapped(Markup.read(text.of()), text.formatting()));
    };
  }

  private Rendered macro(Element.Text text) {
    if (macros.contains(text.of()) || macros.size() > DEEPEST) {
      return Rendered.NOTHING;
    }
    macros.push(text.of());
    Rendered inside = all(situation.style().macros().getOrDefault(text.of(), List.of()), "");
    macros.pop();
    // As a group: without a variable that it asks for, its words say nothing.
    if (inside.called() && !inside.found()) {
      return Rendered.EMPTY;
    }
    return new Rendered(
        wrapped(inside.output(), text.formatting()), inside.called(), inside.found());
  }

  private Rendered variable(Element.Text text) {
    String name = text.of();
    if (name.equals("year-suffix")) {
      String suffix = yearSuffix();
      // Not a variable of the work: a group does not go by it.
      return suffix.isEmpty()
          ? Rendered.NOTHING
          : Rendered.of(wrapped(Output.style(suffix), text.formatting()));
    }
    String value = value(name, text.said().get("form"));
    if (value.isEmpty()) {
      return Rendered.EMPTY;
    }
    Output words =
        name.equals("page") || name.equals("locator")
            ? Markup.read(new Numbers(this).locator(name, value))
            : Markup.read(value);
    return Rendered.of(wrapped(words, text.formatting()));
  }

  /** What a variable holds here; empty where it holds nothing, or was used by a substitute. */
  String value(String name, String form) {
    if (used.contains(name)) {
      return "";
    }
    if (form.equals("short")) {
      String brief = item.text(name + "-short");
      String other =
          name.equals("title") ? item.text("shortTitle") : item.text("journalAbbreviation");
      boolean hasOther = name.equals("title") || name.equals("container-title");
      String found = brief.isEmpty() && hasOther ? other : brief;
      if (!found.isEmpty()) {
        return found;
      }
    }
    return switch (name) {
      case "citation-number" -> situation.number() > 0 ? Integer.toString(situation.number()) : "";
      case "locator" -> situation.cite() == null ? "" : situation.cite().locator().strip();
      case "title-short" -> either("title-short", "shortTitle");
      case "container-title-short" -> either("container-title-short", "journalAbbreviation");
      case "page-first" -> first(item.text("page-first"), item.text("page"));
      case "number-page-first" -> first(item.text("page-first"), item.text("page"));
      case "first-reference-note-number" ->
          situation.firstNote() > 0 ? Integer.toString(situation.firstNote()) : "";
      default -> item.text(name);
    };
  }

  private String either(String name, String other) {
    return item.text(name).isEmpty() ? item.text(other) : item.text(name);
  }

  private static String first(String given, String pages) {
    return given.isEmpty() ? pages.strip().replaceFirst("\\s*[-–,&].*", "") : given;
  }

  /** The letter behind the year, the first time that it is asked for. */
  String yearSuffix() {
    if (suffixGiven || situation.sorts()) {
      return "";
    }
    suffixGiven = true;
    return situation.settled().yearSuffix;
  }

  /** With its looks, and with what stands around it; null stays null. */
  Output wrapped(Output content, Formatting formatting) {
    if (content == null || Output.isEmpty(content)) {
      return null;
    }
    if (formatting.stripPeriods()) {
      Output.words(content).forEach(words -> words.text = words.text.replace(".", ""));
    }
    TextCase.apply(formatting.textCase(), content, language());
    // Marks of quotation look as what is around them.
    Output.Span inner = Output.span();
    inner.quoted = formatting.quotes();
    inner.add(new Output.Span(formatting.decorations(), "", false).add(content));
    Output.Span outer = new Output.Span(List.of(), formatting.display(), false);
    outer.add(Output.style(formatting.prefix()));
    outer.add(inner);
    outer.add(Output.style(formatting.suffix()));
    return outer;
  }

  /** Of the work, or of the style where that is not known. */
  private String language() {
    String language = item.text("language");
    return language.isEmpty() ? locale.language() : language;
  }
}
