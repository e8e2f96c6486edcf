package org.quietlantern.server.platform.web;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdScalarDeserializer;

/**
 * Days as requests name them, {@code 2026-11-29} (ISO 8601-1, 5.2.2.1): four figures of a year, so
 * that every day has a place in the database.
 */
@Configuration
class Days implements WebMvcConfigurer {
  private static final Pattern DAY = Pattern.compile("[1-9]\\d{3}-\\d{2}-\\d{2}");

  @Override
  public void addFormatters(FormatterRegistry registry) {
    registry.addConverter(String.class, LocalDate.class, Days::read);
  }

  private static LocalDate read(String text) {
    if (!DAY.matcher(text).matches()) {
      throw new DateTimeException("not a day: " + text);
    }
    return LocalDate.parse(text);
  }

  /** Of bodies; a number is none. */
  static final class InBody extends StdScalarDeserializer<LocalDate> {
    InBody() {
      super(LocalDate.class);
    }

    @Override
    public LocalDate deserialize(JsonParser parser, DeserializationContext context) {
      if (!parser.hasToken(JsonToken.VALUE_STRING)) {
        return (LocalDate) context.handleUnexpectedToken(LocalDate.class, parser);
      }
      try {
        return read(parser.getString());
      } catch (DateTimeException refused) {
        return (LocalDate)
            context.handleWeirdStringValue(LocalDate.class, parser.getString(), "not a day");
      }
    }
  }
}
