package org.quietlantern.core.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.xml.XMLConstants;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Copy;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Identifier;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

/**
 * Reads a record in unqualified Dublin Core as OAI-PMH 2.0 carries it ({@code oai_dc}). Its fields
 * say little of what they hold, so this looks at their contents. Terms of the info:eu-repo
 * namespace (DRIVER guidelines 2.0) and numbers of the COAR vocabularies are known.
 */
final class DublinCoreReader {
  /** The namespace of the fifteen elements. */
  static final String DC = "http://purl.org/dc/elements/1.1/";

  private static final Pattern ISBN = Pattern.compile("(?i)(?:urn:)?isbn[:\\s]*([\\dXx -]{10,17})");
  private static final Pattern OPEN =
      Pattern.compile(
          "(?i)(?:.*\\bopen[ _-]?access\\b.*|info:eu-repo/semantics/openaccess"
              + "|.*/c_abf2/?|.*creativecommons\\.org/.*|\\bcc[ -]by\\b.*|.*\\bcreative commons\\b.*)");
  private static final Pattern NO_KEYWORD =
      Pattern.compile("(?i)(?:info:|https?://|urn:|(?:ddc|udc|lcc|jel)[ :]).*|[\\d.:/ ]+");

  /** What says something about the file or the process, where an abstract should be. */
  private static final int SHORTEST_ABSTRACT = 40;

  private final Node record;
  private final List<String> problems = new ArrayList<>();

  private DublinCoreReader(Node record) {
    this.record = record;
  }

  static SuppliedRecord read(Node root) {
    return new DublinCoreReader(root).publication();
  }

  private SuppliedRecord publication() {
    List<String> titles = titles();
    if (titles.isEmpty()) {
      return new SuppliedRecord.Unreadable("no title");
    }
    Host host = SuppliedPlace.of(texts("source"), issn());
    Kind kind = kind();
    Optional<PartialDate> date = date();
    List<Contributor> people = people();
    Publication read =
        new Publication(
            titles.get(0),
            titles.size() > 1 ? titles.get(1) : "",
            kind,
            version(),
            Contributor.authors(people),
            date,
            host,
            first("publisher"),
            texts("language").stream()
                .map(Supplied::language)
                .filter(code -> !code.isEmpty())
                .findFirst()
                .orElse(""),
            abstractText(),
            List.of(),
            keywords(),
            doi(kind),
            Relations.NONE,
            Pages.count(String.join("; ", texts("format")), host),
            isOpen(),
            Studied.NONE,
            Optional.empty(),
            cited(),
            date,
            kind == Kind.BOOK ? isbns() : List.of(),
            people,
            copies());
    problems.addAll(record.cut());
    return new SuppliedRecord.Read(read, problems);
  }

  private boolean isOpen() {
    return texts("rights").stream().anyMatch(right -> OPEN.matcher(right).matches());
  }

  /** What stands among its identifiers; nobody says what is there. */
  private List<Copy> copies() {
    return texts("identifier").stream()
        .flatMap(text -> Supplied.address(text).stream())
        .map(at -> new Copy(at, Supplied.use(at, "", Copy.Use.ABOUT), version(), isOpen()))
        .toList();
  }

  private List<String> texts(String name) {
    return record.all(name).stream().map(Node::text).filter(text -> !text.isEmpty()).toList();
  }

  private String first(String name) {
    return texts(name).stream().findFirst().orElse("");
  }

  /** Where languages are said the English one comes first; the other is the original one. */
  private List<String> titles() {
    return record.all("title").stream()
        .filter(title -> !title.text().isEmpty())
        .sorted(Comparator.comparing((Node title) -> !isEnglish(title)))
        .map(Node::text)
        .distinct()
        .toList();
  }

  private static boolean isEnglish(Node node) {
    return Supplied.language(node.attribute(XMLConstants.XML_NS_URI, "lang")).equals("en");
  }

  /** In English where that is said, else the longest; what is too short is no abstract. */
  private String abstractText() {
    List<Node> all =
        record.all("description").stream()
            .filter(node -> node.text().length() >= SHORTEST_ABSTRACT)
            .toList();
    return all.stream()
        .filter(DublinCoreReader::isEnglish)
        .findFirst()
        .or(() -> all.stream().max(Comparator.comparingInt(node -> node.text().length())))
        .map(Node::text)
        .orElseGet(() -> texts("description").size() == 1 ? first("description") : "");
  }

  private Kind kind() {
    List<String> types = texts("type");
    Optional<Kind> kind = types.stream().flatMap(type -> Supplied.kind(type).stream()).findFirst();
    boolean saysNone = types.stream().allMatch(type -> type.equalsIgnoreCase("text"));
    if (kind.isEmpty() && !saysNone) {
      problems.add("unknown kind “" + types.get(0) + "”, taken as article");
    }
    return kind.orElse(Kind.ARTICLE);
  }

  /** By the DRIVER terms, by the COAR vocabulary of versions 1.0, or in plain words. */
  private VersionKind version() {
    List<String> types =
        texts("type").stream()
            .map(type -> type.replaceAll("/+$", ""))
            .map(type -> type.substring(type.lastIndexOf('/') + 1).toLowerCase(Locale.ROOT))
            .toList();
    if (types.contains("acceptedversion") || types.contains("c_ab4af688f83e57aa")) {
      return VersionKind.ACCEPTED;
    }
    return Stream.of(
                "preprint",
                "preprintversion",
                "submittedversion",
                "draft",
                "c_816b",
                "c_71e4c1898caa6e32",
                "c_b1a7d7d4d402bcce")
            .anyMatch(types::contains)
        ? VersionKind.PREPRINT
        : VersionKind.FINAL;
  }

  /** Who made it, then who took part, with the role that stands behind the name. */
  private List<Contributor> people() {
    Stream<Contributor> creators =
        texts("creator").stream()
            .flatMap(field -> SuppliedName.all(field, Contributor.AUTHOR).stream());
    Stream<Contributor> others =
        texts("contributor").stream()
            .flatMap(field -> SuppliedName.all(field, "contributor").stream());
    return Stream.concat(creators, others).distinct().toList();
  }

  /**
   * Many write three: when it came into the repository, when it could be had there, when it was
   * published. The first two have a time of day, as the third has not.
   */
  private Optional<PartialDate> date() {
    List<String> dates =
        texts("date").stream().filter(date -> !date.contains("embargoEnd")).toList();
    List<PartialDate> days =
        dates.stream()
            .filter(date -> !date.contains("T"))
            .flatMap(date -> Supplied.date(lastPart(date)).stream())
            .toList();
    Optional<PartialDate> read =
        days.stream()
            .findFirst()
            .or(
                () ->
                    dates.stream()
                        .flatMap(date -> Supplied.date(date).stream())
                        .min(Comparator.comparing(PartialDate::earliest)));
    if (read.isEmpty() && !dates.isEmpty()) {
      problems.add("date cannot be read: “" + dates.get(0) + "”");
    }
    return read;
  }

  /** Of a name with a path in front only the name. */
  private static String lastPart(String date) {
    return date.startsWith("info:") ? date.substring(date.lastIndexOf('/') + 1) : date;
  }

  private List<String> keywords() {
    List<String> subjects = texts("subject");
    String between = subjects.size() == 1 && subjects.get(0).split(",").length > 2 ? "[;,]" : ";";
    return subjects.stream()
        .flatMap(subject -> Arrays.stream(subject.split(between)))
        .map(String::strip)
        .filter(word -> !word.isEmpty() && !NO_KEYWORD.matcher(word).matches())
        .distinct()
        .toList();
  }

  /** Its own: an identifier, else what a relation calls another name of the same thing. */
  private String doi(Kind kind) {
    return Stream.concat(
            texts("identifier").stream(),
            texts("relation").stream().filter(relation -> relation.contains("altIdentifier")))
        .map(Supplied::doi)
        .filter(doi -> !doi.isEmpty())
        .findFirst()
        .or(() -> onlyRelated(kind))
        .orElse("");
  }

  /** A relation that is nothing but a DOI, if there is no other; of a part it may be the whole. */
  private Optional<String> onlyRelated(Kind kind) {
    List<String> related =
        texts("relation").stream()
            .filter(relation -> !relation.startsWith("info:"))
            .filter(
                relation ->
                    relation.matches("(?i)(?:doi: ?|https?://(?:dx\\.)?doi\\.org/)?10\\..*"))
            .toList();
    return related.size() == 1 && kind != Kind.CHAPTER
        ? Optional.of(Supplied.doi(related.get(0))).filter(doi -> !doi.isEmpty())
        : Optional.empty();
  }

  private Cited cited() {
    List<String> dois =
        texts("relation").stream()
            .filter(relation -> relation.startsWith("info:eu-repo/semantics/reference"))
            .map(relation -> Supplied.doi(relation).toLowerCase(Locale.ROOT))
            .filter(doi -> !doi.isEmpty())
            .distinct()
            .toList();
    return new Cited(!dois.isEmpty(), dois);
  }

  private String issn() {
    return Stream.of("source", "identifier", "relation")
        .flatMap(name -> texts(name).stream())
        .filter(text -> text.matches("(?i).*issn.*|[\\dXx-]{8,9}"))
        .map(Supplied::issn)
        .filter(issn -> !issn.isEmpty())
        .findFirst()
        .orElse("");
  }

  /** Of whole books only: beside a chapter stands the number of its book. */
  private List<Identifier> isbns() {
    return Stream.of("identifier", "relation", "source")
        .flatMap(name -> texts(name).stream())
        .map(ISBN::matcher)
        .filter(Matcher::matches)
        .flatMap(isbn -> Identifier.of(Identifier.ISBN, isbn.group(1)).stream())
        .distinct()
        .toList();
  }
}
