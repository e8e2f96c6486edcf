package org.quietlantern.server.platform;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Tables to take along: CSV (RFC 4180) in UTF-8. */
public final class CsvTable {
  /** Tells tables that the file is UTF-8. */
  private static final String MARK = "\uFEFF";

  private static final String FORMULAS = "=+-@\t\r";

  private CsvTable() {}

  /** With its heads as the first row. */
  public static String of(List<String> heads, List<? extends List<?>> rows) {
    StringWriter file = new StringWriter();
    try (CSVPrinter printer = new CSVPrinter(file, CSVFormat.RFC4180)) {
      printer.printRecord(guarded(heads));
      for (List<?> row : rows) {
        printer.printRecord(guarded(row));
      }
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return MARK + file;
  }

  /** No text that a table would take for a formula. */
  private static List<?> guarded(List<?> row) {
    return row.stream()
        .map(
            cell ->
                cell instanceof String text
                        && !text.isEmpty()
                        && FORMULAS.indexOf(text.charAt(0)) >= 0
                    ? "'" + text
                    : cell)
        .toList();
  }
}
