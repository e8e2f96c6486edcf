package org.quietlantern.core.holdings;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.Period;
import java.time.Year;
import java.time.YearMonth;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.validator.routines.ISSNValidator;
import org.quietlantern.core.publication.Identifier;

/**
 * Reads a holdings file in KBART (NISO RP-9-2014): tab-separated, a line of names first, dates to
 * the year, month or day. Two columns of our own may be there: {@code readers_at_once}, a number,
 * and {@code place}, where printed volumes stand. Tolerant: a line that cannot be used is named
 * with its number, the rest is read.
 */
public final class KbartReader {
  /** Lines of one file. */
  public static final int MOST_LINES = 200_000;

  private static final Pattern EMBARGO = Pattern.compile("([PR])(\\d{1,4})([DMY])");
  private static final Pattern READERS = Pattern.compile("[1-9]\\d{0,5}");
  private static final ISSNValidator ISSN = ISSNValidator.getInstance();

  /** Cells may be quoted; a quotation mark inside a cell stands for itself. */
  private static final CSVFormat CELLS =
      CSVFormat.TDF
          .builder()
          .setIgnoreEmptyLines(false)
          .setIgnoreSurroundingSpaces(false)
          .setTrailingData(true)
          .setLenientEof(true)
          .get();

  private final Map<String, Integer> columns = new HashMap<>();
  private final List<Holdings.Title> titles = new ArrayList<>();
  private final List<Problem> problems = new ArrayList<>();

  /** {@code line} counts from 1, the line of names included. */
  public record Problem(int line, String what) {}

  /** What was read, and what could not be. */
  public record Read(Holdings holdings, List<Problem> problems) {
    public Read {
      problems = List.copyOf(problems);
    }
  }

  private KbartReader() {}

  public static Read read(String file) {
    KbartReader reader = new KbartReader();
    try (CSVParser parser = CSVParser.parse(file.replaceFirst("^\uFEFF", ""), CELLS)) {
      reader.read(parser);
    } catch (IOException | UncheckedIOException broken) {
      reader.problem(1, "the file cannot be divided into lines and cells: " + broken.getMessage());
    }
    return new Read(new Holdings(reader.titles), reader.problems);
  }

  private void read(CSVParser parser) {
    boolean named = false;
    int number = 1;
    for (CSVRecord record : parser) {
      if (record.getRecordNumber() > MOST_LINES) {
        titles.clear();
        problem(MOST_LINES, "the file is longer than this; nothing was read");
        return;
      }
      if (named) {
        line(number, record.values());
      } else if (!names(record.values())) {
        return;
      }
      named = true;
      // A quoted cell may run over several lines.
      number = Math.toIntExact(parser.getCurrentLineNumber()) + 1;
    }
  }

  private boolean names(String[] names) {
    for (int i = 0; i < names.length; i++) {
      columns.put(names[i].strip().toLowerCase(Locale.ROOT), i);
    }
    boolean known = columns.containsKey("publication_title");
    if (!known) {
      problem(
          1,
          "this is no KBART: the first line has to name the columns, publication_title among them");
    }
    return known;
  }

  private void line(int number, String[] cells) {
    if (Stream.of(cells).allMatch(String::isBlank)) {
      return;
    }
    List<String> given =
        Stream.of("online_identifier", "print_identifier")
            .map(name -> cell(cells, name).toUpperCase(Locale.ROOT))
            .filter(issn -> !issn.isEmpty())
            .distinct()
            .toList();
    List<String> numbers = given.stream().flatMap(text -> number(text).stream()).toList();
    if (numbers.isEmpty()) {
      problem(
          number,
          given.isEmpty()
              ? "no ISSN or ISBN in print_identifier or online_identifier"
              : "“"
                  + given.get(0)
                  + "” is no ISSN and no ISBN: its form or its check digit is wrong");
      return;
    }
    String depth = cell(cells, "coverage_depth").toLowerCase(Locale.ROOT);
    if (!depth.isEmpty() && !depth.equals("fulltext")) {
      problem(number, "coverage_depth is “" + depth + "”, not all in full: not taken as held");
      return;
    }
    try {
      titles.add(
          new Holdings.Title(
              cell(cells, "publication_title"),
              numbers,
              coverage(cells),
              readers(cells),
              cell(cells, "place")));
    } catch (IllegalArgumentException unusable) {
      problem(number, String.valueOf(unusable.getMessage()));
    }
  }

  private static Optional<String> number(String text) {
    return ISSN.isValid(text)
        ? Optional.of(text)
        : Identifier.of(Identifier.ISBN, text).map(Identifier::value);
  }

  private OptionalInt readers(String[] cells) {
    String text = cell(cells, "readers_at_once");
    if (!text.isEmpty() && !READERS.matcher(text).matches()) {
      throw new IllegalArgumentException("readers_at_once is no number: “" + text + "”");
    }
    return text.isEmpty() ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(text));
  }

  private Coverage coverage(String[] cells) {
    String embargo = cell(cells, "embargo_info");
    Period wall = Period.ZERO;
    Period window = Period.ZERO;
    for (String part : embargo.isEmpty() ? new String[0] : embargo.split(";")) {
      Matcher form = EMBARGO.matcher(part.strip().toUpperCase(Locale.ROOT));
      if (!form.matches()) {
        throw new IllegalArgumentException("embargo_info cannot be read: “" + embargo + "”");
      }
      Period period = Period.parse("P" + form.group(2) + form.group(3));
      wall = form.group(1).equals("P") ? period : wall;
      window = form.group(1).equals("R") ? period : window;
    }
    return new Coverage(
        date(cell(cells, "date_first_issue_online"), false).orElse(LocalDate.MIN),
        date(cell(cells, "date_last_issue_online"), true).orElse(LocalDate.MAX),
        wall,
        window,
        cell(cells, "access_type").equalsIgnoreCase("F"));
  }

  /** {@code last}: the end of the year or month named, in place of its beginning. */
  private static Optional<LocalDate> date(String text, boolean last) {
    if (text.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(day(text, last));
    } catch (DateTimeException none) {
      throw new IllegalArgumentException("no date: “" + text + "”", none);
    }
  }

  private static LocalDate day(String text, boolean last) {
    return switch (text.length()) {
      case 4 -> last ? Year.parse(text).atMonth(12).atEndOfMonth() : Year.parse(text).atDay(1);
      case 7 -> {
        LocalDate first = YearMonth.parse(text).atDay(1);
        yield last ? first.with(TemporalAdjusters.lastDayOfMonth()) : first;
      }
      default -> LocalDate.parse(text);
    };
  }

  private String cell(String[] cells, String name) {
    int at = columns.getOrDefault(name, cells.length);
    return at < cells.length ? cells[at].strip() : "";
  }

  private void problem(int line, String what) {
    problems.add(new Problem(line, what));
  }
}
