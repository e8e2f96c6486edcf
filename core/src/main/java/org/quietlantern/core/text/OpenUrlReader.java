package org.quietlantern.core.text;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.quietlantern.core.link.PublicId;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Identifier;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.publication.VersionKind;

/**
 * Reads what an OpenURL describes: version 1.0 in keys and values (ANSI/NISO Z39.88-2004, San
 * Antonio profile) and the keys without a prefix that came before it. What is odd in it is left
 * out.
 */
public final class OpenUrlReader {
  private static final int LONGEST = 20_000;
  private static final int LONGEST_VALUE = 1_000;
  private static final int HEXADECIMAL = 16;
  private static final Pattern DOI = Pattern.compile("10\\.\\d{4,9}/[^\\s\"<>]+");
  private static final Pattern OURS = Pattern.compile(".*/p/([0-9a-zA-Z]{10})");
  private static final Pattern YEAR = Pattern.compile("\\d{4}(-\\d\\d){0,2}");
  private static final Pattern MARKUP = Pattern.compile("<[^>]{0,200}>");
  private final Map<String, List<String>> values = new HashMap<>();

  /**
   * A work that somebody elsewhere means.
   *
   * @param isTitled whether its title is told; else something else stands for it
   * @param links publications whose stable link stands in it
   */
  public record Described(Publication publication, boolean isTitled, List<String> links) {}

  private OpenUrlReader() {}

  /** {@code query}: what stands behind the question mark; empty where it describes nothing. */
  public static Optional<Described> read(String query) {
    OpenUrlReader reader = new OpenUrlReader();
    for (String pair : Text.atMost(LONGEST, query).split("&")) {
      int equals = pair.indexOf('=');
      if (equals > 0) {
        reader.note(pair.substring(0, equals), pair.substring(equals + 1));
      }
    }
    return reader.described();
  }

  private void note(String key, String value) {
    String name = decoded(key).toLowerCase(Locale.ROOT).replaceFirst("^rft\\.", "");
    String text = Text.clean(MARKUP.matcher(decoded(value)).replaceAll(""));
    if (!text.isEmpty()) {
      values.computeIfAbsent(name, none -> new ArrayList<>()).add(Text.atMost(LONGEST_VALUE, text));
    }
  }

  /** RFC 3986, 2.1, and a plus for a space; what is no letter of UTF-8 becomes U+FFFD. */
  private static String decoded(String text) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream(text.length());
    for (int at = 0; at < text.length(); at++) {
      char letter = text.charAt(at);
      int high = letter == '%' && at + 2 < text.length() ? digit(text.charAt(at + 1)) : -1;
      int low = high < 0 ? -1 : digit(text.charAt(at + 2));
      if (low >= 0) {
        bytes.write(high * HEXADECIMAL + low);
        at += 2;
      } else {
        bytes.writeBytes(
            String.valueOf(letter == '+' ? ' ' : letter).getBytes(StandardCharsets.UTF_8));
      }
    }
    return bytes.toString(StandardCharsets.UTF_8);
  }

  private static int digit(char letter) {
    return Character.digit(letter, HEXADECIMAL);
  }

  private Optional<Described> described() {
    List<String> links = new ArrayList<>();
    for (String name : named()) {
      Matcher ours = OURS.matcher(name);
      if (ours.matches() && PublicId.read(ours.group(1)) instanceof PublicId.Reading.Sound sound) {
        links.add(sound.id().text());
      }
    }
    String doi = doi();
    String title = first("atitle", "btitle", "title");
    Host host = host(title);
    List<Identifier> numbers = isbn();
    boolean isPlaced = !host.volume().isEmpty() && !host.firstPage().isEmpty();
    if (title.isEmpty() && doi.isEmpty() && links.isEmpty() && numbers.isEmpty() && !isPlaced) {
      return Optional.empty();
    }
    String shown = Stream.of(title, doi).filter(t -> !t.isEmpty()).findFirst().orElse("Untitled");
    return Optional.of(
        new Described(publication(shown, doi, host, numbers), !title.isEmpty(), links));
  }

  private Publication publication(String title, String doi, Host host, List<Identifier> numbers) {
    return new Publication(
        title,
        "",
        kind(),
        VersionKind.FINAL,
        authors(),
        date(),
        host,
        first("pub"),
        "",
        "",
        List.of(),
        List.of(),
        doi,
        Relations.NONE,
        0,
        false,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN,
        date(),
        numbers,
        List.of(),
        List.of());
  }

  private List<String> named() {
    return Stream.of("rft_id", "id").flatMap(key -> all(key).stream()).toList();
  }

  private String doi() {
    return Stream.concat(named().stream(), all("doi").stream())
        .map(DOI::matcher)
        .filter(Matcher::find)
        .map(Matcher::group)
        .findFirst()
        .orElse("");
  }

  private List<Identifier> isbn() {
    return Stream.concat(
            all("isbn").stream(),
            named().stream()
                .filter(name -> name.toLowerCase(Locale.ROOT).startsWith("urn:isbn:"))
                .map(name -> name.substring("urn:isbn:".length())))
        .flatMap(text -> Identifier.of(Identifier.ISBN, text).stream())
        .distinct()
        .toList();
  }

  /** The journal or book around it, if what it is called was not taken for its own title. */
  private Host host(String title) {
    String around =
        Stream.of("jtitle", "title", "stitle", "btitle")
            .map(this::first)
            .filter(text -> !text.isEmpty() && !text.equals(title))
            .findFirst()
            .orElse("");
    String[] pages = first("pages").split("\\s*[-–]\\s*", 2);
    return new Host(
        around,
        first("issn", "eissn"),
        first("volume"),
        first("issue"),
        first("spage").isEmpty() ? pages[0] : first("spage"),
        first("epage").isEmpty() && pages.length > 1 ? pages[1] : first("epage"));
  }

  private Kind kind() {
    String genre = first("genre").toLowerCase(Locale.ROOT);
    String format = first("rft_val_fmt").toLowerCase(Locale.ROOT);
    return switch (genre) {
      case "book", "document" -> Kind.BOOK;
      case "bookitem" -> Kind.CHAPTER;
      case "report" -> Kind.REPORT;
      case "proceeding", "conference" -> Kind.CONFERENCE_PAPER;
      case "preprint" -> Kind.PREPRINT;
      case "dissertation" -> Kind.THESIS;
      default ->
          format.endsWith(":dissertation")
              ? Kind.THESIS
              : format.endsWith(":book") ? Kind.BOOK : Kind.ARTICLE;
    };
  }

  private List<PersonName> authors() {
    List<PersonName> authors = new ArrayList<>();
    String family = first("aulast");
    if (!family.isEmpty()) {
      authors.add(new PersonName(family, first("aufirst", "auinit")));
    }
    for (String name : all("au")) {
      PersonName person = person(name);
      if (!person.family().equals(family)) {
        authors.add(person);
      }
    }
    return authors;
  }

  /** As it is sorted, else as it is spoken. */
  private static PersonName person(String name) {
    int comma = name.indexOf(',');
    int gap = name.lastIndexOf(' ');
    return comma > 0
        ? new PersonName(name.substring(0, comma).strip(), name.substring(comma + 1).strip())
        : new PersonName(name.substring(gap + 1), gap < 0 ? "" : name.substring(0, gap));
  }

  private Optional<PartialDate> date() {
    Matcher date = YEAR.matcher(first("date", "year"));
    return date.lookingAt() ? PartialDate.read(date.group()) : Optional.empty();
  }

  private List<String> all(String key) {
    return values.getOrDefault(key, List.of());
  }

  private String first(String... keys) {
    return Stream.of(keys).flatMap(key -> all(key).stream()).findFirst().orElse("");
  }
}
