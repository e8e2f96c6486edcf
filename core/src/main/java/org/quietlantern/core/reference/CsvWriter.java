package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;

/**
 * Writes a table (RFC 4180, UTF-8 with a mark). A cell that a spreadsheet would take for a formula
 * or for a number that it shortens begins with an apostrophe, which {@link #read} takes away again.
 */
public final class CsvWriter implements ReferenceWriter {
  /** UTF-8 is recognised by it. */
  private static final String MARK = "\uFEFF";

  /** What would be counted, or loses its leading zeros or its last figures. */
  private static final Pattern CHANGED =
      Pattern.compile("(?s)['=+\\-@\\t\\r].*|0\\d+|\\d{12,}|\\d+[eE]\\d+|\\d{1,2}[-/.]\\d{1,2}");

  private static final CSVFormat FORMAT = CSVFormat.RFC4180;

  private record Column(String name, Function<Reference, String> of) {}

  private final List<Column> columns = new ArrayList<>();

  public CsvWriter(Included included) {
    columns.add(new Column("key", Reference::key));
    work("kind", work -> work.kind().word());
    work("title", Publication::title);
    work("original title", Publication::originalTitle);
    work("authors", work -> people(work, Contributor.AUTHOR));
    work("editors", work -> people(work, "editor"));
    work("year", work -> work.citedYear().map(String::valueOf).orElse(""));
    work("date", work -> work.issued().map(PartialDate::toString).orElse(""));
    work("journal or book", work -> work.host().title());
    work("volume", work -> work.host().volume());
    work("issue", work -> work.host().issue());
    work("first page", work -> work.host().firstPage());
    work("last page", work -> work.host().lastPage());
    work("publisher", Publication::publisher);
    work("language", Publication::language);
    work("DOI", Publication::doi);
    work("ISSN", work -> work.host().issn());
    work("ISBN", work -> work.isbns().stream().findFirst().orElse(""));
    if (included.links()) {
      columns.add(new Column("link", Reference::link));
    }
    if (included.keywords()) {
      work("keywords", work -> String.join("; ", Keywords.of(work)));
    }
    if (included.notes()) {
      columns.add(new Column("notes", one -> String.join("\n", one.notes())));
      columns.add(new Column("annotation", Reference::annotation));
    }
    if (included.abstracts()) {
      work("abstract", Publication::abstractText);
    }
  }

  private void work(String name, Function<Publication, String> of) {
    columns.add(new Column(name, one -> of.apply(one.work())));
  }

  private static String people(Publication work, String role) {
    return work.contributors().stream()
        .filter(one -> one.role().equals(role))
        .map(one -> one.name().sorted())
        .collect(Collectors.joining("; "));
  }

  @Override
  public String begin() {
    return MARK + row(columns.stream().map(Column::name));
  }

  @Override
  public String entry(Reference reference) {
    return row(columns.stream().map(column -> safe(column.of().apply(reference))));
  }

  private static String row(Stream<String> cells) {
    return FORMAT.format(cells.toArray()) + "\r\n";
  }

  static String safe(String cell) {
    return CHANGED.matcher(cell).matches() ? "'" + cell : cell;
  }

  /** A cell as it was before it was made safe. */
  static String read(String cell) {
    return cell.startsWith("'") && CHANGED.matcher(cell.substring(1)).matches()
        ? cell.substring(1)
        : cell;
  }
}
