package org.quietlantern.server.search;

import java.util.Locale;
import org.quietlantern.core.query.Limit;
import org.quietlantern.core.query.Property;
import org.quietlantern.server.catalogue.Sources;
import org.springframework.stereotype.Component;

/** What values of properties are called for people. */
@Component
class Labels {
  private final Sources sources;

  Labels(Sources sources) {
    this.sources = sources;
  }

  String of(Property property, String value) {
    if (value.equals(Limit.UNKNOWN)) {
      return "unknown";
    }
    boolean yes = value.equals("yes");
    return switch (property) {
      case SOURCE -> sources.names().getOrDefault(value, value);
      case LANGUAGE -> language(value);
      case FIGURES -> yes ? "with figures" : "without figures";
      case REFERENCES -> yes ? "cited works known" : "cited works not known";
      case ABSTRACT -> yes ? "with abstract" : "without abstract";
      default -> value;
    };
  }

  private static String language(String code) {
    String name = Locale.forLanguageTag(code).getDisplayLanguage(Locale.ENGLISH);
    return name.isEmpty() ? code : name;
  }
}
