package org.quietlantern.core.publication;

import java.util.Locale;
import java.util.Optional;
import org.apache.commons.validator.routines.ISBNValidator;

/**
 * A number other than the DOI by which a work can be recognised.
 *
 * @param scheme {@code isbn}, or the register as the source names it, in small letters
 * @param value normalised: an ISBN has thirteen digits and nothing between them
 */
public record Identifier(String scheme, String value) {
  public static final String ISBN = "isbn";
  private static final ISBNValidator ISBNS = new ISBNValidator(true);

  public Identifier {
    if (scheme.isBlank() || value.isBlank()) {
      throw new IllegalArgumentException("an identifier without scheme or value");
    }
  }

  /**
   * Of a register: its own number as it stands. An ISBN (ISO 2108) with ten digits becomes one with
   * thirteen; one whose check digit is wrong is none.
   */
  public static Optional<Identifier> of(String scheme, String text) {
    String clean = text.strip();
    String kind = scheme.strip().toLowerCase(Locale.ROOT);
    if (clean.isEmpty() || kind.isEmpty()) {
      return Optional.empty();
    }
    return kind.equals(ISBN)
        ? Optional.ofNullable(ISBNS.validate(clean)).map(isbn -> new Identifier(ISBN, isbn))
        : Optional.of(new Identifier(kind, clean));
  }

  /** As a key by which records of one work find each other. */
  String key() {
    return scheme + ":" + value;
  }
}
