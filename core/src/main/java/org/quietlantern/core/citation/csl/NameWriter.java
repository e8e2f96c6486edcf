package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** One name: its parts in order, initials, particles (specification, <i>Name-part Order</i>). */
final class NameWriter {
  private static final Pattern ROMANESQUE =
      Pattern.compile("[\\p{IsLatin}\\p{IsCyrillic}\\p{IsGreek}\\p{IsArmenian}\\p{IsGeorgian}]");

  private static final Pattern ENDS_CLOSED = Pattern.compile("(?s).*['’‘ʼ\\-–\\s\u00a0]");
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
    List<Output> family = new ArrayList<>();
    add(family, name.droppingParticle(), element.given());
    add(family, name.nonDroppingParticle(), element.family());
    add(family, name.family(), element.family());
    Output.Span behind = spaced(family);
    if (!name.suffix().isEmpty()) {
      behind.add(Output.style(name.commaSuffix() ? ", " : " "));
      behind.add(Output.field(name.suffix()));
    }
    List<Output> parts = new ArrayList<>();
    if (!given.isEmpty()) {
      List<Output> first = new ArrayList<>();
      add(first, given, element.given());
      parts.add(around(spaced(first), element.given()));
    }
    if (!behind.children.isEmpty()) {
      parts.add(name.staticOrdering() ? 0 : parts.size(), around(behind, element.family()));
    }
    return spaced(parts);
  }

  private Output inverted(ItemName name, String given) {
    String separator = options.get("sort-separator", ", ");
    boolean demoted =
        particles.equals("display-and-sort")
            || (situation.sorts() && particles.equals("sort-only"));
    List<Output> rest = new ArrayList<>();
    add(rest, given, element.given());
    add(rest, name.droppingParticle(), element.given());
    if (demoted) {
      add(rest, name.nonDroppingParticle(), element.family());
    }
    Output.Span span = Output.span();
    span.add(family(name, !demoted));
    if (!rest.isEmpty()) {
      span.add(Output.style(separator));
      span.add(around(spaced(rest), element.given()));
    }
    if (!name.suffix().isEmpty()) {
      span.add(Output.style(separator));
      span.add(Output.field(name.suffix()));
    }
    return span;
  }

  private Output family(ItemName name, boolean withParticle) {
    List<Output> parts = new ArrayList<>();
    if (withParticle) {
      add(parts, name.nonDroppingParticle(), element.family());
    }
    add(parts, name.family(), element.family());
    return around(spaced(parts), element.family());
  }

  /** A part by itself; what stands around all of its sort comes later. */
  private void add(List<Output> to, String words, Formatting look) {
    if (!words.isEmpty()) {
      to.add(part(Markup.read(words), look.bare()));
    }
  }

  private Output around(Output words, Formatting look) {
    return part(
        words, new Formatting(List.of(), look.prefix(), look.suffix(), false, "", false, ""));
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
    boolean alone = name.family().isEmpty();
    boolean initials = options.has("initialize-with") && level < 2 && !alone;
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
