package org.quietlantern.server.mail;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Letters as they are read: from templates, in which the HTML of values is escaped. */
final class LetterTexts {
  private static final Map<String, Template> KNOWN = new ConcurrentHashMap<>();

  private LetterTexts() {}

  static String text(String template, Map<String, ?> values) {
    return written(template + ".txt", false, values);
  }

  static String html(String template, Map<String, ?> values) {
    return written(template + ".html", true, values);
  }

  private static String written(String file, boolean isHtml, Map<String, ?> values) {
    return KNOWN
        .computeIfAbsent(
            file,
            name -> compiled(Mustache.compiler().escapeHTML(isHtml).emptyStringIsFalse(true), name))
        .execute(values);
  }

  private static Template compiled(Mustache.Compiler compiler, String file) {
    try (InputStream letter = LetterTexts.class.getResourceAsStream("/letters/" + file)) {
      if (letter == null) {
        throw new IllegalStateException("there is no letter " + file);
      }
      Reader text = new InputStreamReader(letter, StandardCharsets.UTF_8);
      return compiler.compile(text);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
