package org.quietlantern.core.reference;

import jakarta.json.Json;
import jakarta.json.JsonArray;
import jakarta.json.JsonException;
import jakarta.json.JsonNumber;
import jakarta.json.JsonObject;
import jakarta.json.JsonReader;
import jakarta.json.JsonReaderFactory;
import jakarta.json.JsonString;
import jakarta.json.JsonValue;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.exchange.Supplied;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

/**
 * Reads CSL-JSON (CSL 1.0.2, the schema of its data) item by item, so that a broken one costs
 * nothing but itself.
 */
public final class CslJsonReader {
  private static final JsonReaderFactory JSON = Json.createReaderFactory(Map.of());

  private static final Map<String, Kind> KINDS =
      Map.ofEntries(
          Map.entry("article-journal", Kind.ARTICLE),
          Map.entry("article-magazine", Kind.ARTICLE),
          Map.entry("article-newspaper", Kind.ARTICLE),
          Map.entry("article", Kind.PREPRINT),
          Map.entry("manuscript", Kind.PREPRINT),
          Map.entry("review", Kind.REVIEW),
          Map.entry("book", Kind.BOOK),
          Map.entry("chapter", Kind.CHAPTER),
          Map.entry("entry-encyclopedia", Kind.CHAPTER),
          Map.entry("thesis", Kind.THESIS),
          Map.entry("report", Kind.REPORT),
          Map.entry("paper-conference", Kind.CONFERENCE_PAPER),
          Map.entry("dataset", Kind.DATASET));

  /** Roles of people, and what they are called here. */
  private static final List<String> ROLES = List.of("author", "editor", "translator");

  private final List<ReadFile.Found> found = new ArrayList<>();
  private final List<ReadFile.Problem> problems = new ArrayList<>();

  private CslJsonReader() {}

  /** Everything that can be read of a file. */
  public static ReadFile read(String text) {
    CslJsonReader reader = new CslJsonReader();
    JsonPieces pieces = new JsonPieces(text);
    for (Optional<JsonPieces.Piece> next = pieces.next(); next.isPresent(); next = pieces.next()) {
      boolean is = reader.item(next.get());
      pieces.taken(is);
    }
    reader.problems.addAll(pieces.problems());
    return new ReadFile(reader.found, reader.problems);
  }

  /** Whether it could be read as JSON. */
  private boolean item(JsonPieces.Piece piece) {
    JsonObject item;
    try (JsonReader reader = JSON.createReader(new StringReader(piece.text()))) {
      item = reader.readObject();
    } catch (JsonException broken) {
      return false;
    }
    String title = text(item, "title");
    if (title.isBlank()) {
      problems.add(new ReadFile.Problem(piece.line(), "An item has no title."));
    } else {
      found.add(new ReadFile.Found(reference(item, title), piece.line()));
    }
    return true;
  }

  private static Reference reference(JsonObject item, String title) {
    List<String> notes =
        text(item, "note").lines().map(String::strip).filter(one -> !one.isEmpty()).toList();
    return new Reference(
        text(item, "id"), publication(item, title), text(item, "URL"), notes, text(item, "annote"));
  }

  private static Publication publication(JsonObject item, String title) {
    Kind kind = KINDS.getOrDefault(text(item, "type"), Kind.ARTICLE);
    List<Contributor> people = new ArrayList<>();
    for (String role : ROLES) {
      for (JsonValue one : array(item, role)) {
        name(one, role).ifPresent(people::add);
      }
    }
    PageRun pages = PageRun.of(text(item, "page"));
    return new ReadWork(
            kind,
            title,
            people,
            date(item),
            new Host(
                text(item, "container-title"),
                Supplied.issn(text(item, "ISSN")),
                text(item, "volume"),
                text(item, "issue"),
                pages.first(),
                pages.last()),
            text(item, "publisher"),
            Supplied.language(text(item, "language")),
            text(item, "abstract"),
            Keywords.split(text(item, "keyword")),
            Supplied.doi(text(item, "DOI")),
            number(text(item, "number-of-pages")),
            ReadWork.isbns(text(item, "ISBN")))
        .publication();
  }

  private static int number(String text) {
    return text.matches("\\d{1,6}") ? Integer.parseInt(text) : 0;
  }

  private static Optional<Contributor> name(JsonValue value, String role) {
    if (!(value instanceof JsonObject name)) {
      return Optional.empty();
    }
    String literal = text(name, "literal");
    String family =
        Stream.of(text(name, "non-dropping-particle"), text(name, "family"), text(name, "suffix"))
            .filter(part -> !part.isBlank())
            .collect(Collectors.joining(" "))
            // "d’ Ombreval" is no name.
            .replaceFirst("(?<=[ldLD]['’]) (?=\\p{Lu})", "");
    String given =
        Stream.of(text(name, "given"), text(name, "dropping-particle"))
            .filter(part -> !part.isBlank())
            .collect(Collectors.joining(" "));
    if (!literal.isBlank()) {
      return Optional.of(new Contributor(new PersonName(literal, ""), role, true, "", List.of()));
    }
    // Somebody with one name has it wherever it was written.
    String first = family.isBlank() ? given : family;
    return first.isBlank()
        ? Optional.empty()
        : Optional.of(
            new Contributor(
                new PersonName(first, family.isBlank() ? "" : given), role, false, "", List.of()));
  }

  private static Optional<PartialDate> date(JsonObject item) {
    if (!(item.get("issued") instanceof JsonObject issued)) {
      return Supplied.date(text(item, "issued"));
    }
    JsonArray parts = array(issued, "date-parts");
    if (parts.isEmpty() || !(parts.get(0) instanceof JsonArray first)) {
      return Supplied.date(text(issued, "raw") + text(issued, "literal"));
    }
    List<String> known =
        first.stream()
            .map(CslJsonReader::text)
            .takeWhile(part -> part.matches("\\d{1,4}"))
            .map(part -> part.length() == 1 ? "0" + part : part)
            .limit(3)
            .toList();
    for (int many = known.size(); many > 0; many--) {
      Optional<PartialDate> date = PartialDate.read(String.join("-", known.subList(0, many)));
      if (date.isPresent()) {
        return date;
      }
    }
    return Optional.empty();
  }

  private static JsonArray array(JsonObject from, String name) {
    return from.get(name) instanceof JsonArray array ? array : JsonValue.EMPTY_JSON_ARRAY;
  }

  /** A string or a number; some write numbers of volumes as such. */
  private static String text(JsonObject from, String name) {
    return text(from.get(name));
  }

  private static String text(JsonValue value) {
    if (value instanceof JsonString string) {
      return string.getString();
    }
    return value instanceof JsonNumber number && number.isIntegral() ? number.toString() : "";
  }
}
