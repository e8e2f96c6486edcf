package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.quietlantern.core.exchange.Supplied;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

/** Reads a table whose first row names its columns. */
public final class CsvReader {
  private final Map<CsvColumn, Integer> columns = new EnumMap<>(CsvColumn.class);
  private final int width;
  private final List<ReadFile.Found> found = new ArrayList<>();
  private final List<ReadFile.Problem> problems = new ArrayList<>();

  private CsvReader(List<String> heads, Map<String, CsvColumn> mapping) {
    width = heads.size();
    for (int i = 0; i < heads.size(); i++) {
      CsvColumn column = mapping.get(heads.get(i).strip());
      if (column != null) {
        columns.putIfAbsent(column, i);
      }
    }
  }

  /** What its columns seem to hold, by their heads, in their order; empty for what is not known. */
  public static Map<String, Optional<CsvColumn>> columns(String text) {
    Map<String, Optional<CsvColumn>> columns = new LinkedHashMap<>();
    new CsvRows(text)
        .next()
        .ifPresent(
            row -> row.cells().forEach(head -> columns.put(head.strip(), CsvColumn.headed(head))));
    columns.remove("");
    return columns;
  }

  /** Whether it is like a table: its first two rows have as many cells, and more than one. */
  static boolean isTable(String text) {
    CsvRows rows = new CsvRows(text);
    int heads = rows.next().map(row -> row.cells().size()).orElse(0);
    return heads > 1 && rows.next().filter(row -> row.cells().size() == heads).isPresent();
  }

  /** Everything that can be read of a table whose columns are called as they are here. */
  public static ReadFile read(String text) {
    Map<String, CsvColumn> known = new LinkedHashMap<>();
    columns(text).forEach((head, column) -> column.ifPresent(one -> known.put(head, one)));
    return read(text, known);
  }

  /**
   * Everything that can be read of a table.
   *
   * @param mapping what stands in a column, by its head; columns that are not in it are passed over
   */
  public static ReadFile read(String text, Map<String, CsvColumn> mapping) {
    CsvRows rows = new CsvRows(text);
    Optional<CsvRows.Row> heads = rows.next();
    if (heads.isEmpty()) {
      return new ReadFile(List.of(), List.of(new ReadFile.Problem(1, "The table is empty.")));
    }
    CsvReader reader = new CsvReader(heads.get().cells(), mapping);
    if (!reader.columns.containsKey(CsvColumn.TITLE)) {
      return new ReadFile(List.of(), List.of(new ReadFile.Problem(1, "No column holds titles.")));
    }
    for (Optional<CsvRows.Row> row = rows.next(); row.isPresent(); row = rows.next()) {
      reader.row(row.get());
    }
    reader.problems.addAll(rows.problems());
    return new ReadFile(reader.found, reader.problems);
  }

  private void row(CsvRows.Row row) {
    if (row.cells().stream().skip(width).anyMatch(cell -> !cell.isBlank())) {
      problems.add(
          new ReadFile.Problem(row.line(), "The row has more cells than there are columns."));
    }
    Map<CsvColumn, String> cells = new EnumMap<>(CsvColumn.class);
    columns.forEach(
        (column, at) -> {
          if (at < row.cells().size()) {
            cells.put(column, CsvWriter.read(row.cells().get(at)).strip());
          }
        });
    if (cells.getOrDefault(CsvColumn.TITLE, "").isEmpty()) {
      problems.add(new ReadFile.Problem(row.line(), "The row has no title."));
    } else {
      found.add(new ReadFile.Found(reference(new Cells(cells)), row.line()));
    }
  }

  private static Reference reference(Cells cells) {
    return new Reference(
        cells.of(CsvColumn.KEY),
        publication(cells),
        cells.of(CsvColumn.LINK),
        cells.of(CsvColumn.NOTES).lines().filter(note -> !note.isBlank()).toList(),
        cells.of(CsvColumn.ANNOTATION));
  }

  private static Publication publication(Cells cells) {
    List<Contributor> people = new ArrayList<>();
    people(cells.of(CsvColumn.AUTHORS), Contributor.AUTHOR, people);
    people(cells.of(CsvColumn.EDITORS), "editor", people);
    Kind kind =
        Supplied.kind(cells.of(CsvColumn.KIND))
            .orElse(cells.of(CsvColumn.HOST).isEmpty() ? Kind.REPORT : Kind.ARTICLE);
    Optional<PartialDate> date =
        Supplied.date(cells.of(CsvColumn.DATE)).or(() -> Supplied.date(cells.of(CsvColumn.YEAR)));
    return new ReadWork(
            kind,
            cells.of(CsvColumn.TITLE),
            people,
            date,
            host(cells),
            cells.of(CsvColumn.PUBLISHER),
            Supplied.language(cells.of(CsvColumn.LANGUAGE)),
            cells.of(CsvColumn.ABSTRACT),
            Stream.of(cells.of(CsvColumn.KEYWORDS).split(";"))
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList(),
            Supplied.doi(cells.of(CsvColumn.DOI)),
            0,
            ReadWork.isbns(cells.of(CsvColumn.ISBN)))
        .publication(cells.of(CsvColumn.ORIGINAL_TITLE));
  }

  private static Host host(Cells cells) {
    PageRun pages = PageRun.of(cells.of(CsvColumn.PAGES));
    return new Host(
        cells.of(CsvColumn.HOST),
        Supplied.issn(cells.of(CsvColumn.ISSN)),
        cells.of(CsvColumn.VOLUME),
        cells.of(CsvColumn.ISSUE),
        cells.or(CsvColumn.FIRST_PAGE, pages.first()),
        cells.or(CsvColumn.LAST_PAGE, pages.last()));
  }

  /** Several with semicolons; where there is none and several commas, each has one. */
  private static void people(String cell, String role, List<Contributor> into) {
    for (String name : cell.split(";")) {
      String[] parts = name.split(",", 2);
      String family = parts[0].strip();
      if (!family.isEmpty()) {
        String given = parts.length > 1 ? parts[1].strip() : "";
        boolean body = parts.length == 1 && family.contains(" ");
        into.add(new Contributor(new PersonName(family, given), role, body, "", List.of()));
      }
    }
  }

  private record Cells(Map<CsvColumn, String> all) {
    String of(CsvColumn column) {
      return all.getOrDefault(column, "");
    }

    String or(CsvColumn column, String otherwise) {
      String cell = of(column);
      return cell.isEmpty() ? otherwise : cell;
    }
  }
}
