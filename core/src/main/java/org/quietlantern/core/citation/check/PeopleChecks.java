package org.quietlantern.core.citation.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Fold;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

/** Looks at the people of a work, beside what other sources say of them (rule C2). */
final class PeopleChecks {
  /** More are counted, not named. */
  private static final int NAMED = 3;

  /** <i>R. A.</i>, <i>RA</i>, <i>Yu.</i>; <i>Bo</i> is a name. */
  private static final Pattern INITIALS =
      Pattern.compile("((\\p{Lu}\\p{Ll}?[.]|\\p{Lu}(?!\\p{Ll}))[-\\s]*)+");

  private static final Pattern BODY =
      Pattern.compile(
          "(?iu).*\\b(university|universit\u00e9|universit\u00e4t|institute|institut|society|association|committee"
              + "|consortium|council|department|ministry|agency|authority|trust|foundation|group|network|panel"
              + "|organi[sz]ation|laboratory|museum|commission|collaboration)\\b.*");

  private final List<Contributor> people;
  private final List<Contributor> authors;
  private final List<List<PersonName>> elsewhere;

  /** {@code elsewhere}: the authors as other sources have them. */
  PeopleChecks(Publication work, List<List<PersonName>> elsewhere) {
    this.people = work.contributors();
    this.authors = people.stream().filter(Contributor::isAuthor).toList();
    this.elsewhere = elsewhere;
  }

  /** {@code wholeNames}: whether the style prints given names whole. */
  List<Fault> faults(boolean wholeNames) {
    List<Fault> faults = new ArrayList<>();
    if (wholeNames) {
      initials().ifPresent(faults::add);
    }
    bodies().ifPresent(faults::add);
    order().ifPresent(faults::add);
    return faults;
  }

  private static boolean hasInitials(Contributor one) {
    return INITIALS.matcher(one.name().given()).matches();
  }

  private Optional<Fault> initials() {
    List<Contributor> brief = authors.stream().filter(PeopleChecks::hasInitials).toList();
    if (brief.isEmpty()) {
      return Optional.empty();
    }
    String whose =
        brief.size() > NAMED
            ? brief.size() + " authors"
            : brief.stream().map(one -> one.name().spoken()).collect(Collectors.joining(", "));
    String sentence =
        "The style prints whole given names; there are initials of %s.".formatted(whose);
    List<Contributor> whole = authors.stream().map(this::named).toList();
    return Optional.of(
        whole.equals(authors)
            ? Fault.in(Fault.Kind.INITIALS, CitedField.AUTHORS, sentence)
            : Fault.mended(
                Fault.Kind.INITIALS,
                CitedField.AUTHORS,
                sentence + " Another source has them whole.",
                AuthorsLine.write(whole),
                whole.stream().noneMatch(PeopleChecks::hasInitials)));
  }

  /** With the given name as another source has it whole, if one does. */
  private Contributor named(Contributor author) {
    if (!hasInitials(author)) {
      return author;
    }
    PersonName name = author.name();
    List<PersonName> whole =
        elsewhere.stream()
            .flatMap(List::stream)
            .filter(other -> Fold.letters(other.family()).equals(Fold.letters(name.family())))
            .filter(other -> !INITIALS.matcher(other.given()).matches())
            .filter(other -> letters(other.given()).startsWith(letters(name.given())))
            .distinct()
            .toList();
    // Two of one family and the same initials: nobody can tell who is who.
    return whole.size() == 1 ? with(author, whole.get(0)) : author;
  }

  private static Contributor with(Contributor one, PersonName name) {
    return new Contributor(name, one.role(), one.body(), one.orcid(), one.affiliations());
  }

  /** First letters of given names, {@code RA} of <i>R. A.</i>, <i>Rhona Anne</i>. */
  private static String letters(String given) {
    return Pattern.compile("[.\\s-]+")
        .splitAsStream(given)
        .filter(part -> !part.isEmpty())
        .map(part -> Fold.letters(part.substring(0, 1)))
        .collect(Collectors.joining());
  }

  private Optional<Fault> bodies() {
    List<Contributor> bodies =
        authors.stream()
            .filter(one -> !one.body() && BODY.matcher(one.name().spoken()).matches())
            .toList();
    if (bodies.isEmpty()) {
      return Optional.empty();
    }
    List<Contributor> mended =
        people.stream().map(one -> bodies.contains(one) ? body(one) : one).toList();
    return Optional.of(
        Fault.mended(
            Fault.Kind.BODY,
            CitedField.AUTHORS,
            "“%s” seems to be an institution, and is printed as a person."
                .formatted(bodies.get(0).name().spoken()),
            AuthorsLine.write(mended),
            bodies.stream().allMatch(one -> one.name().given().isEmpty())));
  }

  private static Contributor body(Contributor one) {
    return new Contributor(
        new PersonName(one.name().spoken(), ""), one.role(), true, "", one.affiliations());
  }

  private Optional<Fault> order() {
    List<String> ours = briefly(authors.stream().map(Contributor::name).toList());
    return elsewhere.stream()
        .map(PeopleChecks::briefly)
        .filter(other -> other.size() == ours.size() && !other.equals(ours))
        .filter(other -> Set.copyOf(other).equals(Set.copyOf(ours)))
        .findFirst()
        .map(this::inOrder);
  }

  private Fault inOrder(List<String> names) {
    List<Contributor> ordered =
        authors.stream()
            .sorted(Comparator.comparingInt(one -> names.indexOf(briefly(one.name()))))
            .toList();
    return Fault.mended(
        Fault.Kind.ORDER,
        CitedField.AUTHORS,
        "Another source has the authors in another order.",
        AuthorsLine.write(ordered),
        false);
  }

  private static List<String> briefly(List<PersonName> names) {
    return names.stream().map(PeopleChecks::briefly).toList();
  }

  /** Family and one initial, which sources have alike. */
  private static String briefly(PersonName name) {
    String initials = letters(name.given());
    return Fold.letters(name.family()) + (initials.isEmpty() ? "" : " " + initials.charAt(0));
  }
}
