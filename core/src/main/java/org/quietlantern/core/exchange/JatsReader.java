package org.quietlantern.core.exchange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.xml.XMLConstants;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Copy;
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
 * Reads the head of an article in JATS (ANSI/NISO Z39.96, 1.0 to 1.4, and the DTD before it), and
 * from its list of references the DOIs.
 */
final class JatsReader {
  /** One of the namespaces under which servers offer it; the elements themselves have none. */
  static final String NISO = "https://jats.nlm.nih.gov/ns/archiving/1.3/";

  private static final Map<String, Kind> TYPES =
      Map.of(
          "research-article", Kind.ARTICLE,
          "review-article", Kind.REVIEW,
          "systematic-review", Kind.REVIEW,
          "editorial", Kind.EDITORIAL,
          "letter", Kind.LETTER,
          "correction", Kind.NOTICE,
          "retraction", Kind.NOTICE,
          "preprint", Kind.PREPRINT);

  private final Node article;
  private final Node meta;
  private final List<String> problems = new ArrayList<>();

  private JatsReader(Node article, Node meta) {
    this.article = article;
    this.meta = meta;
  }

  static SuppliedRecord read(Node root) {
    Optional<Node> meta = root.first("front", "article-meta");
    return meta.isPresent()
        ? new JatsReader(root, meta.get()).publication()
        : new SuppliedRecord.Unreadable("an article without front matter");
  }

  /** The DOI of the article, else the first of its other names. */
  static String identifier(Node root) {
    List<Node> ids = root.all("front", "article-meta", "article-id");
    return ids.stream()
        .filter(id -> id.has("pub-id-type", "doi"))
        .findFirst()
        .or(() -> ids.stream().findFirst())
        .map(Node::text)
        .orElse("");
  }

  private SuppliedRecord publication() {
    String title = title(meta.all("title-group"));
    if (title.isEmpty()) {
      return new SuppliedRecord.Unreadable("no title");
    }
    String translated = title(meta.all("title-group", "trans-title-group"));
    Host host = host();
    List<Contributor> people = people();
    Kind kind = kind();
    List<PartialDate> dates = dates();
    Publication read =
        new Publication(
            translated.isEmpty() ? title : translated,
            translated.isEmpty() ? "" : title,
            kind,
            VersionKind.of(kind),
            Contributor.authors(people),
            dates.stream().min(Comparator.comparing(PartialDate::earliest)),
            host,
            article.text("front", "journal-meta", "publisher", "publisher-name"),
            Supplied.language(article.attribute(XMLConstants.XML_NS_URI, "lang")),
            abstractText(),
            List.of(),
            keywords(),
            id("doi"),
            relations(kind),
            pages(host),
            isOpen(),
            Studied.NONE,
            figures(),
            cited(),
            dates.stream().max(Comparator.comparing(PartialDate::earliest)),
            Stream.of("pmid", "pmcid")
                .flatMap(scheme -> Identifier.of(scheme, id(scheme)).stream())
                .toList(),
            people,
            copies(VersionKind.of(kind)));
    problems.addAll(article.cut());
    return new SuppliedRecord.Read(read, problems);
  }

  /** Of one group; a subtitle stands behind a colon. */
  private static String title(List<Node> groups) {
    return groups.stream()
        .findFirst()
        .map(
            group ->
                Stream.of("article-title", "trans-title", "subtitle", "trans-subtitle")
                    .map(group::text)
                    .filter(part -> !part.isEmpty())
                    .collect(Collectors.joining(": ")))
        .orElse("");
  }

  private Kind kind() {
    String type = article.attribute("article-type");
    Optional<Kind> kind = Optional.ofNullable(TYPES.get(type)).or(() -> Supplied.kind(type));
    if (kind.isEmpty() && !type.isEmpty() && !type.equals("other")) {
      problems.add("unknown kind “" + type + "”, taken as article");
    }
    return kind.orElse(Kind.ARTICLE);
  }

  private String id(String type) {
    return meta.all("article-id").stream()
        .filter(id -> id.has("pub-id-type", type))
        .map(Node::text)
        .findFirst()
        .orElse("");
  }

  private Host host() {
    Node journal = article.first("front", "journal-meta").orElse(article);
    String title =
        Stream.of(
                journal.text("journal-title-group", "journal-title"), journal.text("journal-title"))
            .filter(text -> !text.isEmpty())
            .findFirst()
            .orElse("");
    String first = meta.text("fpage");
    return new Host(
        title,
        Supplied.issn(journal.text("issn")),
        meta.text("volume"),
        meta.text("issue"),
        first.isEmpty() ? meta.text("elocation-id") : first,
        meta.text("lpage"));
  }

  /** All on which it was published; a copy in an archive is no publication of it. */
  private List<PartialDate> dates() {
    List<PartialDate> dates =
        meta.all("pub-date").stream()
            .filter(date -> !date.attribute("pub-type").contains("release"))
            .filter(date -> !date.attribute("pub-type").startsWith("nihms"))
            .flatMap(date -> date(date).stream())
            .toList();
    if (dates.isEmpty() && !meta.all("pub-date").isEmpty()) {
      problems.add("no date of publication can be read");
    }
    return dates;
  }

  private static Optional<PartialDate> date(Node date) {
    String year = date.text("year");
    String month = number(date.text("month"));
    String day = number(date.text("day"));
    String text = year + (month.isEmpty() ? "" : "-" + month);
    return PartialDate.read(month.isEmpty() || day.isEmpty() ? text : text + "-" + day)
        .or(() -> PartialDate.read(year));
  }

  private static String number(String text) {
    return text.matches("\\d") ? "0" + text : text.matches("\\d\\d") ? text : "";
  }

  private List<Contributor> people() {
    Map<String, String> places =
        Stream.concat(meta.all("aff").stream(), meta.all("contrib-group", "aff").stream())
            .filter(aff -> !aff.attribute("id").isEmpty())
            .collect(
                Collectors.toMap(
                    aff -> aff.attribute("id"), JatsReader::place, (first, twice) -> first));
    return meta.all("contrib-group", "contrib").stream()
        .flatMap(contrib -> person(contrib, places).stream())
        .toList();
  }

  /** Without the mark by which people are told to belong to it. */
  private static String place(Node aff) {
    String label = aff.text("label");
    String text = aff.text();
    return text.startsWith(label) ? text.substring(label.length()).strip() : text;
  }

  private static Optional<Contributor> person(Node contrib, Map<String, String> places) {
    Optional<Node> name =
        contrib.first("name").or(() -> contrib.first("name-alternatives", "name"));
    String family = name.map(n -> n.text("surname")).orElse("");
    String body = contrib.text("collab");
    if (family.isEmpty() && body.isEmpty()) {
      return Optional.empty();
    }
    List<String> affiliations =
        Stream.concat(
                contrib.all("aff").stream().map(JatsReader::place),
                contrib.all("xref").stream()
                    .filter(xref -> xref.has("ref-type", "aff"))
                    .flatMap(xref -> Stream.ofNullable(places.get(xref.attribute("rid")))))
            .filter(place -> !place.isEmpty())
            .toList();
    String orcid =
        contrib.all("contrib-id").stream()
            .map(id -> Supplied.orcid(id.text()))
            .filter(id -> !id.isEmpty())
            .findFirst()
            .orElse("");
    String role = contrib.attribute("contrib-type");
    return Optional.of(
        new Contributor(
            family.isEmpty()
                ? new PersonName(body, "")
                : new PersonName(family, name.map(n -> n.text("given-names")).orElse("")),
            role.isEmpty() ? Contributor.AUTHOR : role.toLowerCase(Locale.ROOT),
            family.isEmpty(),
            orcid,
            affiliations));
  }

  /** The plain one; those in pictures and for a glance have a type. */
  private String abstractText() {
    return meta.all("abstract").stream()
        .filter(text -> text.attribute("abstract-type").isEmpty())
        .map(
            text ->
                Stream.concat(
                        text.all("p").stream(),
                        text.all("sec").stream().flatMap(JatsReader::section))
                    .map(Node::text)
                    .collect(Collectors.joining(" ")))
        .filter(text -> !text.isEmpty())
        .findFirst()
        .orElse("");
  }

  private static Stream<Node> section(Node section) {
    return Stream.concat(section.all("title").stream(), section.all("p").stream());
  }

  private List<String> keywords() {
    return meta.all("kwd-group", "kwd").stream()
        .map(Node::text)
        .filter(word -> !word.isEmpty())
        .distinct()
        .toList();
  }

  /** A notice names what it is about, and an article what was said about it since. */
  private Relations relations(Kind kind) {
    List<Node> related =
        meta.all("related-article").stream()
            .filter(node -> node.has("ext-link-type", "doi"))
            .filter(node -> !Supplied.doi(link(node)).isEmpty())
            .toList();
    String about =
        kind == Kind.NOTICE
            ? related.stream().map(node -> Supplied.doi(link(node))).findFirst().orElse("")
            : "";
    List<Relations.Notice> notices =
        related.stream()
            .flatMap(
                node ->
                    noticeKind(node.attribute("related-article-type")).stream()
                        .map(word -> new Relations.Notice(word, Supplied.doi(link(node)), "")))
            .toList();
    return new Relations("", about, kind == Kind.NOTICE ? List.of() : notices);
  }

  private static String link(Node node) {
    return node.attribute("http://www.w3.org/1999/xlink", "href");
  }

  private static Optional<String> noticeKind(String type) {
    return switch (type) {
      case "correction-forward", "correction" -> Optional.of("correction");
      case "retraction-forward", "retraction" -> Optional.of("retraction");
      case "concern-forward", "expression-of-concern" -> Optional.of("expression of concern");
      default -> Optional.empty();
    };
  }

  private int pages(Host host) {
    String counted =
        meta.first("counts", "page-count").map(node -> node.attribute("count")).orElse("");
    return Pages.count(counted.matches("\\d{1,5}") ? counted + " pages" : "", host);
  }

  private Optional<Boolean> figures() {
    return meta.first("counts", "fig-count")
        .map(node -> node.attribute("count"))
        .filter(count -> count.matches("\\d{1,5}"))
        .map(count -> Integer.parseInt(count) > 0);
  }

  /** Where the article says that it is (JATS, self-uri). */
  private List<Copy> copies(VersionKind version) {
    List<Copy> copies = new ArrayList<>();
    for (Node uri : meta.all("self-uri")) {
      Supplied.address(link(uri))
          .map(at -> copy(at, uri.attribute("content-type"), version))
          .ifPresent(copies::add);
    }
    return copies;
  }

  private Copy copy(String at, String type, VersionKind version) {
    Copy.Use otherwise = type.contains("html") ? Copy.Use.PAGE : Copy.Use.ABOUT;
    return new Copy(at, Supplied.use(at, type, otherwise), version, isOpen());
  }

  private boolean isOpen() {
    return meta.all("permissions", "free_to_read").size() > 0
        || meta.all("permissions", "license").stream()
            .anyMatch(
                license ->
                    license.has("license-type", "open-access")
                        || link(license).contains("creativecommons.org/")
                        || license.text("license_ref").contains("creativecommons.org/"));
  }

  private Cited cited() {
    List<Node> refs = article.all("back", "ref-list", "ref");
    List<String> dois =
        refs.stream()
            .flatMap(
                ref ->
                    Stream.of("element-citation", "mixed-citation", "citation", "nlm-citation")
                        .flatMap(name -> ref.all(name, "pub-id").stream()))
            .filter(id -> id.has("pub-id-type", "doi"))
            .map(id -> Supplied.doi(id.text()).toLowerCase(Locale.ROOT))
            .filter(doi -> !doi.isEmpty())
            .distinct()
            .toList();
    return new Cited(!refs.isEmpty(), dois);
  }
}
