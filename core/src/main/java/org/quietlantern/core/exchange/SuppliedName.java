package org.quietlantern.core.exchange;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.PersonName;

/** People and bodies as one string each, or several in one, the way catalogues write them. */
final class SuppliedName {
  private static final Pattern ORCID_WITH_PATH =
      Pattern.compile(
          "(?i)(?:https?://)?(?:orcid\\.org/|orcid:? ?)?\\d{4}-\\d{4}-\\d{4}-\\d{3}[\\dX]");
  private static final Pattern YEARS =
      Pattern.compile(",? *(?:b\\. *|ca\\. *)?\\(?[12]\\d{3}\\)? *[-–]? *(?:[12]\\d{3})?\\.?$");
  private static final Pattern BEHIND = Pattern.compile("(.+?) *[(\\[]([^()\\[\\]]+)[)\\]]$");
  private static final Pattern INITIAL =
      Pattern.compile(".*(?:^|[\\s.])\\p{Lu}\\.(?:\\s|-|\\p{Lu}).*");

  private SuppliedName() {}

  /** Everybody whom a field names. {@code role}: unless it says another itself. */
  static List<Contributor> all(String field, String role) {
    return parts(field).stream().flatMap(name -> one(name, role).stream()).toList();
  }

  /** Several stand in one field with semicolons. */
  private static List<String> parts(String field) {
    return field.contains(";")
        ? Arrays.stream(field.split(";")).map(String::strip).filter(p -> !p.isEmpty()).toList()
        : List.of(field);
  }

  private static Optional<Contributor> one(String supplied, String role) {
    String name =
        ORCID_WITH_PATH
            .matcher(supplied)
            .replaceAll("")
            .replaceAll("[\\s|:(\\[\\])]+$", "")
            .strip();
    // Closed again if what was behind it was no ORCID.
    String whole = closed(supplied, name).replaceAll("^\\[(.*)]$", "$1");
    Matcher behind = BEHIND.matcher(whole);
    String aside = behind.matches() ? behind.group(2).strip() : "";
    Optional<String> said = role(aside);
    boolean place = !aside.isEmpty() && said.isEmpty() && !YEARS.matcher(aside).matches();
    String bare =
        YEARS
            .matcher(aside.isEmpty() ? whole : behind.group(1))
            .replaceFirst("")
            .replaceAll("[,\\s]+$", "");
    return person(bare.strip())
        .map(
            person ->
                new Contributor(
                    person,
                    said.orElse(role),
                    false,
                    Supplied.orcid(supplied),
                    place ? List.of(aside) : List.of()));
  }

  private static String closed(String supplied, String name) {
    boolean open = name.lastIndexOf('(') > name.lastIndexOf(')');
    boolean bracket = name.lastIndexOf('[') > name.lastIndexOf(']');
    String end = open ? ")" : bracket ? "]" : "";
    return supplied.contains(name + end) ? name + end : name;
  }

  private static Optional<String> role(String word) {
    return switch (word.strip().toLowerCase(Locale.ROOT).replaceAll("\\.$", "")) {
      case "ed", "eds", "editor", "edt", "hrsg" -> Optional.of("editor");
      case "author", "aut" -> Optional.of(Contributor.AUTHOR);
      case "translator", "trl", "transl" -> Optional.of("translator");
      case "advisor", "adviser", "supervisor", "thesis advisor", "ths" ->
          Optional.of("thesis advisor");
      default -> Optional.empty();
    };
  }

  /** {@code Family, Given}; else somebody with an initial is a person, and others stay whole. */
  static Optional<PersonName> person(String name) {
    if (name.isBlank()) {
      return Optional.empty();
    }
    int comma = name.indexOf(',');
    if (comma > 0) {
      return Optional.of(
          new PersonName(
              name.substring(0, comma), name.substring(comma + 1).replaceAll("^,+", "")));
    }
    String without = name.replaceAll("^,+\\s*", "");
    if (!INITIAL.matcher(without).matches()) {
      return without.isBlank() ? Optional.empty() : Optional.of(new PersonName(without, ""));
    }
    int split = without.lastIndexOf(' ');
    if (split < 0) {
      return Optional.of(new PersonName(without, ""));
    }
    // Small words before a family name belong to it.
    int before = without.lastIndexOf(' ', split - 1);
    while (before > 0 && Character.isLowerCase(without.charAt(before + 1))) {
      split = before;
      before = without.lastIndexOf(' ', split - 1);
    }
    return Optional.of(new PersonName(without.substring(split + 1), without.substring(0, split)));
  }
}
