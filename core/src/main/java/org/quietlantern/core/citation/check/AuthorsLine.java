package org.quietlantern.core.citation.check;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.PersonName;

/**
 * Authors on one line: {@code Oxlade, Rhona; Berg, Bo; Verge Trust}. Whoever has no given name
 * behind a comma is a body, as an institution is.
 */
final class AuthorsLine {
  private AuthorsLine() {}

  static String write(List<Contributor> people) {
    return people.stream()
        .filter(Contributor::isAuthor)
        .map(
            one ->
                one.name().given().isEmpty() && !one.body()
                    ? one.name().family() + ","
                    : one.name().sorted())
        .collect(Collectors.joining("; "));
  }

  /** What is known of those who stay, stays; those who are no authors follow. */
  static List<Contributor> read(String line, List<Contributor> before) {
    Map<PersonName, Contributor> known =
        before.stream()
            .filter(Contributor::isAuthor)
            .collect(Collectors.toMap(Contributor::name, Function.identity(), (a, b) -> a));
    List<Contributor> people =
        new ArrayList<>(
            Arrays.stream(line.split(";"))
                .map(String::strip)
                .filter(one -> !one.isEmpty() && !one.equals(","))
                .map(one -> person(one, known))
                .toList());
    before.stream().filter(one -> !one.isAuthor()).forEach(people::add);
    return people;
  }

  private static Contributor person(String text, Map<PersonName, Contributor> known) {
    int comma = text.indexOf(',');
    boolean body = comma < 0;
    PersonName name =
        body
            ? new PersonName(text, "")
            : comma == 0
                ? new PersonName(text.substring(1), "")
                : new PersonName(text.substring(0, comma), text.substring(comma + 1));
    Contributor before = known.get(name);
    return new Contributor(
        name,
        Contributor.AUTHOR,
        body,
        before == null ? "" : before.orcid(),
        before == null ? List.of() : before.affiliations());
  }
}
