package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.quietlantern.core.exchange.Supplied;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;

/** Reads BibTeX and BibLaTeX. */
public final class BibtexReader {
  private static final Map<String, Kind> KINDS =
      Map.ofEntries(
          Map.entry("article", Kind.ARTICLE),
          Map.entry("book", Kind.BOOK),
          Map.entry("mvbook", Kind.BOOK),
          Map.entry("collection", Kind.BOOK),
          Map.entry("proceedings", Kind.BOOK),
          Map.entry("booklet", Kind.BOOK),
          Map.entry("incollection", Kind.CHAPTER),
          Map.entry("inbook", Kind.CHAPTER),
          Map.entry("inproceedings", Kind.CONFERENCE_PAPER),
          Map.entry("conference", Kind.CONFERENCE_PAPER),
          Map.entry("thesis", Kind.THESIS),
          Map.entry("phdthesis", Kind.THESIS),
          Map.entry("mastersthesis", Kind.THESIS),
          Map.entry("report", Kind.REPORT),
          Map.entry("techreport", Kind.REPORT),
          Map.entry("dataset", Kind.DATASET),
          Map.entry("unpublished", Kind.PREPRINT));

  private final Map<String, BibtexParser.Entry> byKey = new HashMap<>();
  private final List<ReadFile.Found> found = new ArrayList<>();
  private final List<ReadFile.Problem> problems = new ArrayList<>();

  private BibtexReader() {}

  /** Everything that can be read of a file. */
  public static ReadFile read(String text) {
    BibtexParser parser = new BibtexParser(text).parse();
    BibtexReader reader = new BibtexReader();
    reader.problems.addAll(parser.problems());
    parser
        .entries()
        .forEach(entry -> reader.byKey.putIfAbsent(entry.key().toLowerCase(Locale.ROOT), entry));
    parser.entries().forEach(reader::add);
    reader.problems.sort(Comparator.comparingInt(ReadFile.Problem::line));
    return new ReadFile(reader.found, reader.problems);
  }

  private void add(BibtexParser.Entry entry) {
    Map<String, String> fields = new LinkedHashMap<>(entry.fields());
    inherit(entry, fields);
    String title = text(fields, "title");
    String sub = text(fields, "subtitle");
    if (title.isBlank()) {
      problems.add(
          new ReadFile.Problem(
              entry.line(),
              entry.key().isEmpty()
                  ? "An entry has no title."
                  : "“%s” has no title.".formatted(entry.key())));
      return;
    }
    String whole = sub.isEmpty() ? title : title + ": " + sub;
    Publication work = publication(entry, fields, whole);
    List<String> notes = Stream.of(text(fields, "note")).filter(note -> !note.isEmpty()).toList();
    String annotation = first(fields, "annotation", "annote");
    found.add(
        new ReadFile.Found(
            new Reference(entry.key(), work, bare(fields, "url"), notes, annotation),
            entry.line()));
  }

  /** What an entry lacks it has of the one that it lies in; that one's title is its book. */
  private void inherit(BibtexParser.Entry entry, Map<String, String> fields) {
    BibtexParser.Entry around =
        byKey.get(fields.getOrDefault("crossref", "").strip().toLowerCase(Locale.ROOT));
    if (around == null || around.equals(entry) || around.key().isEmpty()) {
      return;
    }
    around
        .fields()
        .forEach(
            (name, value) -> {
              if (name.equals("title")) {
                fields.putIfAbsent("booktitle", value);
              } else if (!name.equals("crossref") && !name.equals("author")) {
                fields.putIfAbsent(name, value);
              }
            });
  }

  private static Publication publication(
      BibtexParser.Entry entry, Map<String, String> fields, String title) {
    boolean preprint = isPreprint(entry, fields);
    Kind kind = preprint ? Kind.PREPRINT : KINDS.getOrDefault(entry.type(), other(fields));
    List<Contributor> people = new ArrayList<>();
    people.addAll(BibtexNames.read(fields.getOrDefault("author", ""), Contributor.AUTHOR));
    people.addAll(BibtexNames.read(fields.getOrDefault("editor", ""), "editor"));
    people.addAll(BibtexNames.read(fields.getOrDefault("translator", ""), "translator"));
    return new ReadWork(
            kind,
            title,
            people,
            date(fields),
            host(fields, preprint),
            publisher(fields, preprint),
            Supplied.language(first(fields, "language", "langid")),
            text(fields, "abstract"),
            Keywords.split(first(fields, "keywords", "keyword")),
            Supplied.doi(bare(fields, "doi")),
            pages(fields),
            ReadWork.isbns(text(fields, "isbn")))
        .publication();
  }

  private static boolean isPreprint(BibtexParser.Entry entry, Map<String, String> fields) {
    boolean loose = List.of("misc", "online", "unpublished", "article").contains(entry.type());
    return loose
        && (text(fields, "note").startsWith("Preprint")
            || text(fields, "pubstate").startsWith("prepub")
            || (!text(fields, "eprint").isEmpty()
                && first(fields, "journal", "journaltitle").isEmpty()));
  }

  private static Kind other(Map<String, String> fields) {
    return first(fields, "journal", "journaltitle").isEmpty() ? Kind.REPORT : Kind.ARTICLE;
  }

  private static Host host(Map<String, String> fields, boolean preprint) {
    PageRun pages = PageRun.of(text(fields, "pages"));
    return new Host(
        preprint ? "" : first(fields, "journal", "journaltitle", "booktitle"),
        Supplied.issn(text(fields, "issn")),
        text(fields, "volume"),
        first(fields, "number", "issue"),
        pages.first(),
        pages.last());
  }

  private static String publisher(Map<String, String> fields, boolean preprint) {
    String named = first(fields, "publisher", "school", "institution");
    return named.isEmpty() && preprint
        ? first(fields, "howpublished", "organization", "eprinttype", "archiveprefix")
        : named;
  }

  private static int pages(Map<String, String> fields) {
    String total = text(fields, "pagetotal");
    return total.matches("\\d{1,6}") ? Integer.parseInt(total) : 0;
  }

  private static Optional<PartialDate> date(Map<String, String> fields) {
    String date = text(fields, "date").replaceAll("/.*", "");
    if (!date.isEmpty()) {
      return Supplied.date(date);
    }
    String year = text(fields, "year");
    String month = text(fields, "month");
    return month.matches("\\d{1,2}")
        ? Supplied.date("%s-%02d".formatted(year, Integer.parseInt(month)))
            .or(() -> Supplied.date(year))
        : Supplied.date((month + " " + year).strip());
  }

  private static String first(Map<String, String> fields, String... names) {
    return Stream.of(names)
        .map(name -> text(fields, name))
        .filter(text -> !text.isEmpty())
        .findFirst()
        .orElse("");
  }

  private static String text(Map<String, String> fields, String name) {
    return LatexReader.read(fields.getOrDefault(name, ""));
  }

  /** Addresses and identifiers are read as they stand. */
  private static String bare(Map<String, String> fields, String name) {
    return fields.getOrDefault(name, "").replaceAll("\\\\url|[{}\\s]|\\\\(?=[_%#&~])", "");
  }
}
