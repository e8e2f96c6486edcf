package org.quietlantern.core.report;

import java.util.List;
import java.util.stream.Stream;

/**
 * A source in a report.
 *
 * @param coverage years of its records, as text
 * @param harvested the day of its last harvest, as text
 * @param found how many of the publications found it supplies; empty where a report is of several
 *     searches
 */
public record SourceOf(String name, int records, String coverage, String harvested, String found) {

  /** With the column of what was found where there is one. */
  static Document.Table table(List<SourceOf> sources) {
    boolean found = sources.stream().anyMatch(source -> !source.found().isEmpty());
    List<String> columns = List.of("source", "publications", "years", "last harvest");
    return new Document.Table(
        found ? with(columns, "found in it") : columns,
        sources.stream()
            .map(source -> found ? with(row(source), source.found()) : row(source))
            .toList());
  }

  private static List<String> row(SourceOf source) {
    return List.of(
        source.name(), Numbers.grouped(source.records()), source.coverage(), source.harvested());
  }

  private static List<String> with(List<String> cells, String last) {
    return Stream.concat(cells.stream(), Stream.of(last)).toList();
  }
}
