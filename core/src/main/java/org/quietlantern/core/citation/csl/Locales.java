package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Finds the files for a language (specification, <i>Locale Fallback</i>). */
final class Locales {
  /** The dialect that stands for a language. */
  private static final Map<String, String> PRIMARY =
      Map.ofEntries(
          Map.entry("af", "af-ZA"),
          Map.entry("ar", "ar"),
          Map.entry("ca", "ca-AD"),
          Map.entry("cs", "cs-CZ"),
          Map.entry("da", "da-DK"),
          Map.entry("de", "de-DE"),
          Map.entry("el", "el-GR"),
          Map.entry("en", "en-US"),
          Map.entry("es", "es-ES"),
          Map.entry("et", "et-EE"),
          Map.entry("fa", "fa-IR"),
          Map.entry("fi", "fi-FI"),
          Map.entry("fr", "fr-FR"),
          Map.entry("he", "he-IL"),
          Map.entry("hu", "hu-HU"),
          Map.entry("is", "is-IS"),
          Map.entry("it", "it-IT"),
          Map.entry("ja", "ja-JP"),
          Map.entry("ko", "ko-KR"),
          Map.entry("nb", "nb-NO"),
          Map.entry("nl", "nl-NL"),
          Map.entry("nn", "nn-NO"),
          Map.entry("pl", "pl-PL"),
          Map.entry("pt", "pt-PT"),
          Map.entry("ro", "ro-RO"),
          Map.entry("ru", "ru-RU"),
          Map.entry("sk", "sk-SK"),
          Map.entry("sl", "sl-SI"),
          Map.entry("sr", "sr-RS"),
          Map.entry("sv", "sv-SE"),
          Map.entry("tr", "tr-TR"),
          Map.entry("uk", "uk-UA"),
          Map.entry("vi", "vi-VN"),
          Map.entry("zh", "zh-CN"));

  private Locales() {}

  static Locale of(
      String language, Function<String, Optional<LocaleData>> shipped, List<LocaleData> ofStyle) {
    String part = language.replaceFirst("-.*", "");
    Set<String> wanted = new LinkedHashSet<>();
    wanted.add(language);
    wanted.add(PRIMARY.getOrDefault(part, part));
    wanted.add("en-US");
    List<LocaleData> files = new ArrayList<>();
    wanted.forEach(one -> shipped.apply(one).ifPresent(files::add));
    return new Locale(language, files, ofStyle);
  }
}
