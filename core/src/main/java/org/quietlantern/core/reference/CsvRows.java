package org.quietlantern.core.reference;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Rows of a table (RFC 4180, or with semicolons or tabs). A quote that is never closed costs one
 * line: it is read as a letter there.
 */
final class CsvRows {
  /** So many lines of one row are a quote that was not closed. */
  private static final int MOST_LINES = 2_000;

  /** So many quotes that are not closed are no accident. */
  private static final int MOST_BROKEN = 1_000;

  private final String text;
  private final CSVFormat quoted;
  private final CSVFormat bare;
  private final List<ReadFile.Problem> problems = new ArrayList<>();
  private int at;
  private int line = 1;
  private int broken;

  /** {@code line}: on which it begins, from 1. */
  record Row(List<String> cells, int line) {}

  CsvRows(String text) {
    this.text = text;
    this.at = text.startsWith(CsvWriter.MARK) ? 1 : 0;
    this.quoted = CSVFormat.RFC4180.builder().setDelimiter(delimiter(text)).setTrim(false).get();
    this.bare = quoted.builder().setQuote(null).get();
  }

  /** What divides the first line most often. */
  private static char delimiter(String text) {
    String first = text.lines().findFirst().orElse("");
    char best = ',';
    for (char one : new char[] {';', '\t'}) {
      if (many(first, one) > many(first, best)) {
        best = one;
      }
    }
    return best;
  }

  private static long many(String line, char wanted) {
    return line.chars().filter(letter -> letter == wanted).count();
  }

  List<ReadFile.Problem> problems() {
    return problems;
  }

  /** The next that is not empty; empty behind the last. */
  Optional<Row> next() {
    while (at < text.length()) {
      int begun = line;
      int end = broken < MOST_BROKEN ? end() : -1;
      Optional<List<String>> cells =
          end < 0 ? Optional.empty() : cells(text.substring(at, end), quoted);
      if (cells.isEmpty()) {
        end = lineEnd(at);
        cells = cells(text.substring(at, end), bare);
        tell(begun);
      }
      move(end);
      if (cells.isPresent() && cells.get().stream().anyMatch(cell -> !cell.isBlank())) {
        return Optional.of(new Row(cells.get(), begun));
      }
    }
    return Optional.empty();
  }

  private void tell(int begun) {
    broken++;
    if (broken <= MOST_BROKEN) {
      problems.add(
          new ReadFile.Problem(begun, "A quotation mark is not closed, or stands where none can."));
    }
  }

  private static Optional<List<String>> cells(String row, CSVFormat format) {
    try (CSVParser parser = format.parse(new StringReader(row))) {
      List<CSVRecord> records = parser.getRecords();
      return Optional.of(records.isEmpty() ? List.of() : records.get(0).toList());
    } catch (UncheckedIOException | IllegalStateException notClosed) {
      return Optional.empty();
    } catch (IOException impossible) {
      return Optional.empty();
    }
  }

  /** Behind the row that begins here, with the end of its line; -1 where a quote has no end. */
  private int end() {
    boolean within = false;
    int lines = 0;
    for (int i = at; i < text.length(); i++) {
      char letter = text.charAt(i);
      if (letter == '"') {
        within = !within;
      } else if (isEnd(i)) {
        if (!within) {
          return i + 1;
        }
        if (++lines > MOST_LINES) {
          return -1;
        }
      }
    }
    return within ? -1 : text.length();
  }

  private int lineEnd(int from) {
    int i = from;
    while (i < text.length() && !isEnd(i)) {
      i++;
    }
    return Math.min(text.length(), i + 1);
  }

  /** Whether a line ends with this letter; of two it is the second. */
  private boolean isEnd(int i) {
    char letter = text.charAt(i);
    boolean paired = letter == '\r' && i + 1 < text.length() && text.charAt(i + 1) == '\n';
    return letter == '\n' || (letter == '\r' && !paired);
  }

  private void move(int end) {
    for (; at < end; at++) {
      if (isEnd(at)) {
        line++;
      }
    }
  }
}
