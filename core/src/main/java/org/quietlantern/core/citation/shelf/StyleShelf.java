package org.quietlantern.core.citation.shelf;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.regex.Pattern;
import org.quietlantern.core.citation.csl.LocaleData;
import org.quietlantern.core.citation.csl.LocaleReader;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.core.citation.csl.Style;
import org.quietlantern.core.citation.csl.StyleReader;

/**
 * The styles and locale files that ship (those of {@code org.citationstyles}); what was used lately
 * stays compiled. For several threads at once.
 */
public final class StyleShelf {
  /** Compiled styles that stay; one takes some hundred kilobytes. */
  private static final int KEPT = 64;

  private static final int LOCALES_KEPT = 64;
  private static final Pattern NAME = Pattern.compile("[a-z0-9-]{1,150}");
  private static final Pattern LANGUAGE = Pattern.compile("[a-z]{2,3}(-[A-Z]{2})?");

  private final LoadingCache<String, Optional<Shelved>> styles =
      Caffeine.newBuilder().maximumSize(KEPT).build(this::read);

  private final LoadingCache<String, Optional<LocaleData>> locales =
      Caffeine.newBuilder().maximumSize(LOCALES_KEPT).build(StyleShelf::readLocale);

  /**
   * A style by its name.
   *
   * @param info of the style that was asked for, though it may follow another one
   */
  public record Shelved(StyleInfo info, Style style) {}

  /** Empty where no such style ships. */
  public Optional<Shelved> style(String name) {
    return NAME.matcher(name).matches() ? styles.get(name) : Optional.empty();
  }

  /** Whether there is a file for exactly this language, {@code en-GB}. */
  public boolean hasLocale(String language) {
    return locale(language).isPresent();
  }

  /**
   * For one set of works.
   *
   * @param language to write in; empty: the style's own
   */
  public Processor processor(Shelved shelved, String language) {
    String in = language.isEmpty() ? shelved.info().language() : language;
    return new Processor(shelved.style(), in, this::locale);
  }

  /** What a style says of itself, without compiling it; empty where no such style ships. */
  public Optional<StyleInfo> info(String name) {
    return file(name).flatMap(xml -> StyleInfoReader.read(name, new StringReader(xml)));
  }

  private Optional<LocaleData> locale(String language) {
    return LANGUAGE.matcher(language).matches() ? locales.get(language) : Optional.empty();
  }

  private Optional<Shelved> read(String name) {
    Optional<StyleInfo> info = info(name);
    if (info.isEmpty()) {
      return Optional.empty();
    }
    String own = info.get().isDependent() ? info.get().parent() : name;
    return file(own).map(xml -> new Shelved(info.get(), compiled(own, xml)));
  }

  private static Style compiled(String name, String xml) {
    try {
      return StyleReader.read(xml);
    } catch (StyleReader.Unreadable broken) {
      throw new IllegalStateException("The style " + name + " that ships is broken.", broken);
    }
  }

  private static Optional<LocaleData> readLocale(String language) {
    try {
      Optional<String> file = resource("/locales-" + language + ".xml");
      return file.isEmpty() ? Optional.empty() : Optional.of(LocaleReader.read(file.get()));
    } catch (StyleReader.Unreadable broken) {
      throw new IllegalStateException("The locale " + language + " that ships is broken.", broken);
    }
  }

  private static Optional<String> file(String name) {
    Optional<String> own = resource("/" + name + ".csl");
    return own.isPresent() ? own : resource("/dependent/" + name + ".csl");
  }

  private static Optional<String> resource(String path) {
    try (InputStream file = StyleShelf.class.getResourceAsStream(path)) {
      return file == null
          ? Optional.empty()
          : Optional.of(new String(file.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }
}
