package org.quietlantern.core.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Identifier;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;
import org.xml.sax.SAXException;

/**
 * Reads a record in unqualified Dublin Core as OAI-PMH 2.0 carries it ({@code oai_dc}). Its fields
 * say little of what they hold, so this looks at their contents: a date is the first that reads as
 * one, an identifier is a DOI if it looks like one.
 */
public final class DublinCoreReader {
  /** The namespace of the fifteen elements. */
  public static final String DC = "http://purl.org/dc/elements/1.1/";

  private static final Pattern DOI =
      Pattern.compile("(?:doi:|https?://\\S*/)?(10\\.\\d{4,9}/\\S+)");
  private static final Pattern ISBN = Pattern.compile("(?i)(?:urn:)?isbn[:\\s]*([\\dXx -]{10,17})");
  private static final Pattern PLACE =
      Pattern.compile("(.+?),? +(\\d+) ?\\((\\w+)\\)(?:[,:] *(\\d+)(?:[-–](\\d+))?)?");
  private static final Pattern DATE = Pattern.compile("(\\d{4}(?:-\\d\\d(?:-\\d\\d)?)?).*");
  private final Node record;
  private final List<String> problems = new ArrayList<>();

  private DublinCoreReader(Node record) {
    this.record = record;
  }

  public static SuppliedRecord read(String xml) {
    try {
      Node root = Node.root(Xml.tree(xml));
      return root.element().getNodeName().endsWith("dc")
          ? new DublinCoreReader(root).publication()
          : new SuppliedRecord.Unreadable("not Dublin Core: " + root.element().getNodeName());
    } catch (SAXException broken) {
      return new SuppliedRecord.Unreadable("not well-formed XML: " + broken.getMessage());
    }
  }

  private SuppliedRecord publication() {
    List<String> titles = texts("title");
    if (titles.isEmpty()) {
      return new SuppliedRecord.Unreadable("no title");
    }
    Host host = host();
    Kind kind = kind();
    Optional<PartialDate> date = date();
    Publication read =
        new Publication(
            titles.get(0),
            titles.size() > 1 ? titles.get(1) : "",
            kind,
            version(),
            texts("creator").stream().map(DublinCoreReader::person).toList(),
            date,
            host,
            first("publisher"),
            language(),
            first("description"),
            List.of(),
            texts("subject"),
            doi(),
            Relations.NONE,
            Pages.count("", host),
            texts("rights").stream().anyMatch(r -> r.matches("(?i).*open ?access.*")),
            Studied.NONE,
            Optional.empty(),
            Cited.UNKNOWN,
            date,
            kind == Kind.BOOK ? isbns() : List.of(),
            List.of());
    problems.addAll(record.cut());
    return new SuppliedRecord.Read(read, problems);
  }

  private List<String> texts(String name) {
    return record.all(name).stream().map(Node::text).filter(text -> !text.isEmpty()).toList();
  }

  private String first(String name) {
    return texts(name).stream().findFirst().orElse("");
  }

  private Kind kind() {
    Optional<Kind> kind =
        texts("type").stream().flatMap(type -> Kind.named(lastPart(type)).stream()).findFirst();
    if (kind.isEmpty()) {
      problems.add("unknown kind “" + first("type") + "”, taken as article");
    }
    return kind.orElse(Kind.ARTICLE);
  }

  /** Of a name with a path in front only the name. */
  private static String lastPart(String type) {
    return type.substring(type.lastIndexOf('/') + 1);
  }

  /** Repositories say it as one of several types: {@code acceptedVersion} and the like. */
  private VersionKind version() {
    List<String> types = texts("type").stream().map(DublinCoreReader::lastPart).toList();
    if (types.contains("acceptedVersion")) {
      return VersionKind.ACCEPTED;
    }
    return types.contains("preprint") || types.contains("preprintVersion")
        ? VersionKind.PREPRINT
        : VersionKind.FINAL;
  }

  private static PersonName person(String creator) {
    int comma = creator.indexOf(',');
    return comma <= 0
        ? new PersonName(creator, "")
        : new PersonName(creator.substring(0, comma), creator.substring(comma + 1));
  }

  private Optional<PartialDate> date() {
    List<String> dates = texts("date");
    Optional<PartialDate> read = dates.stream().flatMap(text -> date(text).stream()).findFirst();
    if (read.isEmpty() && !dates.isEmpty()) {
      problems.add("date cannot be read: “" + dates.get(0) + "”");
    }
    return read;
  }

  /** Some give a time of day behind it. */
  private static Optional<PartialDate> date(String text) {
    Matcher date = DATE.matcher(text);
    return date.matches() ? PartialDate.read(date.group(1)) : Optional.empty();
  }

  private String language() {
    String language = first("language");
    return language.length() >= 2
        ? language.substring(0, 2).toLowerCase(java.util.Locale.ROOT)
        : "";
  }

  private String doi() {
    return texts("identifier").stream()
        .map(DOI::matcher)
        .filter(Matcher::matches)
        .map(doi -> doi.group(1))
        .findFirst()
        .orElse("");
  }

  /** Of whole books only: beside a chapter stands the number of its book. */
  private List<Identifier> isbns() {
    return texts("identifier").stream()
        .map(ISBN::matcher)
        .filter(Matcher::matches)
        .flatMap(isbn -> Identifier.of(Identifier.ISBN, isbn.group(1)).stream())
        .distinct()
        .toList();
  }

  /** “Title, volume(issue), first-last” is how most write it; anything else is only a title. */
  private Host host() {
    String source = first("source");
    Matcher place = PLACE.matcher(source);
    if (source.isEmpty()) {
      return Host.NONE;
    }
    return place.matches()
        ? new Host(
            place.group(1),
            "",
            place.group(2),
            place.group(3),
            place.group(4) == null ? "" : place.group(4),
            place.group(5) == null ? "" : place.group(5))
        : new Host(source, "", "", "", "", "");
  }
}
