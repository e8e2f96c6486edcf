package org.quietlantern.core.holdings;

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
 * Reads what is known of journals from CSV (RFC 4180) with a first line of names: {@code title,
 * issn, publisher, discipline, since, peer_reviewed_from, former_title, former_until}; other
 * columns are passed over.
 */
public final class JournalsReader {
  private static final CSVFormat FORMAT =
      CSVFormat.RFC4180
          .builder()
          .setHeader()
          .setSkipHeaderRecord(true)
          .setIgnoreEmptyLines(true)
          .setTrim(true)
          .get();

  private static final List<String> YEARS = List.of("since", "peer_reviewed_from", "former_until");

  private JournalsReader() {}

  /** What was read, and what could not be, with its line. */
  public record Read(List<Journal> journals, List<String> problems) {
    public Read {
      journals = List.copyOf(journals);
      problems = List.copyOf(problems);
    }
  }

  public static Read read(String csv) {
    List<Journal> journals = new ArrayList<>();
    List<String> problems = new ArrayList<>();
    try (CSVParser parser = CSVParser.parse(new StringReader(csv), FORMAT)) {
      if (!parser.getHeaderNames().contains("issn")) {
        return new Read(List.of(), List.of("line 1: no column is named issn"));
      }
      for (CSVRecord line : parser) {
        take(line, journals, problems);
      }
    } catch (IOException | UncheckedIOException | IllegalArgumentException broken) {
      problems.add(String.valueOf(broken.getMessage()));
    }
    return new Read(journals, problems);
  }

  private static void take(CSVRecord line, List<Journal> journals, List<String> problems) {
    String issn = cell(line, "issn");
    if (issn.isEmpty()) {
      problems.add(at(line) + "no ISSN");
      return;
    }
    for (String column : YEARS) {
      if (!cell(line, column).matches("|\\d{4}")) {
        problems.add(at(line) + "not a year: “" + cell(line, column) + "”");
        return;
      }
    }
    String former = cell(line, "former_title");
    journals.add(
        new Journal(
            issn,
            cell(line, "title"),
            cell(line, "publisher"),
            cell(line, "discipline"),
            year(line, "since"),
            year(line, "peer_reviewed_from"),
            former.isEmpty()
                ? List.of()
                : List.of(new Journal.Former(former, year(line, "former_until")))));
  }

  private static String at(CSVRecord line) {
    return "line " + (line.getRecordNumber() + 1) + ": ";
  }

  private static Optional<Integer> year(CSVRecord line, String name) {
    String year = cell(line, name);
    return year.isEmpty() ? Optional.empty() : Optional.of(Integer.valueOf(year));
  }

  private static String cell(CSVRecord line, String name) {
    return line.isSet(name) ? line.get(name) : "";
  }
}
