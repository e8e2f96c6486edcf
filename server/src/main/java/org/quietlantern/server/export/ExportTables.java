package org.quietlantern.server.export;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.quietlantern.core.reference.ComparisonTable;
import org.quietlantern.core.reference.TableColumn;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Works that leave as a table, to be compared side by side. */
@Service
@Transactional(readOnly = true)
class ExportTables {
  /** What a word processor shows in one table without trouble. */
  private static final int MOST_IN_DOCX = 1_000;

  private static final int MOST_IN_CSV = 20_000;

  private static final Map<TableColumn, Part> SAID =
      Map.of(
          TableColumn.ADDED, Part.ADDED,
          TableColumn.REASONS, Part.REASONS,
          TableColumn.MARKS, Part.MARKS,
          TableColumn.ANNOTATION, Part.ANNOTATION);

  private final WorksRead works;

  ExportTables(WorksRead works) {
    this.works = works;
  }

  /** {@code words}: of the columns, in their order. */
  static List<TableColumn> columns(List<String> words) {
    if (words.isEmpty()) {
      throw Refusal.unusable("columns", "A table has one column at least.");
    }
    return words.stream()
        .distinct()
        .map(
            word ->
                TableColumn.named(word)
                    .orElseThrow(() -> Refusal.unusable("columns", "No such column: " + word)))
        .toList();
  }

  /** Refused where there are too many rows for the kind of file. */
  ComparisonTable of(Member who, Leaving leaving, List<TableColumn> columns, boolean docx) {
    int most = docx ? MOST_IN_DOCX : MOST_IN_CSV;
    if (leaving.works().size() > most) {
      throw Refusal.unusable(
          "too-many",
          "%,d publications are more than the %,d that a table %s holds."
              .formatted(leaving.works().size(), most, docx ? "in a document" : "as CSV"));
    }
    List<List<String>> rows = new ArrayList<>();
    for (List<Integer> page : leaving.pages()) {
      rows.addAll(rows(who, leaving, page, columns));
    }
    return new ComparisonTable(leaving.name(), columns, rows);
  }

  private List<List<String>> rows(
      Member who, Leaving leaving, List<Integer> page, List<TableColumn> columns) {
    List<WorksRead.Work> read = works.of(who, page);
    Map<Integer, Map<TableColumn, String>> said =
        said(leaving, read.stream().map(WorksRead.Work::id).toList(), columns);
    return read.stream()
        .map(
            one ->
                ComparisonTable.row(
                    columns, one.publication(), one.link(), said.getOrDefault(one.id(), Map.of())))
        .toList();
  }

  /** Each column asks for its own part, so that none has what stands in another. */
  private static Map<Integer, Map<TableColumn, String>> said(
      Leaving leaving, List<Integer> works, List<TableColumn> columns) {
    Map<Integer, Map<TableColumn, String>> said = new HashMap<>();
    for (TableColumn column : columns) {
      Part part = SAID.get(column);
      if (part != null && leaving.offered().contains(part)) {
        leaving
            .said()
            .of(works, Set.of(part))
            .forEach(
                (work, its) ->
                    said.computeIfAbsent(work, w -> new EnumMap<>(TableColumn.class))
                        .put(
                            column,
                            part == Part.ANNOTATION
                                ? its.annotation()
                                : String.join("; ", its.notes())));
      }
    }
    return said;
  }
}
