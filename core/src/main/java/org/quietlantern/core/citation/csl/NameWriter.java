package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** One name: its parts in order, initials, particles (specification, <i>Name-part Order</i>). */
final class NameWriter {
  private static final Pattern ROMANESQUE =
      Pattern.compile("[\\p{IsLatin}\\p{IsCyrillic}\\p{IsGreek}\\p{IsArmenian}\\p{IsGeorgian}]");

  private static final Pattern ENDS_CLOSED = Pattern.compile("(?s).*['’‘ʼ\\-–\\s]");
  private final Renderer renderer;
  private final Situation situation;
  private final Element.Names element;
  private final Attributes options;
  private final String particles;

  NameWriter(Renderer renderer, Element.Names element, Attributes options) {
    this.renderer = renderer;
    this.situation = renderer.situation();
    this.element = element;
    this.options = options;
    this.particles =
        situation.style().options().get("demote-non-dropping-particle", "display-and-sort");
  }

  static boolean isInverted(Attributes options, int at) {
    String order = options.get("name-as-sort-order");
    return order.equals("all") || (order.equals("first") && at == 0);
  }

  Output name(ItemName name, int at) {
    if (name.isInstitution()) {
      return part(Markup.read(name.literal()), element.family());
    }
    if (!isRomanesque(name)) {
      return together(name);
    }
    int level = situation.settled().given.getOrDefault(name, 0);
    if (options.get("form").equals("short") && level == 0) {
      return family(name, true);
    }
    String given = given(name, level);
    boolean inverted = isInverted(options, at);
    return inverted ? inverted(name, given) : natural(name, given);
  }

  private static boolean isRomanesque(ItemName name) {
    String all = name.family() + name.given();
    return all.isEmpty() || ROMANESQUE.matcher(all).find();
  }

  /** Names in scripts that put the family name first, without a space. */
  private Output together(ItemName name) {
    Output.Span span = Output.span();
    span.add(part(Output.field(name.family()), element.family()));
    if (!options.get("form").equals("short") && !name.given().isEmpty()) {
      span.add(part(Output.field(name.given()), element.given()));
    }
    return span;
  }

  private Output natural(ItemName name, String given) {
    List<Output> parts = new ArrayList<>();
    List<String> before = new ArrayList<>();
    if (!given.isEmpty()) {
      before.add(given);
    }
    if (!name.droppingParticle().isEmpty()) {
      before.add(name.droppingParticle());
    }
    String first = joined(before);
    boolean familyFirst = name.staticOrdering();
    if (!first.isEmpty() && !familyFirst) {
      parts.add(part(Markup.read(first), element.given()));
    }
    if (!name.family().isEmpty() || !name.nonDroppingParticle().isEmpty()) {
      parts.add(family(name, true));
    }
    if (!first.isEmpty() && familyFirst) {
      parts.add(part(Markup.read(first), element.given()));
    }
    Output.Span span = spaced(parts);
    if (!name.suffix().isEmpty()) {
      span.add(Output.style(name.commaSuffix() ? ", " : " "));
      span.add(Output.field(name.suffix()));
    }
    return span;
  }

  private Output inverted(ItemName name, String given) {
    String separator = options.get("sort-separator", ", ");
    boolean demoted =
        particles.equals("display-and-sort")
            || (situation.sorts() && particles.equals("sort-only"));
    List<String> behind = new ArrayList<>();
    if (!given.isEmpty()) {
      behind.add(given);
    }
    if (!name.droppingParticle().isEmpty()) {
      behind.add(name.droppingParticle());
    }
    if (demoted && !name.nonDroppingParticle().isEmpty()) {
      behind.add(name.nonDroppingParticle());
    }
    Output.Span span = Output.span();
    span.add(family(name, !demoted));
    String rest = String.join(" ", behind);
    if (!rest.isEmpty()) {
      span.add(Output.style(separator));
      span.add(part(Markup.read(rest), element.given()));
    }
    if (!name.suffix().isEmpty()) {
      span.add(Output.style(separator));
      span.add(Output.field(name.suffix()));
    }
    return span;
  }

  private Output family(ItemName name, boolean withParticle) {
    Formatting look = element.family();
    List<Output> parts = new ArrayList<>();
    if (withParticle && !name.nonDroppingParticle().isEmpty()) {
      parts.add(part(Markup.read(name.nonDroppingParticle()), look.bare()));
    }
    if (!name.family().isEmpty()) {
      parts.add(part(Markup.read(name.family()), look.bare()));
    }
    return part(
        spaced(parts),
        new Formatting(List.of(), look.prefix(), look.suffix(), false, "", false, ""));
  }

  /** With a space between, but behind an apostrophe or a hyphen. */
  private static String joined(List<String> parts) {
    StringBuilder text = new StringBuilder();
    for (String part : parts) {
      if (text.length() > 0 && !ENDS_CLOSED.matcher(text).matches()) {
        text.append(' ');
      }
      text.append(part);
    }
    return text.toString();
  }

  private static Output.Span spaced(List<Output> parts) {
    Output.Span span = Output.span();
    for (Output part : parts) {
      if (!span.children.isEmpty()
          && !ENDS_CLOSED
              .matcher(Output.plain(span.children.get(span.children.size() - 1)))
              .matches()) {
        span.add(Output.style(" "));
      }
      span.add(part);
    }
    return span;
  }

  private Output part(Output words, Formatting look) {
    Output shown = renderer.wrapped(words, look);
    return shown == null ? Output.span() : shown;
  }

  private String given(ItemName name, int level) {
    boolean initials = options.has("initialize-with") && level < 2;
    if (!initials) {
      return name.given();
    }
    return Initials.of(
        name.given(),
        options.get("initialize-with"),
        !options.get("initialize").equals("false"),
        !situation.style().options().get("initialize-with-hyphen").equals("false"));
  }
}
