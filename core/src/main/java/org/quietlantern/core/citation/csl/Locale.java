package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is said in a language: what the style says for it before what ships (specification,
 * <i>Locale Fallback</i>).
 */
final class Locale {
  private static final Map<String, List<String>> FORMS =
      Map.of(
          "long", List.of("long"),
          "short", List.of("short", "long"),
          "verb", List.of("verb", "long"),
          "verb-short", List.of("verb-short", "verb", "long"),
          "symbol", List.of("symbol", "short", "long"));

  /** What a locator counts (specification, <i>Locators</i>), as far as it has a short form. */
  private static final List<String> LOCATORS =
      List.of(
          "act",
          "appendix",
          "article-locator",
          "book",
          "canon",
          "chapter",
          "column",
          "equation",
          "figure",
          "folio",
          "issue",
          "line",
          "note",
          "opus",
          "page",
          "paragraph",
          "part",
          "rule",
          "scene",
          "section",
          "sub-verbo",
          "supplement",
          "table",
          "verse",
          "volume");

  private final String language;
  private final Map<String, LocaleData.Term> terms = new HashMap<>();
  private final Map<String, LocaleData.LocaleDate> dates = new HashMap<>();
  private Attributes options = Attributes.NONE;

  /**
   * @param shipped the files that are there for it, the nearest first
   * @param ofStyle what the style says, in its order
   */
  Locale(String language, List<LocaleData> shipped, List<LocaleData> ofStyle) {
    this.language = language;
    List<LocaleData> layers = new ArrayList<>();
    for (int i = shipped.size() - 1; i >= 0; i--) {
      layers.add(shipped.get(i));
    }
    String part = language.replaceFirst("-.*", "");
    for (String wanted : List.of("", part, language)) {
      ofStyle.stream()
          .filter(one -> one.language().equals(wanted))
          .filter(one -> !layers.contains(one))
          .forEach(layers::add);
    }
    for (LocaleData layer : layers) {
      // Ordinals are one system: whoever says one says all.
      if (layer.terms().keySet().stream().anyMatch(key -> key.startsWith("ordinal"))) {
        terms.keySet().removeIf(key -> key.startsWith("ordinal"));
      }
      terms.putAll(layer.terms());
      dates.putAll(layer.dates());
      options = options.over(layer.options());
    }
  }

  String language() {
    return language;
  }

  boolean punctuationInQuote() {
    return options.is("punctuation-in-quote");
  }

  boolean ordinalsOnFirstOnly() {
    return options.is("limit-day-ordinals-to-day-1");
  }

  Optional<LocaleData.LocaleDate> date(String form) {
    return Optional.ofNullable(dates.get(form));
  }

  /** Empty where there is none of that name. */
  Optional<String> term(String name, String form, boolean plural) {
    return FORMS.getOrDefault(form, List.of("long")).stream()
        .map(each -> terms.get(LocaleData.key(name, each, "")))
        .filter(term -> term != null)
        .findFirst()
        .map(term -> plural ? term.multiple() : term.single());
  }

  String term(String name) {
    return term(name, "long", false).orElse("");
  }

  /** Whether it is the short word for what a locator counts, {@code fol.} or {@code vols.}. */
  boolean isLocator(String word) {
    return LOCATORS.stream()
        .map(name -> terms.get(LocaleData.key(name, "short", "")))
        .anyMatch(
            term ->
                term != null
                    && (word.equalsIgnoreCase(term.single())
                        || word.equalsIgnoreCase(term.multiple())));
  }

  /** {@code masculine}, {@code feminine}, or empty. */
  String gender(String name) {
    LocaleData.Term term = terms.get(LocaleData.key(name, "long", ""));
    return term == null ? "" : term.gender();
  }

  /** {@code 1st}. */
  String ordinal(int number, String gender) {
    return number + suffix(number, gender);
  }

  /** {@code first}; beyond ten {@code 11th}. */
  String longOrdinal(int number, String gender) {
    return either("long-ordinal-%02d".formatted(number), gender)
        .filter(term -> number >= 1 && number <= 10)
        .map(LocaleData.Term::single)
        .orElseGet(() -> ordinal(number, gender));
  }

  private String suffix(int number, String gender) {
    return ofDigits(number, number % 100, gender)
        .or(() -> ofDigits(number, number % 10, gender))
        .or(() -> either("ordinal", gender))
        .map(LocaleData.Term::single)
        .orElse("");
  }

  private Optional<LocaleData.Term> ofDigits(int number, int digits, String gender) {
    return either("ordinal-%02d".formatted(digits), gender)
        .filter(term -> fits(term.match(), number, digits));
  }

  /** Terms below ten go by the last digit, others by the last two, where they do not say. */
  private static boolean fits(String match, int number, int digits) {
    return switch (match) {
      case "whole-number" -> number == digits;
      case "last-two-digits" -> number % 100 == digits;
      default -> number % (digits < 10 ? 10 : 100) == digits;
    };
  }

  private Optional<LocaleData.Term> either(String name, String gender) {
    LocaleData.Term own = terms.get(LocaleData.key(name, "long", gender));
    return Optional.ofNullable(own != null ? own : terms.get(LocaleData.key(name, "long", "")));
  }
}
