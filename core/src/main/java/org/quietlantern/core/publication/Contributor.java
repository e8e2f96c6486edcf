package org.quietlantern.core.publication;

import java.util.List;

/**
 * Somebody who took part in a work, with what a source says of them.
 *
 * @param role as MARC relators name it: {@code author}, {@code editor}, {@code translator} …
 * @param body an institution or a group, not a person
 * @param orcid sixteen digits in groups of four (ISO 27729); empty if unknown
 * @param affiliations as supplied; none if unknown
 */
public record Contributor(
    PersonName name, String role, boolean body, String orcid, List<String> affiliations) {
  public static final String AUTHOR = "author";

  public Contributor {
    affiliations = List.copyOf(affiliations);
  }

  /** An author of whom the name alone is known. */
  public static Contributor author(PersonName name) {
    return new Contributor(name, AUTHOR, false, "", List.of());
  }

  /** Names of the authors among them, in their order. */
  public static List<PersonName> authors(List<Contributor> all) {
    return all.stream().filter(Contributor::isAuthor).map(Contributor::name).toList();
  }

  /** ORCIDs of the authors among them, as far as they are known. */
  public static List<String> orcids(List<Contributor> all) {
    return all.stream()
        .filter(one -> one.isAuthor() && !one.orcid().isEmpty())
        .map(Contributor::orcid)
        .toList();
  }

  /** Whether the name is a whole of several words: that of a body, or written like one. */
  public boolean isWhole() {
    return name.family().contains(" ") && (body || name.given().isEmpty());
  }

  public boolean isAuthor() {
    return role.equals(AUTHOR);
  }
}
