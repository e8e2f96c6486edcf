package org.quietlantern.core.reference;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.exchange.Supplied;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;

/**
 * Writes BibTeX, or what BibLaTeX reads beyond it (the manual of BibLaTeX 3, <i>Database
 * Guide</i>): entries of fields in braces.
 */
public final class BibtexWriter implements ReferenceWriter {
  /** Would divide a list of names, or a name. */
  private static final Pattern DIVIDES = Pattern.compile("(?i)\\band\\b|,");

  private static final Pattern BRACE = Pattern.compile("[{}\\s\\\\]");

  /** Kinds of works whose host is a book. */
  private static final Set<Kind> PARTS = Set.of(Kind.CHAPTER, Kind.CONFERENCE_PAPER);

  private final boolean biblatex;
  private final LatexText letters;
  private final Included included;

  /**
   * @param biblatex whether for BibLaTeX
   * @param commands whether letters beyond ASCII are written as commands of LaTeX
   */
  public BibtexWriter(boolean biblatex, boolean commands, Included included) {
    this.biblatex = biblatex;
    this.letters = new LatexText(commands);
    this.included = included;
  }

  @Override
  public String between() {
    return "\n";
  }

  /** What stands outside of entries is passed over. */
  @Override
  public String end(int entries) {
    return "\n%% Entries: %d\n".formatted(entries);
  }

  @Override
  public String entry(Reference reference) {
    Publication work = reference.work();
    Map<String, String> fields = new LinkedHashMap<>();
    fields.put("author", people(work, Contributor.AUTHOR));
    fields.put("editor", people(work, "editor"));
    if (biblatex) {
      fields.put("translator", people(work, "translator"));
    }
    fields.put("title", ProtectedTitle.of(work.title(), letters));
    host(work, fields);
    date(work, fields);
    publisher(work, fields);
    numbers(work, fields);
    said(reference, fields);
    String written =
        fields.entrySet().stream()
            .filter(field -> !field.getValue().isBlank())
            .map(field -> "  %s = %s".formatted(field.getKey(), value(field)))
            .collect(Collectors.joining(",\n"));
    return "@%s{%s,\n%s,\n}\n".formatted(type(work), reference.key(), written);
  }

  /** Months are names that every style knows in its language. */
  private static String value(Map.Entry<String, String> field) {
    return field.getKey().equals("month") ? field.getValue() : "{" + field.getValue() + "}";
  }

  private String type(Publication work) {
    if (CitedItem.isPreprint(work)) {
      return biblatex ? "online" : "misc";
    }
    return switch (work.kind()) {
      case BOOK -> "book";
      case CHAPTER -> "incollection";
      case CONFERENCE_PAPER -> "inproceedings";
      case THESIS -> biblatex ? "thesis" : "phdthesis";
      case REPORT -> biblatex ? "report" : "techreport";
      case DATASET -> biblatex ? "dataset" : "misc";
      default -> "article";
    };
  }

  private String people(Publication work, String role) {
    return work.contributors().stream()
        .filter(one -> one.role().equals(role))
        .map(this::name)
        .collect(Collectors.joining(" and "));
  }

  /** A name that would be read as several parts stands in braces. */
  private String name(Contributor one) {
    String family = letters.plain(one.name().family());
    boolean braced = one.body() || one.isWhole() || DIVIDES.matcher(one.name().family()).find();
    String held = braced ? "{" + family + "}" : family;
    return one.name().given().isEmpty() || one.body()
        ? held
        : held + ", " + letters.plain(one.name().given());
  }

  private void host(Publication work, Map<String, String> fields) {
    Host host = work.host();
    String journal = biblatex ? "journaltitle" : "journal";
    String where =
        CitedItem.isPreprint(work)
            ? biblatex ? "organization" : "howpublished"
            : PARTS.contains(work.kind()) ? "booktitle" : journal;
    fields.put(where, letters.marked(CitedItem.isPreprint(work) ? work.where() : host.title()));
    fields.put("volume", letters.plain(host.volume()));
    fields.put("number", letters.plain(host.issue()));
    fields.put("pages", letters.plain(host.pages("--")));
  }

  private void date(Publication work, Map<String, String> fields) {
    if (biblatex) {
      work.issued().ifPresent(date -> fields.put("date", date.toString()));
      return;
    }
    work.citedYear().ifPresent(year -> fields.put("year", Integer.toString(year)));
    work.issued()
        .map(PartialDate::month)
        .filter(month -> month > 0)
        .ifPresent(month -> fields.put("month", Supplied.MONTHS.get(month - 1)));
  }

  private void publisher(Publication work, Map<String, String> fields) {
    String place =
        switch (work.kind()) {
          case THESIS -> biblatex ? "institution" : "school";
          case REPORT -> "institution";
          default -> "publisher";
        };
    if (!CitedItem.isPreprint(work)) {
      fields.put(place, letters.plain(work.publisher()));
    }
    if (work.kind() == Kind.THESIS && biblatex) {
      fields.put("type", "phdthesis");
    }
    if (CitedItem.isPreprint(work)) {
      fields.put(biblatex ? "pubstate" : "note", biblatex ? "prepublished" : "Preprint");
    }
  }

  private void numbers(Publication work, Map<String, String> fields) {
    fields.put("doi", bare(work.doi()));
    fields.put("issn", bare(work.host().issn()));
    fields.put("isbn", bare(work.isbns().stream().findFirst().orElse("")));
    fields.put("language", work.language().toLowerCase(Locale.ROOT));
  }

  /** Identifiers are read as they stand; what would end the field cannot be in one. */
  private static String bare(String identifier) {
    return BRACE.matcher(identifier).replaceAll("");
  }

  private void said(Reference reference, Map<String, String> fields) {
    Publication work = reference.work();
    if (included.links()) {
      fields.put("url", bare(reference.link()));
    }
    if (included.abstracts()) {
      fields.put("abstract", letters.plain(work.abstractText()));
    }
    if (included.keywords()) {
      fields.put("keywords", letters.plain(Keywords.joined(Keywords.of(work))));
    }
    if (included.notes()) {
      fields.merge(
          "note",
          letters.plain(String.join("; ", reference.notes())),
          (one, other) -> other.isEmpty() ? one : one + ". " + other);
      fields.put(biblatex ? "annotation" : "annote", letters.plain(reference.annotation()));
    }
  }
}
