package org.quietlantern.core.publication;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;

/**
 * Whether two supplied records describe one work (rule W1). They do when a key agrees, the titles
 * agree and the first author's family name is equal. What nearly does is for a person to decide.
 */
public final class SameWork {
  /** One letter may differ in so many. */
  private static final int LETTERS_AN_ERROR = 12;

  private static final Pattern ABOUT_ANOTHER =
      Pattern.compile(
          "(?i)(erratum|errata|correction|corrigendum|retraction|expression of concern)\\b.*");

  private SameWork() {}

  /** What comparing comes to; {@code DOUBTFUL}: not without a person. */
  public enum Likeness {
    SAME,
    DOUBTFUL,
    OTHER
  }

  /**
   * Keys by which candidates can be looked up: records that share none are never the same. Each
   * begins with its kind.
   */
  public static List<String> keys(Publication work) {
    List<String> keys = new ArrayList<>();
    numbers(work).forEach(keys::add);
    place(work).ifPresent(place -> keys.add("place:" + place));
    keys.add(titleKey(work.title()));
    return keys;
  }

  public static Likeness compare(Publication one, Publication other) {
    boolean sameNumber = numbers(one).stream().anyMatch(numbers(other)::contains);
    return sameNumber && isNotice(one) != isNotice(other)
        ? Likeness.DOUBTFUL
        : bothSame(one, other, sameNumber);
  }

  private static Likeness bothSame(Publication one, Publication other, boolean sameNumber) {
    boolean key =
        sameNumber
            || (place(one).isPresent() && place(one).equals(place(other)))
            || byTitle(one, other);
    if (!key) {
      return Likeness.OTHER;
    }
    if (!titlesAgree(one.title(), other.title())) {
      return sameNumber ? Likeness.DOUBTFUL : Likeness.OTHER;
    }
    if (one.authors().isEmpty() && other.authors().isEmpty()) {
      return sameNumber ? Likeness.SAME : Likeness.OTHER;
    }
    if (firstAuthor(one).equals(firstAuthor(other))) {
      return Likeness.SAME;
    }
    return sameNumber || sharesAuthor(one, other) ? Likeness.DOUBTFUL : Likeness.OTHER;
  }

  /**
   * Whether two records that are joined through a third may stand together: nothing in them says
   * otherwise.
   */
  public static boolean fit(Publication one, Publication other) {
    return titlesAgree(one.title(), other.title())
        && firstAuthor(one).equals(firstAuthor(other))
        && isNotice(one) == isNotice(other);
  }

  private static boolean byTitle(Publication one, Publication other) {
    return fingerprint(one).equals(fingerprint(other))
        && one.year().isPresent()
        && other.year().isPresent()
        && Math.abs(one.year().get() - other.year().get()) <= 1;
  }

  /** Equal after folding, or one without its subtitle, or off by a letter in twelve. */
  static boolean titlesAgree(String one, String other) {
    String a = Fold.letters(one);
    String b = Fold.letters(other);
    return a.equals(b)
        || a.equals(Fold.letters(Fold.mainTitle(other)))
        || b.equals(Fold.letters(Fold.mainTitle(one)))
        || Distance.within(a, b, Math.max(a.length(), b.length()) / LETTERS_AN_ERROR);
  }

  private static String fingerprint(Publication work) {
    return titleKey(work.title());
  }

  /** The key that all works with this title have, whatever their subtitles. */
  public static String titleKey(String title) {
    return "title:" + Fold.letters(Fold.mainTitle(title));
  }

  /** Strong identifiers: DOIs, ISBN, numbers of registers, each with its kind in front. */
  private static Set<String> numbers(Publication work) {
    Set<String> numbers = new TreeSet<>();
    for (String doi : List.of(work.doi(), work.relations().versionOf())) {
      if (!doi.isEmpty()) {
        numbers.add(doiKey(doi));
      }
    }
    work.identifiers().forEach(identifier -> numbers.add(identifier.key()));
    return numbers;
  }

  private static Optional<String> place(Publication work) {
    Host host = work.host();
    String journal = host.issn().isEmpty() ? Fold.letters(host.title()) : host.issn();
    return journal.isEmpty() || host.volume().isEmpty() || host.firstPage().isEmpty()
        ? Optional.empty()
        : Optional.of(journal + "|" + host.volume() + "|" + host.firstPage());
  }

  private static String firstAuthor(Publication work) {
    return work.authors().isEmpty() ? "" : Fold.letters(work.authors().get(0).family());
  }

  private static boolean sharesAuthor(Publication one, Publication other) {
    Set<String> names = new HashSet<>();
    one.authors().forEach(author -> names.add(Fold.letters(author.family())));
    return other.authors().stream().anyMatch(a -> names.contains(Fold.letters(a.family())));
  }

  private static boolean isNotice(Publication work) {
    return work.kind() == Kind.NOTICE || ABOUT_ANOTHER.matcher(work.title()).matches();
  }

  /** The key that all works with this DOI have; DOIs are the same in any letter case. */
  public static String doiKey(String doi) {
    return "doi:" + doi.toLowerCase(Locale.ROOT);
  }
}
