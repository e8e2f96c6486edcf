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
  static final String MARK = "\uFEFF";

  /** What would be counted, or loses its leading zeros or its last figures. */
  private static final Pattern CHANGED =
      Pattern.compile("(?s)['=+\\-@\\t\\r].*|0\\d+|\\d{12,}|\\d+[eE]\\d+|\\d{1,2}[-/.]\\d{1,2}");

  private static final CSVFormat FORMAT = CSVFormat.RFC4180;

  private record Column(String name, Function<Reference, String> of) {}

  private final List<Column> columns = new ArrayList<>();

  public CsvWriter(Included included) {
    add(CsvColumn.KEY, Reference::key);
    work(CsvColumn.KIND, work -> work.kind().word());
    work(CsvColumn.TITLE, Publication::title);
    work(CsvColumn.ORIGINAL_TITLE, Publication::originalTitle);
    work(CsvColumn.AUTHORS, work -> people(work, Contributor.AUTHOR));
    work(CsvColumn.EDITORS, work -> people(work, "editor"));
    work(CsvColumn.YEAR, work -> work.citedYear().map(String::valueOf).orElse(""));
    work(CsvColumn.DATE, work -> work.issued().map(PartialDate::toString).orElse(""));
    work(CsvColumn.HOST, work -> work.host().title());
    work(CsvColumn.VOLUME, work -> work.host().volume());
    work(CsvColumn.ISSUE, work -> work.host().issue());
    work(CsvColumn.FIRST_PAGE, work -> work.host().firstPage());
    work(CsvColumn.LAST_PAGE, work -> work.host().lastPage());
    work(CsvColumn.PUBLISHER, Publication::publisher);
    work(CsvColumn.LANGUAGE, Publication::language);
    work(CsvColumn.DOI, Publication::doi);
    work(CsvColumn.ISSN, work -> work.host().issn());
    work(CsvColumn.ISBN, work -> String.join("; ", work.isbns()));
    if (included.links()) {
      add(CsvColumn.LINK, Reference::link);
    }
    if (included.keywords()) {
      work(CsvColumn.KEYWORDS, work -> String.join("; ", Keywords.of(work)));
    }
    if (included.notes()) {
      add(CsvColumn.NOTES, one -> String.join("\n", one.notes()));
      add(CsvColumn.ANNOTATION, Reference::annotation);
    }
    if (included.abstracts()) {
      work(CsvColumn.ABSTRACT, Publication::abstractText);
    }
  }

  private void add(CsvColumn column, Function<Reference, String> of) {
    columns.add(new Column(column.word(), of));
  }

  private void work(CsvColumn column, Function<Publication, String> of) {
    add(column, one -> of.apply(one.work()));
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

  /** A whole table of cells as they are. */
  static String table(List<String> heads, List<List<String>> rows) {
    StringBuilder table = new StringBuilder(MARK).append(row(heads.stream()));
    rows.forEach(row -> table.append(row(row.stream().map(CsvWriter::safe))));
    return table.toString();
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
