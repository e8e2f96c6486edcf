package org.quietlantern.core.publication;

/** Who wrote it. {@code given} is empty for a body and for people with one name. */
public record PersonName(String family, String given) {
  public PersonName {
    family = family.strip();
    given = given.strip();
    if (family.isEmpty()) {
      throw new IllegalArgumentException("a name without a family name: " + given);
    }
  }

  /** In the order in which it is spoken. */
  public String spoken() {
    return given.isEmpty() ? family : given + " " + family;
  }

  /** In the order in which it is sorted: family name first. */
  public String sorted() {
    return given.isEmpty() ? family : family + ", " + given;
  }
}
