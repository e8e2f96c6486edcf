package org.quietlantern.core.newsfeed;

import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.PersonName;

/** People as entries of feeds name them: one or several in a field, family names first or last. */
final class EntryNames {
  private static final Pattern ALSO = Pattern.compile("\\s*(?:;|\\s(?:and|&)\\s)\\s*");
  private static final Pattern COMMA = Pattern.compile("\\s*,\\s*");

  /** Small words that belong to a family name. */
  private static final String SMALL =
      "(?:van|von|vom|de|der|den|des|da|das|di|do|dos|du|la|le|del|della|el|al|bin|ibn|ter|ten|zu|zur|y)";

  /** One to three given names or initials, and a family name. */
  private static final Pattern PERSON =
      Pattern.compile(
          "(\\p{Lu}[^\\s,]*(?:\\s+\\p{Lu}[^\\s,]*){0,2})\\s+((?:"
              + SMALL
              + "\\s+){0,3}\\p{Lu}[^\\s,]*)");

  private EntryNames() {}

  static List<Contributor> of(String field) {
    return ALSO.splitAsStream(field)
        .flatMap(EntryNames::parted)
        .map(String::strip)
        .filter(name -> !name.isEmpty())
        .map(EntryNames::person)
        .map(Contributor::author)
        .toList();
  }

  /** Commas are between people where each part is a whole name, else inside of one. */
  private static Stream<String> parted(String field) {
    List<String> parts = Arrays.asList(COMMA.split(field));
    boolean each =
        parts.size() > 1 && parts.stream().allMatch(one -> PERSON.matcher(one).matches());
    return each ? parts.stream() : Stream.of(field);
  }

  private static PersonName person(String name) {
    int comma = name.indexOf(',');
    if (comma > 0) {
      return new PersonName(name.substring(0, comma), name.substring(comma + 1).strip());
    }
    var whole = PERSON.matcher(name);
    // Whoever is no person stays whole.
    return whole.matches()
        ? new PersonName(whole.group(2), whole.group(1))
        : new PersonName(name, "");
  }
}
