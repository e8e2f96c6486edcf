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
 * issn, publisher, peer_reviewed_from}; other columns are passed over.
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

  private JournalsReader() {}

  /** What was read, and what could not be, with its line. */
  public record Read(List<Journals.Journal> journals, List<String> problems) {
    public Read {
      journals = List.copyOf(journals);
      problems = List.copyOf(problems);
    }
  }

  public static Read read(String csv) {
    List<Journals.Journal> journals = new ArrayList<>();
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

  private static void take(CSVRecord line, List<Journals.Journal> journals, List<String> problems) {
    String issn = cell(line, "issn");
    String from = cell(line, "peer_reviewed_from");
    if (issn.isEmpty() || !from.matches("|\\d{4}")) {
      problems.add(
          "line "
              + (line.getRecordNumber() + 1)
              + (issn.isEmpty() ? ": no ISSN" : ": not a year: “" + from + "”"));
      return;
    }
    journals.add(
        new Journals.Journal(
            issn,
            cell(line, "title"),
            cell(line, "publisher"),
            from.isEmpty() ? Optional.empty() : Optional.of(Integer.valueOf(from))));
  }

  private static String cell(CSVRecord line, String name) {
    return line.isSet(name) ? line.get(name) : "";
  }
}
