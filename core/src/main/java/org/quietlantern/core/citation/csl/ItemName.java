package org.quietlantern.core.citation.csl;

/**
 * Somebody, or an institution: then only {@code literal} is not empty.
 *
 * @param droppingParticle <i>de</i> of <i>Maupassant, Guy de</i>
 * @param nonDroppingParticle <i>van</i> of <i>van Gogh, Vincent</i>
 * @param commaSuffix whether a comma stands before the suffix
 * @param staticOrdering whether the family name always comes first
 */
public record ItemName(
    String family,
    String given,
    String droppingParticle,
    String nonDroppingParticle,
    String suffix,
    boolean commaSuffix,
    boolean staticOrdering,
    String literal) {

  /** With the parts that it has. */
  public static ItemName of(String family, String given) {
    return new ItemName(family, given, "", "", "", false, false, "");
  }

  boolean isInstitution() {
    return !literal.isEmpty();
  }
}
