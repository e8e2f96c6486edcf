package org.quietlantern.standins.corpus;

/** A made-up person, or a body with only a {@code family} name. {@code orcid} is empty for most. */
public record Person(String given, String family, String orcid) {
  static Person body(String name) {
    return new Person("", name, "");
  }

  public boolean isBody() {
    return given.isEmpty();
  }

  /** The first letters of the given names, as catalogues with little room write them. */
  public String initials() {
    return java.util.Arrays.stream(given.split("[ -]"))
        .map(part -> part.substring(0, 1) + ".")
        .collect(java.util.stream.Collectors.joining(" "));
  }
}
