package org.quietlantern.core.exchange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
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
 * Reads a record in MODS 3 (Library of Congress, versions 3.4 to 3.8) with the extension that
 * docs/formats.md describes. Tolerant: what it does not know it passes over, what it cannot use it
 * names.
 */
final class ModsReader {
  /** The namespace of MODS 3. */
  public static final String MODS = "http://www.loc.gov/mods/v3";

  /** Kinds of identifier that name no work for everybody, or are read elsewhere. */
  private static final Set<String> OTHERWISE_READ =
      Set.of("doi", "issn", "uri", "local", "hdl", "");

  private final Node mods;
  private final List<String> problems = new ArrayList<>();

  private ModsReader(Node mods) {
    this.mods = mods;
  }

  static SuppliedRecord read(Node root) {
    return new ModsReader(root).publication();
  }

  private SuppliedRecord publication() {
    String title = titles(false).findFirst().orElse("");
    if (title.isEmpty()) {
      return new SuppliedRecord.Unreadable("no title");
    }
    Host host =
        mods.all("relatedItem").stream()
            .filter(r -> r.has("type", "host"))
            .findFirst()
            .map(ModsReader::host)
            .orElse(Host.NONE);
    Kind kind = kind();
    Optional<PartialDate> date = date();
    List<Contributor> people = contributors();
    Publication read =
        new Publication(
            title,
            titles(true).findFirst().orElse(""),
            kind,
            version(),
            Contributor.authors(people),
            date,
            host,
            mods.text("originInfo", "publisher"),
            language(),
            mods.text("abstract"),
            headings(),
            keywords(),
            doi(),
            relations(),
            Pages.count(mods.text("physicalDescription", "extent"), host),
            isOpen(),
            studied(),
            figures(),
            cited(),
            date,
            identifiers(kind),
            people,
            copies());
    problems.addAll(mods.cut());
    return new SuppliedRecord.Read(read, problems);
  }

  /** {@code original}: in the language of the work, beside a title that is a translation. */
  private Stream<String> titles(boolean original) {
    return mods.all("titleInfo").stream()
        .filter(info -> original == info.has("displayLabel", "original"))
        .map(ModsReader::title);
  }

  private Relations relations() {
    List<Relations.Notice> notices =
        mods.all("extension", "supply", "notice").stream()
            .map(
                notice ->
                    new Relations.Notice(
                        notice.attribute("kind"), notice.text(), notice.attribute("date")))
            .toList();
    return new Relations(
        mods.text("extension", "supply", "versionOf"),
        mods.text("extension", "supply", "noticeOf"),
        notices);
  }

  /** Those in {@code location} (MODS 3.8, url); one of a preview leads to no text. */
  private List<Copy> copies() {
    boolean open = isOpen();
    List<Copy> copies = new ArrayList<>();
    for (Node url : mods.all("location", "url")) {
      Copy.Use otherwise = url.has("access", "raw object") ? Copy.Use.PAGE : Copy.Use.ABOUT;
      if (!url.has("access", "preview")) {
        Supplied.address(url.text())
            .map(at -> new Copy(at, Supplied.use(at, "", otherwise), version(), open))
            .ifPresent(copies::add);
      }
    }
    return copies;
  }

  private boolean isOpen() {
    return "open".equals(mods.text("extension", "supply", "access"));
  }

  private Studied studied() {
    return new Studied(
        supplied("study"),
        supplied("taxon"),
        supplied("region"),
        supplied("lifeStage"),
        supplied("sex"));
  }

  private List<String> supplied(String element) {
    return mods.all("extension", "supply", element).stream()
        .map(Node::text)
        .filter(text -> !text.isEmpty())
        .distinct()
        .toList();
  }

  private Optional<Boolean> figures() {
    return switch (mods.text("extension", "supply", "figures")) {
      case "yes" -> Optional.of(true);
      case "no" -> Optional.of(false);
      default -> Optional.empty();
    };
  }

  private Cited cited() {
    List<String> dois =
        mods.all("relatedItem").stream()
            .filter(item -> item.has("type", "references"))
            .map(item -> item.text("identifier").toLowerCase(Locale.ROOT))
            .filter(doi -> !doi.isEmpty())
            .distinct()
            .toList();
    boolean known = "known".equals(mods.text("extension", "supply", "references"));
    return new Cited(known || !dois.isEmpty(), dois);
  }

  private static String title(Node info) {
    String title =
        Stream.of(info.text("nonSort"), info.text("title"))
            .filter(part -> !part.isEmpty())
            .collect(Collectors.joining(" "));
    String sub = info.text("subTitle");
    return sub.isEmpty() ? title : title + ": " + sub;
  }

  private Kind kind() {
    return mods.all("genre").stream()
        .flatMap(genre -> Supplied.kind(genre.text()).stream())
        .findFirst()
        .orElseGet(
            () -> {
              problems.add("unknown kind “" + mods.text("genre") + "”, taken as article");
              return Kind.ARTICLE;
            });
  }

  /** A code says more than a word. */
  private String language() {
    return mods.all("language", "languageTerm").stream()
        .sorted(Comparator.comparing((Node term) -> !term.has("type", "code")))
        .map(term -> Supplied.language(term.text()))
        .filter(code -> !code.isEmpty())
        .findFirst()
        .orElse("");
  }

  private VersionKind version() {
    String version = mods.text("extension", "supply", "version");
    return switch (version) {
      case "preprint" -> VersionKind.PREPRINT;
      case "accepted" -> VersionKind.ACCEPTED;
      default -> VersionKind.FINAL;
    };
  }

  private List<Contributor> contributors() {
    return mods.all("name").stream().flatMap(name -> contributor(name).stream()).toList();
  }

  private static Optional<Contributor> contributor(Node name) {
    List<Node> parts = name.all("namePart");
    String family = part(parts, "family");
    String whole =
        parts.stream()
            .filter(part -> !part.has("type", "date") && !part.has("type", "termsOfAddress"))
            .map(Node::text)
            .collect(Collectors.joining(" "));
    if (whole.isBlank()) {
      return Optional.empty();
    }
    PersonName person =
        family.isEmpty() ? new PersonName(whole, "") : new PersonName(family, part(parts, "given"));
    return Optional.of(
        new Contributor(
            person,
            role(name),
            name.has("type", "corporate") || name.has("type", "conference"),
            orcid(name),
            name.all("affiliation").stream()
                .map(Node::text)
                .filter(text -> !text.isEmpty())
                .toList()));
  }

  /** As MARC relators name it, by code or in full; without one it is the author. */
  private static String role(Node name) {
    List<Node> terms = name.all("role", "roleTerm");
    if (terms.isEmpty()) {
      return Contributor.AUTHOR;
    }
    String term = terms.get(0).text().toLowerCase(Locale.ROOT);
    return switch (term) {
      case "aut", "author", "cre", "creator", "" -> Contributor.AUTHOR;
      case "edt" -> "editor";
      case "trl" -> "translator";
      case "ctb" -> "contributor";
      case "ths" -> "thesis advisor";
      default -> term;
    };
  }

  private static String orcid(Node name) {
    return name.all("nameIdentifier").stream()
        .filter(identifier -> identifier.has("type", "orcid"))
        .map(identifier -> Supplied.orcid(identifier.text()))
        .filter(orcid -> !orcid.isEmpty())
        .findFirst()
        .orElse("");
  }

  /** Numbers besides the DOI; the ISBN beside a chapter is that of its book. */
  private List<Identifier> identifiers(Kind kind) {
    boolean part = kind == Kind.CHAPTER || kind == Kind.CONFERENCE_PAPER;
    return mods.all("identifier").stream()
        .filter(node -> !OTHERWISE_READ.contains(node.attribute("type")))
        .filter(node -> !(part && node.has("type", Identifier.ISBN)))
        .flatMap(node -> Identifier.of(node.attribute("type"), node.text()).stream())
        .distinct()
        .toList();
  }

  private static String part(List<Node> parts, String type) {
    return parts.stream()
        .filter(p -> p.has("type", type))
        .map(Node::text)
        .collect(Collectors.joining(" "));
  }

  private Optional<PartialDate> date() {
    List<Node> all = mods.all("originInfo", "dateIssued");
    // The one that is meant to be read by machines, where several say the same.
    String issued =
        Stream.<Predicate<Node>>of(
                date -> date.has("keyDate", "yes"),
                date -> date.has("encoding", "w3cdtf"),
                date -> !date.has("point", "end"))
            .flatMap(wanted -> all.stream().filter(wanted).limit(1))
            .map(Node::text)
            .findFirst()
            .orElse("");
    Optional<PartialDate> date = Supplied.date(issued);
    if (date.isEmpty() && !issued.isEmpty()) {
      problems.add("date cannot be read: “" + issued + "”");
    }
    return date;
  }

  private static Host host(Node item) {
    return new Host(
        item.first("titleInfo").map(ModsReader::title).orElse(""),
        item.text("identifier"),
        detail(item, "volume"),
        detail(item, "issue"),
        item.text("part", "extent", "start"),
        item.text("part", "extent", "end"));
  }

  private static String detail(Node item, String type) {
    return item.all("part", "detail").stream()
        .filter(detail -> detail.has("type", type))
        .map(detail -> detail.text("number"))
        .findFirst()
        .orElse("");
  }

  private List<HeadingUse> headings() {
    Set<String> central =
        mods.all("extension", "supply", "central").stream()
            .map(node -> node.attribute("valueURI"))
            .collect(Collectors.toSet());
    return mods.all("subject").stream()
        .filter(subject -> !subject.attribute("valueURI").isEmpty())
        .map(subject -> heading(subject, central))
        .filter(heading -> !heading.label().isEmpty())
        .toList();
  }

  private HeadingUse heading(Node subject, Set<String> central) {
    String uri = subject.attribute("valueURI");
    return new HeadingUse(uri, subject.text("topic"), central.contains(uri), aspects(uri));
  }

  private List<String> aspects(String heading) {
    return mods.all("extension", "supply", "aspect").stream()
        .filter(aspect -> aspect.has("valueURI", heading))
        .map(Node::text)
        .filter(aspect -> !aspect.isEmpty())
        .toList();
  }

  private List<String> keywords() {
    return mods.all("subject").stream()
        .filter(subject -> subject.attribute("valueURI").isEmpty())
        .flatMap(subject -> subject.all("topic").stream())
        .map(Node::text)
        .filter(keyword -> !keyword.isEmpty())
        .toList();
  }

  private String doi() {
    return mods.all("identifier").stream()
        .filter(identifier -> identifier.has("type", "doi"))
        .map(Node::text)
        .findFirst()
        .orElse("");
  }
}
