package org.quietlantern.core.citation.csl;

import java.util.List;
import java.util.Map;

/**
 * Terms, dates and options of a locale file, or of a {@code cs:locale} in a style.
 *
 * @param language {@code en-US}; empty: for all
 * @param terms by {@link #key}
 * @param dates by form, {@code text} or {@code numeric}
 */
public record LocaleData(
    String language, Map<String, Term> terms, Map<String, LocaleDate> dates, Attributes options) {

  /** {@code match}: of an ordinal, {@code last-digit} … */
  record Term(String single, String multiple, String gender, String match) {}

  record LocaleDate(String delimiter, List<Element.DatePart> parts) {}

  static String key(String name, String form, String genderForm) {
    return name + "|" + form + "|" + genderForm;
  }
}
