package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Dates and their ranges (specification, <i>Date</i>). */
final class Dates {
  private static final List<String> LARGEST_FIRST = List.of("year", "month", "day");
  private final Renderer renderer;
  private final Locale locale;

  Dates(Renderer renderer) {
    this.renderer = renderer;
    this.locale = renderer.situation().locale();
  }

  Rendered render(Element.Date date) {
    ItemDate value =
        renderer.isUsed(date.variable())
            ? null
            : renderer.situation().item().dates().get(date.variable());
    if (value == null) {
      return Rendered.EMPTY;
    }
    if (value.parts().isEmpty()) {
      Output literal = Markup.read(value.literal());
      return Rendered.of(renderer.wrapped(literal, date.formatting()));
    }
    Output words =
        renderer.situation().sorts() && !date.form().isEmpty()
            ? Output.field(sortable(value, wanted(date)))
            : laidOut(date, value);
    return Rendered.of(renderer.wrapped(words, date.formatting()));
  }

  /** As it is compared; {@code parts}: those that count. */
  static String sortable(ItemDate date, Set<String> parts) {
    if (date.parts().isEmpty()) {
      return date.literal();
    }
    StringBuilder text = new StringBuilder();
    for (ItemDate.Parts one : date.parts()) {
      text.append(
          "%07d%02d%02d"
              .formatted(
                  1_000_000 + (parts.contains("year") ? one.year() : 0),
                  parts.contains("month") ? one.month() : 0,
                  parts.contains("day") ? one.day() : 0));
    }
    return text.toString();
  }

  private static Set<String> wanted(Element.Date date) {
    return Set.of(date.parts().split("-"));
  }

  private Output laidOut(Element.Date date, ItemDate value) {
    List<Element.DatePart> parts = date.own();
    String delimiter = date.delimiter();
    if (!date.form().isEmpty()) {
      LocaleData.LocaleDate form =
          locale.date(date.form()).orElse(new LocaleData.LocaleDate("", List.of()));
      Set<String> wanted = wanted(date);
      delimiter = form.delimiter();
      parts =
          form.parts().stream()
              .filter(part -> wanted.contains(part.name()))
              .map(part -> overridden(part, date.own()))
              .toList();
    }
    List<Element.DatePart> there =
        parts.stream().filter(part -> has(value.from(), part.name())).toList();
    return value.isRange()
        ? range(there, parts, value, delimiter)
        : one(there, value.from(), delimiter);
  }

  private static Element.DatePart overridden(Element.DatePart part, List<Element.DatePart> own) {
    Optional<Element.DatePart> mine =
        own.stream().filter(one -> one.name().equals(part.name())).findFirst();
    if (mine.isEmpty()) {
      return part;
    }
    Attributes said = part.said().over(mine.get().said());
    Formatting look = Formatting.read(said);
    return new Element.DatePart(
        part.name(),
        said,
        new Formatting(
            look.decorations(),
            part.formatting().prefix(),
            part.formatting().suffix(),
            false,
            look.textCase(),
            look.stripPeriods(),
            ""));
  }

  private static boolean has(ItemDate.Parts date, String part) {
    return switch (part) {
      case "year" -> true;
      case "month" -> date.month() > 0;
      default -> date.day() > 0 && !date.isSeason();
    };
  }

  private Output one(List<Element.DatePart> parts, ItemDate.Parts date, String delimiter) {
    Output.Span span = Output.span();
    for (Element.DatePart part : parts) {
      add(span, part, date, delimiter, false);
    }
    return span;
  }

  private void add(
      Output.Span to,
      Element.DatePart part,
      ItemDate.Parts date,
      String delimiter,
      boolean withoutSuffix) {
    Output words = words(part, date);
    if (words == null) {
      return;
    }
    Formatting look = part.formatting();
    Formatting shown =
        withoutSuffix
            ? new Formatting(
                look.decorations(),
                look.prefix(),
                "",
                false,
                look.textCase(),
                look.stripPeriods(),
                "")
            : look;
    if (!to.children.isEmpty()) {
      to.add(Output.style(delimiter));
    }
    to.add(renderer.wrapped(words, shown));
  }

  private Output range(
      List<Element.DatePart> there, List<Element.DatePart> all, ItemDate value, String delimiter) {
    ItemDate.Parts from = value.from();
    ItemDate.Parts to = value.parts().get(1);
    if (to.year() == 0) {
      Output.Span open = Output.span();
      open.add(one(there, from, delimiter));
      open.add(Output.style(between(there)));
      return open;
    }
    List<Element.DatePart> parts =
        all.stream().filter(part -> has(from, part.name()) || has(to, part.name())).toList();
    String largest =
        LARGEST_FIRST.stream().filter(part -> differ(from, to, part)).findFirst().orElse("");
    Set<String> inRange =
        switch (largest) {
          case "year" -> Set.of("year", "month", "day");
          case "month" -> Set.of("month", "day");
          case "day" -> Set.of("day");
          default -> Set.of();
        };
    List<Integer> at = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      if (inRange.contains(parts.get(i).name())) {
        at.add(i);
      }
    }
    if (at.isEmpty()) {
      return one(there, from, delimiter);
    }
    int first = at.get(0);
    int last = at.get(at.size() - 1);
    Output.Span span = Output.span();
    for (int i = 0; i < first; i++) {
      add(span, parts.get(i), from, delimiter, false);
    }
    Output.Span one = Output.span();
    for (int i = first; i <= last; i++) {
      add(one, parts.get(i), from, delimiter, i == last);
    }
    Output.Span other = Output.span();
    for (int i = first; i <= last; i++) {
      add(other, parts.get(i), to, delimiter, false);
    }
    if (!span.children.isEmpty()) {
      span.add(Output.style(delimiter));
    }
    span.add(one);
    span.add(Output.style(between(parts, largest)));
    span.add(other);
    for (int i = last + 1; i < parts.size(); i++) {
      add(span, parts.get(i), from, delimiter, false);
    }
    return span;
  }

  private static boolean differ(ItemDate.Parts one, ItemDate.Parts other, String part) {
    return switch (part) {
      case "year" -> one.year() != other.year();
      case "month" -> one.month() != other.month();
      default -> one.day() != other.day();
    };
  }

  private static String between(List<Element.DatePart> parts) {
    return parts.isEmpty() ? "–" : between(parts, parts.get(parts.size() - 1).name());
  }

  private static String between(List<Element.DatePart> parts, String largest) {
    return parts.stream()
        .filter(part -> part.name().equals(largest))
        .map(part -> part.said().get("range-delimiter", "–"))
        .findFirst()
        .orElse("–");
  }

  private Output words(Element.DatePart part, ItemDate.Parts date) {
    if (!has(date, part.name())) {
      return null;
    }
    String form = part.said().get("form");
    return switch (part.name()) {
      case "year" -> year(date, form);
      case "month" -> Output.field(month(date, form));
      default -> Output.field(day(date, form));
    };
  }

  private Output year(ItemDate.Parts date, String form) {
    if (renderer.situation().sorts()) {
      return Output.field("%07d".formatted(1_000_000 + date.year()));
    }
    int year = date.year();
    String digits = Integer.toString(Math.abs(year));
    if (form.equals("short") && digits.length() == 4) {
      digits = digits.substring(2);
    }
    // “79AD”, as the specification has it, whatever the file says of spaces.
    String era = (year < 0 ? locale.term("bc") : year < 1000 ? locale.term("ad") : "").strip();
    Output.Span span = Output.span();
    span.add(Output.field(digits + era));
    if (!renderer.situation().saysYearSuffix()) {
      span.add(Output.style(renderer.yearSuffix()));
    }
    return span;
  }

  private String month(ItemDate.Parts date, String form) {
    if (renderer.situation().sorts()) {
      return "%02d".formatted(date.month());
    }
    if (date.isSeason()) {
      return locale.term("season-%02d".formatted(date.season()));
    }
    return switch (form) {
      case "numeric" -> Integer.toString(date.month());
      case "numeric-leading-zeros" -> "%02d".formatted(date.month());
      case "short" -> locale.term("month-%02d".formatted(date.month()), "short", false).orElse("");
      default -> locale.term("month-%02d".formatted(date.month()));
    };
  }

  private String day(ItemDate.Parts date, String form) {
    if (renderer.situation().sorts()) {
      return "%02d".formatted(date.day());
    }
    boolean ordinal = form.equals("ordinal") && (date.day() == 1 || !locale.ordinalsOnFirstOnly());
    if (ordinal) {
      return locale.ordinal(date.day(), locale.gender("month-%02d".formatted(date.month())));
    }
    return form.equals("numeric-leading-zeros")
        ? "%02d".formatted(date.day())
        : Integer.toString(date.day());
  }
}
