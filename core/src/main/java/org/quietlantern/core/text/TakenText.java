package org.quietlantern.core.text;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What a file holds, taken out of it once, so that it can be searched, found in and quoted.
 *
 * @param form what sort of file it is
 * @param title as the file itself says; empty if it does not
 * @param pages in order; a page of the web is one
 * @param parts chapters, sections, figures and tables in the order in which they stand
 * @param html of a page of the web: cleaned of everything that acts; empty for others
 */
public record TakenText(Form form, String title, List<Page> pages, List<Part> parts, String html) {

  /** Which sorts of files can be read here. */
  public enum Form {
    PDF,
    HTML;

    /** By how its content begins, whatever it is called. Empty for anything else. */
    public static Optional<Form> of(byte[] content) {
      int length = Math.min(content.length, 1024);
      String beginning = new String(content, 0, length, StandardCharsets.UTF_8);
      // ISO 32000-2, 7.5.2; readers take the mark anywhere in the first 1,024 bytes.
      if (beginning.contains("%PDF-")) {
        return Optional.of(PDF);
      }
      String small = beginning.toLowerCase(Locale.ROOT);
      boolean isPage = small.contains("<!doctype html") || small.contains("<html");
      return isPage ? Optional.of(HTML) : Optional.empty();
    }
  }

  /**
   * @param label the number that is printed on it, or would be; empty where there are no pages
   * @param text its words, line by line
   */
  public record Page(String label, String text) {}

  /**
   * @param kind chapter or section, figure, table
   * @param level 1 for the outermost
   * @param page on which it begins, from 0
   * @param anchor names the place in {@code html}; empty for a file of pages
   */
  public record Part(Kind kind, int level, String title, int page, String anchor) {
    /** What begins there. */
    public enum Kind {
      SECTION,
      FIGURE,
      TABLE
    }
  }

  public TakenText {
    pages = List.copyOf(pages);
    parts = List.copyOf(parts);
  }

  /** Whether there are words in it; a scanned file has none. */
  public boolean hasWords() {
    return pages.stream().anyMatch(page -> !page.text().isBlank());
  }

  /** A file that cannot be read here, with a sentence why, for people. */
  public static final class Unreadable extends Exception {
    private static final long serialVersionUID = 1;

    public Unreadable(String sentence) {
      super(sentence);
    }

    Unreadable(String sentence, Throwable cause) {
      super(sentence, cause);
    }
  }
}
