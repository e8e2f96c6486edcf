package org.quietlantern.core.publication;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * One publication from all that sources supplied of it (rule W2). Field by field the best version
 * wins, within it what is soundly written, then the order of sources, then the latest.
 */
public final class Joined {
  /**
   * What one source says.
   *
   * @param rank of the source: the lower, the more it is believed
   * @param order of coming here: the higher, the later
   */
  public record Supplied(Publication reading, int rank, long order) {}

  private static final Comparator<Supplied> BEST =
      Comparator.comparing((Supplied s) -> s.reading().version(), Comparator.reverseOrder())
          .thenComparing(Supplied::rank)
          .thenComparing(s -> -s.order());
  private final List<Publication> best;

  private Joined(List<Supplied> supplied) {
    this.best = supplied.stream().sorted(BEST).map(Supplied::reading).toList();
  }

  /** At least one. */
  public static Publication of(List<Supplied> supplied) {
    return supplied.size() == 1 ? supplied.get(0).reading() : new Joined(supplied).publication();
  }

  private Publication publication() {
    Publication first = best.get(0);
    return new Publication(
        title(),
        text(Publication::originalTitle),
        first.kind(),
        first.version(),
        authors(),
        earliest(),
        known(Publication::host, Host::isKnown, Host.NONE),
        text(Publication::publisher),
        text(Publication::language),
        text(Publication::abstractText),
        headings(),
        keywords(),
        text(Publication::doi),
        relations(),
        known(Publication::pages, pages -> pages > 0, 0),
        best.stream().anyMatch(Publication::open),
        Studied.of(best.stream().map(Publication::studied).toList()),
        known(Publication::figures, Optional::isPresent, Optional.empty()),
        known(Publication::cited, Cited::known, Cited.UNKNOWN));
  }

  private <T> T known(Function<Publication, T> field, Predicate<T> isKnown, T otherwise) {
    return best.stream().map(field).filter(isKnown).findFirst().orElse(otherwise);
  }

  private String text(Function<Publication, String> field) {
    return known(field, text -> !text.isEmpty(), "");
  }

  /** A spelling in capitals gives way to a sound one of the same title. */
  private String title() {
    String winner = best.get(0).title();
    return isSound(winner)
        ? winner
        : known(
            Publication::title,
            title -> isSound(title) && SameWork.titlesAgree(title, winner),
            winner);
  }

  private static boolean isSound(String title) {
    return !title.equals(title.toUpperCase(Locale.ROOT));
  }

  /** Initials give way to full names of the same people. */
  private List<PersonName> authors() {
    List<PersonName> winner = known(Publication::authors, a -> !a.isEmpty(), List.of());
    return hasFullNames(winner)
        ? winner
        : known(
            Publication::authors,
            a -> hasFullNames(a) && families(a).equals(families(winner)),
            winner);
  }

  private static boolean hasFullNames(List<PersonName> authors) {
    return authors.stream()
        .allMatch(a -> a.given().isEmpty() || a.given().matches(".*\\p{L}{2}.*"));
  }

  private static List<String> families(List<PersonName> authors) {
    return authors.stream().map(a -> Fold.letters(a.family())).toList();
  }

  /** The date is that of the earliest appearance; of equal ones the exactest. */
  private Optional<PartialDate> earliest() {
    return best.stream()
        .flatMap(p -> p.date().stream())
        .min(
            Comparator.comparing(PartialDate::earliest)
                .thenComparing(date -> -date.toString().length()));
  }

  private List<HeadingUse> headings() {
    Map<String, HeadingUse> all = new LinkedHashMap<>();
    best.stream()
        .flatMap(p -> p.headings().stream())
        .forEach(use -> all.merge(use.uri(), use, Joined::both));
    return List.copyOf(all.values());
  }

  private static HeadingUse both(HeadingUse one, HeadingUse other) {
    TreeSet<String> aspects = new TreeSet<>(one.aspects());
    aspects.addAll(other.aspects());
    return new HeadingUse(
        one.uri(), one.label(), one.central() || other.central(), List.copyOf(aspects));
  }

  private List<String> keywords() {
    Map<String, String> all = new LinkedHashMap<>();
    best.stream()
        .flatMap(p -> p.keywords().stream())
        .forEach(keyword -> all.putIfAbsent(Fold.letters(keyword), keyword));
    return List.copyOf(all.values());
  }

  private Relations relations() {
    List<Relations.Notice> notices = new ArrayList<>();
    best.stream()
        .flatMap(p -> p.relations().notices().stream())
        .filter(notice -> !notices.contains(notice))
        .forEach(notices::add);
    return new Relations("", text(p -> p.relations().noticeOf()), notices);
  }
}
