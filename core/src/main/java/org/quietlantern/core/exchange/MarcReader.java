package org.quietlantern.core.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Copy;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Identifier;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

/**
 * Reads a bibliographic record of MARC 21 (Library of Congress) written as MARCXML. Marks that
 * cataloguing by ISBD leaves at the ends of fields are taken off.
 */
final class MarcReader {
  /** The namespace of the MARC 21 XML Schema. */
  static final String SLIM = "http://www.loc.gov/MARC21/slim";

  /** Where in the field of fixed length a year and a language stand (field 008). */
  private static final int YEAR = 7;

  private static final int LANGUAGE = 35;
  private static final int LENGTH_OF_008 = 38;

  private final Node record;
  private final List<String> problems = new ArrayList<>();

  private MarcReader(Node record) {
    this.record = record;
  }

  static SuppliedRecord read(Node root) {
    return new MarcReader(root).publication();
  }

  /** Its number (001), with whose it is (003) where that is said. */
  static String identifier(Node root) {
    MarcReader record = new MarcReader(root);
    return Stream.of(record.control("003"), record.control("001"))
        .map(String::strip)
        .filter(part -> !part.isEmpty())
        .collect(Collectors.joining(":"));
  }

  private SuppliedRecord publication() {
    String title =
        fields("245")
            .findFirst()
            .map(field -> joined(": ", "", subfields(field, "abnp")))
            .orElse("");
    if (title.isEmpty()) {
      return new SuppliedRecord.Unreadable("no title (field 245)");
    }
    Host host = host();
    Kind kind = kind();
    Optional<PartialDate> date = date();
    List<Contributor> people = people();
    Publication read =
        new Publication(
            title,
            original(),
            kind,
            VersionKind.of(kind),
            Contributor.authors(people),
            date,
            host,
            first("b", "264", "260"),
            language(),
            abstractText(),
            headings(),
            keywords(),
            doi(),
            Relations.NONE,
            Pages.count(first("a", "300"), host),
            isOpen(),
            Studied.NONE,
            Optional.empty(),
            Cited.UNKNOWN,
            date,
            identifiers(kind),
            people,
            copies(VersionKind.of(kind)));
    problems.addAll(record.cut());
    return new SuppliedRecord.Read(read, problems);
  }

  private Stream<Node> fields(String... tags) {
    return Arrays.stream(tags)
        .flatMap(tag -> record.all("datafield").stream().filter(field -> field.has("tag", tag)));
  }

  private String control(String tag) {
    return record.all("controlfield").stream()
        .filter(field -> field.has("tag", tag))
        .map(field -> field.element().getTextContent())
        .findFirst()
        .orElse("");
  }

  /** In their order, without the marks at their ends; {@code codes}: any of these letters. */
  private static List<String> subfields(Node field, String codes) {
    return field.all("subfield").stream()
        .filter(sub -> !sub.attribute("code").isEmpty() && codes.contains(sub.attribute("code")))
        .map(sub -> bare(sub.text()))
        .filter(text -> !text.isEmpty())
        .toList();
  }

  private static String first(Node field, String codes) {
    return subfields(field, codes).stream().findFirst().orElse("");
  }

  private String first(String codes, String... tags) {
    return fields(tags)
        .map(field -> first(field, codes))
        .filter(text -> !text.isEmpty())
        .findFirst()
        .orElse("");
  }

  /** A stop behind an abbreviation or an initial stays. */
  static String bare(String text) {
    String bare = text.replaceAll("\\s*[/:;,=]+\\s*$", "").strip();
    return bare.matches("(?s).*[\\p{L}\\d)]{4,}\\.$") ? bare.substring(0, bare.length() - 1) : bare;
  }

  private static String joined(String between, String none, List<String> parts) {
    return parts.isEmpty() ? none : String.join(between, parts);
  }

  private String abstractText() {
    return fields("520")
        .flatMap(field -> field.first("subfield").stream())
        .map(Node::prose)
        .findFirst()
        .orElse("");
  }

  /** In the letters of its own language (880), or what it was translated from (765). */
  private String original() {
    return fields("880")
        .filter(field -> first(field, "6").startsWith("245"))
        .map(field -> joined(": ", "", subfields(field, "ab")))
        .findFirst()
        .orElseGet(() -> first("t", "765"));
  }

  /** By what the leader says it is and what is around it; a genre of its own says more. */
  private Kind kind() {
    Optional<Kind> said =
        fields("655")
            .flatMap(field -> subfields(field, "a").stream())
            .flatMap(genre -> Supplied.kind(genre).stream())
            .findFirst();
    if (said.isPresent()) {
      return said.get();
    }
    if (fields("502").findAny().isPresent()) {
      return Kind.THESIS;
    }
    String leader = record.first("leader").map(l -> l.element().getTextContent()).orElse("");
    char level = leader.length() > YEAR ? leader.charAt(YEAR) : ' ';
    boolean part = level == 'a' || level == 'b' || fields("773").findAny().isPresent();
    if (part && fields("111", "711").findAny().isPresent()) {
      return Kind.CONFERENCE_PAPER;
    }
    if (part) {
      boolean ofBook = level == 'a' && first("x", "773").isEmpty();
      return ofBook && !first("z", "773").isEmpty() ? Kind.CHAPTER : Kind.ARTICLE;
    }
    return level == 'm' || level == 'c' || !first("a", "020").isEmpty()
        ? Kind.BOOK
        : unknown(level);
  }

  private Kind unknown(char level) {
    problems.add("a bibliographic level “" + level + "” in the leader, taken as article");
    return Kind.ARTICLE;
  }

  private List<Contributor> people() {
    return fields("100", "110", "111", "700", "710", "711")
        // An added entry with a title names another work.
        .filter(field -> first(field, "t").isEmpty())
        .flatMap(field -> person(field).stream())
        .distinct()
        .toList();
  }

  private static Optional<Contributor> person(Node field) {
    boolean body = !field.attribute("tag").endsWith("00");
    String name = joined(" ", "", subfields(field, body ? "ab" : "a"));
    String orcid =
        subfields(field, "01").stream()
            .map(Supplied::orcid)
            .filter(id -> !id.isEmpty())
            .findFirst()
            .orElse("");
    Optional<PersonName> person =
        body
            ? Optional.of(name).filter(n -> !n.isBlank()).map(n -> new PersonName(n, ""))
            : SuppliedName.person(name);
    return person.map(p -> new Contributor(p, role(field), body, orcid, subfields(field, "u")));
  }

  /** By code ($4) or in words ($e); whoever is only added took part. */
  private static String role(Node field) {
    String said = joined(" ", "", subfields(field, "4")).toLowerCase(Locale.ROOT);
    String word = said.isEmpty() ? first(field, "e").toLowerCase(Locale.ROOT) : said;
    String role = word.substring(word.lastIndexOf('/') + 1).replaceAll("\\.$", "");
    return switch (role) {
      case "aut", "author", "cre", "creator" -> Contributor.AUTHOR;
      case "edt", "ed", "editor" -> "editor";
      case "trl", "translator" -> "translator";
      case "ths", "dgs", "degree supervisor", "thesis advisor" -> "thesis advisor";
      case "" ->
          field.attribute("tag").startsWith("1") || field.attribute("tag").equals("700")
              ? Contributor.AUTHOR
              : "contributor";
      default -> role;
    };
  }

  private Optional<PartialDate> date() {
    String printed = first("c", "264", "260");
    String fixed = control("008");
    String year = fixed.length() >= YEAR + 4 ? fixed.substring(YEAR, YEAR + 4) : "";
    Optional<PartialDate> date =
        Supplied.date(printed)
            .or(() -> PartialDate.read(year))
            .or(() -> Supplied.date(first("g", "773")));
    if (date.isEmpty() && !printed.isEmpty()) {
      problems.add("date cannot be read: “" + printed + "”");
    }
    return date;
  }

  private String language() {
    String fixed = control("008");
    String coded = fixed.length() >= LENGTH_OF_008 ? fixed.substring(LANGUAGE, LENGTH_OF_008) : "";
    String said = Supplied.language(first("a", "041"));
    return said.isEmpty() ? Supplied.language(coded) : said;
  }

  /** What it is a part of: title, ISSN, and the place in it in words ($g). */
  private Host host() {
    return fields("773")
        .findFirst()
        .map(
            field -> {
              String where = joined(", ", "", subfields(field, "g"));
              Host place = SuppliedPlace.detailed(where).orElse(SuppliedPlace.pagesOnly(where));
              return new Host(
                  first(field, "t"),
                  Supplied.issn(first(field, "x")),
                  place.volume(),
                  place.issue(),
                  place.firstPage(),
                  place.lastPage());
            })
        .orElse(Host.NONE);
  }

  private List<HeadingUse> headings() {
    return fields("650", "651", "600", "610")
        .flatMap(
            field ->
                subfields(field, "01").stream()
                    .filter(MarcReader::isAddress)
                    .limit(1)
                    .map(id -> new HeadingUse(id, label(field), false, List.of())))
        .filter(heading -> !heading.label().isEmpty())
        .distinct()
        .toList();
  }

  private static boolean isAddress(String id) {
    return id.matches("(?:https?|urn):.*");
  }

  /** Subdivisions behind dashes, as they are printed. */
  private static String label(Node field) {
    return subfields(field, "avxyz").stream()
        .map(part -> part.replaceAll("\\.$", ""))
        .collect(Collectors.joining("--"));
  }

  /** Free ones, and headings that nothing identifies. */
  private List<String> keywords() {
    Stream<String> free = fields("653").flatMap(field -> subfields(field, "a").stream());
    Stream<String> named =
        fields("650", "651", "600", "610")
            .filter(field -> subfields(field, "01").stream().noneMatch(MarcReader::isAddress))
            .map(MarcReader::label);
    return Stream.concat(free, named).filter(word -> !word.isEmpty()).distinct().toList();
  }

  /** A standard identifier (024 with $2), else an address that has one. */
  private String doi() {
    return Stream.concat(
            fields("024")
                .filter(f -> first(f, "2").equalsIgnoreCase("doi"))
                .map(f -> first(f, "a")),
            fields("856").map(field -> first(field, "u")))
        .map(Supplied::doi)
        .filter(doi -> !doi.isEmpty())
        .findFirst()
        .orElse("");
  }

  /** Of a part the ISBN is that of its book. */
  private List<Identifier> identifiers(Kind kind) {
    boolean part = kind == Kind.CHAPTER || kind == Kind.CONFERENCE_PAPER;
    return part
        ? List.of()
        : fields("020")
            .map(field -> first(field, "a").replaceAll("[^\\dXx-].*$", ""))
            .flatMap(isbn -> Identifier.of(Identifier.ISBN, isbn).stream())
            .distinct()
            .toList();
  }

  /** By its terms of access (506) or of use (540), or by what its address says (856 $7, $z). */
  private boolean isOpen() {
    return fields("506", "540")
            .flatMap(field -> subfields(field, "afu2").stream())
            .anyMatch(
                text ->
                    text.matches(
                        "(?i).*(open access|unrestricted online|creativecommons\\.org/).*"))
        || fields("856").anyMatch(field -> subfields(field, "7").contains("0"));
  }

  /**
   * Field 856 (MARC 21, electronic location), without what is only related (second indicator 2).
   */
  private List<Copy> copies(VersionKind version) {
    return fields("856")
        .filter(field -> !field.has("ind2", "2"))
        .flatMap(
            field ->
                Supplied.address(first(field, "u"))
                    .map(at -> new Copy(at, use(at, field), version, isOpen()))
                    .stream())
        .toList();
  }

  private static Copy.Use use(String at, Node field) {
    return Supplied.use(at, first(field, "q"), Copy.Use.ABOUT);
  }
}
