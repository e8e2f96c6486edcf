package org.quietlantern.core.citation.csl;

import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Numbers, labels and page ranges (specification, <i>Number</i>, <i>Label</i>, <i>Page Ranges</i>).
 */
final class Numbers {
  private static final String ONE = "[\\p{L}.]*\\d+[\\p{L}]*";
  private static final Pattern NUMERIC =
      Pattern.compile("\\s*" + ONE + "(?:\\s*[,&–—-]\\s*" + ONE + ")*\\s*");

  private static final Pattern SEVERAL =
      Pattern.compile(
          ".*(?:\\d\\p{L}*|\\b[ivxlcdm]+)\\s*(?:(?:(?<!\\\\)[,&–—-]|and|et|und|y|e)\\s*)+(?:\\p{L}*\\d|[ivxlcdm]+\\b).*");
  private static final Pattern WORD = Pattern.compile("(\\p{L}+\\.?)\\s");
  private static final Pattern INTEGER = Pattern.compile("\\d+");
  private static final Set<String> COUNTS = Set.of("number-of-pages", "number-of-volumes");
  private static final String[] ROMAN = {
    "m", "cm", "d", "cd", "c", "xc", "l", "xl", "x", "ix", "v", "iv", "i"
  };

  private static final int[] WORTH = {1000, 900, 500, 400, 100, 90, 50, 40, 10, 9, 5, 4, 1};
  private static final int MOST_ROMAN = 4000;

  /** What is longer is no number, and no pages. */
  private static final int LONGEST = 300;

  private final Renderer renderer;
  private final Locale locale;

  Numbers(Renderer renderer) {
    this.renderer = renderer;
    this.locale = renderer.situation().locale();
  }

  static boolean isNumeric(String text) {
    return text.length() <= LONGEST && NUMERIC.matcher(text).matches();
  }

  Rendered number(Element.Numeral number) {
    String value = renderer.value(number.variable(), "");
    if (value.isEmpty()) {
      return Rendered.EMPTY;
    }
    String words = isNumeric(value) ? formed(value, number) : value;
    return Rendered.of(renderer.wrapped(Output.field(words), number.formatting()));
  }

  private String formed(String value, Element.Numeral number) {
    String gender = locale.gender(number.variable());
    Matcher each = Pattern.compile("([\\p{L}.]*)(\\d+)([\\p{L}]*)").matcher(value.strip());
    String formed =
        each.replaceAll(
            one -> {
              boolean bare = one.group(1).isEmpty() && one.group(3).isEmpty();
              return Matcher.quoteReplacement(
                  bare ? formed(one.group(2), number.form(), gender) : one.group());
            });
    return separated(formed);
  }

  private String formed(String digits, String form, String gender) {
    if (digits.length() > 8) {
      return digits;
    }
    int n = Integer.parseInt(digits);
    return switch (form) {
      case "ordinal" -> locale.ordinal(n, gender);
      case "long-ordinal" -> locale.longOrdinal(n, gender);
      case "roman" -> n > 0 && n < MOST_ROMAN ? roman(n) : digits;
      default -> digits;
    };
  }

  private static String separated(String numbers) {
    return numbers
        .replaceAll("\\s*[-–]\\s*", "–")
        .replaceAll("\\s*,\\s*", ", ")
        .replaceAll("\\s*&\\s*", " & ");
  }

  static String roman(int number) {
    StringBuilder roman = new StringBuilder();
    int rest = number;
    for (int i = 0; i < WORTH.length; i++) {
      while (rest >= WORTH[i]) {
        roman.append(ROMAN[i]);
        rest -= WORTH[i];
      }
    }
    return roman.toString();
  }

  Rendered label(Element.Label label) {
    String variable = label.variable();
    String value = renderer.value(variable, "");
    if (value.isEmpty()) {
      return Rendered.NOTHING;
    }
    Cite cite = renderer.situation().cite();
    boolean locates = variable.equals("locator") && cite != null;
    if (locates && cite.label().isEmpty() && saysWhat(value)) {
      return Rendered.NOTHING;
    }
    String term = locates ? Conditions.label(cite) : variable;
    boolean plural =
        switch (label.said().get("plural", "contextual")) {
          case "always" -> true;
          case "never" -> false;
          default ->
              COUNTS.contains(variable)
                  ? INTEGER.matcher(value).matches() && !value.equals("1") && !value.equals("0")
                  : value.length() <= LONGEST && SEVERAL.matcher(value).matches();
        };
    String words = locale.term(term, label.said().get("form", "long"), plural).orElse("");
    return words.isEmpty()
        ? Rendered.NOTHING
        : Rendered.said(renderer.wrapped(Output.style(words), label.formatting()));
  }

  /** Whether a locator begins with the word for what it counts, <i>vol. 1, fol. 186</i>. */
  private boolean saysWhat(String locator) {
    Matcher word = WORD.matcher(locator);
    return word.lookingAt() && locale.isLocator(word.group(1));
  }

  /** Pages and locators with their ranges as the style has them. */
  String locator(String variable, String value) {
    Cite cite = renderer.situation().cite();
    boolean pages =
        variable.equals("page") || (cite != null && Conditions.label(cite).equals("page"));
    if (value.length() > LONGEST) {
      return value;
    }
    if (!pages) {
      return value.replaceAll("(?<=\\d)\\s*-\\s*(?=\\d)", "–");
    }
    String format = renderer.situation().style().options().get("page-range-format");
    String between = locale.term("page-range-delimiter");
    String and = locale.term("and", "symbol", false).orElse("&");
    return PageRange.all(value, format, between.isEmpty() ? "–" : between)
        .replace(" & ", " " + and + " ");
  }
}
