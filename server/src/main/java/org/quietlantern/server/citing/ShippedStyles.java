package org.quietlantern.server.citing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.JarURLConnection;
import java.net.URL;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.jar.JarFile;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.citation.shelf.StyleFinder;
import org.quietlantern.core.citation.shelf.StyleInfo;
import org.quietlantern.core.citation.shelf.StyleInfoReader;
import org.quietlantern.core.citation.shelf.StyleShelf;

/** The files that ship, once for the whole process: they never change. */
final class ShippedStyles {
  static final StyleShelf SHELF = new StyleShelf();
  private static final Pattern LOCALE = Pattern.compile("locales-([a-z]{2,3}(?:-[A-Z]{2})?)\\.xml");

  /** A language that citations can be in; {@code name} is its own for itself. */
  record LanguageShown(String code, String name) {}

  private ShippedStyles() {}

  /** Made when somebody looks for a style first, in about a second. */
  private static final class Heads {
    private static final StyleFinder FINDER = new StyleFinder(read());

    private static List<StyleInfo> read() {
      try {
        return StyleInfoReader.all(jarOf("/apa.csl"));
      } catch (IOException broken) {
        throw new UncheckedIOException(broken);
      }
    }
  }

  private static final class Languages {
    private static final List<LanguageShown> ALL =
        Collections.list(jarOf("/locales-en-US.xml").entries()).stream()
            .map(entry -> LOCALE.matcher(entry.getName()))
            .filter(Matcher::matches)
            .map(file -> language(file.group(1)))
            .sorted(Comparator.comparing(LanguageShown::name, String.CASE_INSENSITIVE_ORDER))
            .toList();

    private static LanguageShown language(String code) {
      Locale language = Locale.forLanguageTag(code);
      return new LanguageShown(code, language.getDisplayName(language));
    }
  }

  static StyleFinder finder() {
    return Heads.FINDER;
  }

  static List<LanguageShown> languages() {
    return Languages.ALL;
  }

  /** The archive that holds a file; it stays open with the class loader. */
  private static JarFile jarOf(String file) {
    try {
      URL found = Objects.requireNonNull(ShippedStyles.class.getResource(file));
      return ((JarURLConnection) found.openConnection()).getJarFile();
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }
}
