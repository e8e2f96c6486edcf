package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.PersonName;

/** Reads names as BibTeX has them: joined by <i>and</i>, in up to three parts with commas. */
final class BibtexNames {
  private BibtexNames() {}

  /** {@code latex}: as it stands in the file; <i>and others</i> names nobody. */
  static List<Contributor> read(String latex, String role) {
    List<Contributor> people = new ArrayList<>();
    for (String name : divided(latex.replaceAll("\\s+", " "), " and ")) {
      String one = name.strip();
      if (!one.isEmpty() && !one.equals("others")) {
        person(one).ifPresent(each -> people.add(of(each, role, isBody(one))));
      }
    }
    return people;
  }

  private static Contributor of(PersonName name, String role, boolean body) {
    return new Contributor(name, role, body, "", List.of());
  }

  /** All of it in one pair of braces. */
  private static boolean isBody(String name) {
    if (!name.startsWith("{") || !name.endsWith("}")) {
      return false;
    }
    int depth = 0;
    for (int i = 0; i < name.length() - 1; i++) {
      char c = name.charAt(i);
      depth += c == '{' ? 1 : c == '}' ? -1 : 0;
      if (depth == 0) {
        return false;
      }
    }
    // {\\'{E}}mile is a letter; {Verge Trust} a body.
    return !name.startsWith("{\\");
  }

  private static Optional<PersonName> person(String name) {
    if (isBody(name)) {
      return made(LatexReader.read(name), "");
    }
    List<String> parts = divided(name, ",");
    if (parts.size() > 2) {
      return made(text(parts.get(0)) + ", " + text(parts.get(1)), text(parts.get(2)));
    }
    if (parts.size() == 2) {
      return made(text(parts.get(0)), text(parts.get(1)));
    }
    return spoken(divided(name, " ").stream().map(BibtexNames::text).toList());
  }

  private static String text(String latex) {
    return LatexReader.read(latex).replaceAll("<[^>]*>", "");
  }

  /** Given names, particles in small letters, the family. */
  private static Optional<PersonName> spoken(List<String> all) {
    List<String> words = all.stream().filter(word -> !word.isEmpty()).toList();
    if (words.isEmpty()) {
      return Optional.empty();
    }
    int family = words.size() - 1;
    for (int i = words.size() - 2; i >= 0; i--) {
      if (Character.isLowerCase(words.get(i).codePointAt(0))) {
        family = i;
      }
    }
    return made(
        String.join(" ", words.subList(family, words.size())),
        String.join(" ", words.subList(0, family)));
  }

  private static Optional<PersonName> made(String family, String given) {
    return family.isBlank()
        ? given.isBlank() ? Optional.empty() : Optional.of(new PersonName(given, ""))
        : Optional.of(new PersonName(family, given));
  }

  /** Divided where no brace is open. */
  static List<String> divided(String text, String by) {
    List<String> parts = new ArrayList<>();
    int depth = 0;
    int from = 0;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '\\') {
        i++;
      } else if (c == '{' || c == '}') {
        depth += c == '{' ? 1 : -1;
      } else if (depth == 0 && text.startsWith(by, i)) {
        parts.add(text.substring(from, i));
        from = i + by.length();
        i = from - 1;
      }
    }
    parts.add(text.substring(from));
    return parts;
  }
}
