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
public final class RecordMerge {
  /**
   * What one source says.
   *
   * @param rank of the source: the lower, the more it is believed
   * @param order of supplying: the higher, the later
   */
  public record Supplied(Publication reading, int rank, long order) {}

  private static final Comparator<Supplied> BEST =
      Comparator.comparing((Supplied s) -> s.reading().version(), Comparator.reverseOrder())
          .thenComparing(Supplied::rank)
          .thenComparing(s -> -s.order());
  private final List<Publication> best;

  private RecordMerge(List<Supplied> supplied) {
    this.best = supplied.stream().sorted(BEST).map(Supplied::reading).toList();
  }

  /** At least one. */
  public static Publication of(List<Supplied> supplied) {
    return supplied.size() == 1
        ? supplied.get(0).reading()
        : new RecordMerge(supplied).publication();
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
        known(Publication::cited, Cited::known, Cited.UNKNOWN),
        issued(),
        identifiers(),
        contributors(),
        copies());
  }

  /** The date of what the place was taken from; without a place, of the best that has a date. */
  private Optional<PartialDate> issued() {
    return best.stream()
        .filter(p -> p.host().isKnown() && p.issued().isPresent())
        .findFirst()
        .or(() -> best.stream().filter(p -> p.issued().isPresent()).findFirst())
        .flatMap(Publication::issued);
  }

  /** Each address once, as the best version has it. */
  private List<Copy> copies() {
    Map<String, Copy> all = new LinkedHashMap<>();
    best.stream()
        .flatMap(p -> p.copies().stream())
        .forEach(copy -> all.putIfAbsent(copy.address(), copy));
    return List.copyOf(all.values());
  }

  private List<Identifier> identifiers() {
    return best.stream().flatMap(p -> p.identifiers().stream()).distinct().toList();
  }

  /** The authors as they won, with what any source knows of them; then the others of the best. */
  private List<Contributor> contributors() {
    List<Contributor> all = new ArrayList<>();
    authors().forEach(author -> all.add(known(author)));
    best.stream()
        .map(p -> p.contributors().stream().filter(c -> !c.isAuthor()).toList())
        .filter(others -> !others.isEmpty())
        .findFirst()
        .ifPresent(all::addAll);
    return all;
  }

  private Contributor known(PersonName author) {
    List<Contributor> same =
        best.stream()
            .flatMap(p -> p.contributors().stream())
            .filter(c -> c.isAuthor() && isSame(c.name(), author))
            .toList();
    return new Contributor(
        author,
        Contributor.AUTHOR,
        same.stream().anyMatch(Contributor::body),
        same.stream().map(Contributor::orcid).filter(o -> !o.isEmpty()).findFirst().orElse(""),
        same.stream()
            .map(Contributor::affiliations)
            .filter(a -> !a.isEmpty())
            .findFirst()
            .orElse(List.of()));
  }

  /** The same family name, and given names that begin alike. */
  private static boolean isSame(PersonName one, PersonName other) {
    return Fold.letters(one.family()).equals(Fold.letters(other.family()))
        && first(one.given()).equals(first(other.given()));
  }

  private static String first(String given) {
    String letters = Fold.letters(given);
    return letters.substring(0, Math.min(1, letters.length()));
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
        .forEach(use -> all.merge(use.uri(), use, RecordMerge::both));
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
