package org.quietlantern.core.citation.csl;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Finds particles and suffixes that are written within family and given names. */
public final class Particles {
  /** What is longer is no name. */
  private static final int LONGEST = 300;

  private static final Pattern FAMILY =
      Pattern.compile("((?:['’‘ʼ]?\\p{Ll}[\\p{L}’'‘ʼ.-]*[\\s’'‘ʼ-]\\s*)+)(\\p{Lu}.*|\\P{L}.*)");

  private static final Pattern GIVEN =
      Pattern.compile("(.*?\\S)\\s+((?:\\p{Ll}[\\p{L}’'‘.]*\\s*)+)");
  private static final Pattern SUFFIX = Pattern.compile("(.*?),(!?)\\s+(\\S.*)");

  private Particles() {}

  /** A name whose parts are not known one by one; what is in quotation marks stays as it is. */
  public static ItemName of(ItemName name) {
    if (name.isInstitution() || name.family().length() + name.given().length() > LONGEST) {
      return name;
    }
    String family = name.family();
    String given = name.given();
    String dropping = name.droppingParticle();
    String nonDropping = name.nonDroppingParticle();
    String suffix = name.suffix();
    boolean comma = name.commaSuffix();
    Matcher ends = SUFFIX.matcher(given);
    if (suffix.isEmpty() && ends.matches()) {
      given = ends.group(1);
      comma = !ends.group(2).isEmpty();
      suffix = ends.group(3);
    }
    if (family.length() > 1 && family.startsWith("\"") && family.endsWith("\"")) {
      family = family.substring(1, family.length() - 1);
    } else if (nonDropping.isEmpty()) {
      Matcher particle = FAMILY.matcher(family);
      if (particle.matches()) {
        String found = particle.group(1);
        nonDropping = found.matches(".*['’‘ʼ]\\s+") ? found : found.stripTrailing();
        family = particle.group(2);
      }
    }
    Matcher behind = GIVEN.matcher(given);
    if (dropping.isEmpty() && behind.matches()) {
      dropping = behind.group(2).strip();
      given = behind.group(1);
    }
    return new ItemName(
        family, given, dropping, nonDropping, suffix, comma, name.staticOrdering(), "");
  }
}
