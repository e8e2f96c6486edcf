package org.quietlantern.core.holdings;

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
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Reads a holdings file in KBART (NISO RP-9-2014): tab-separated, a line of names first, dates to
 * the year, month or day. Tolerant: a line that cannot be used is named with its number, the rest
 * is read.
 */
public final class KbartReader {
  /** Lines of one file. */
  public static final int MOST_LINES = 200_000;

  private static final Pattern EMBARGO = Pattern.compile("([PR])(\\d{1,4})([DMY])");
  private static final Pattern ISSN = Pattern.compile("\\d{4}-\\d{3}[\\dXx]");
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
    List<String> lines = file.replace("\uFEFF", "").lines().limit(MOST_LINES + 1L).toList();
    if (lines.size() > MOST_LINES) {
      reader.problem(MOST_LINES, "the file is longer than this; nothing was read");
    } else if (!lines.isEmpty() && reader.names(lines.get(0))) {
      for (int i = 1; i < lines.size(); i++) {
        reader.line(i + 1, lines.get(i).split("\t", -1));
      }
    }
    return new Read(new Holdings(reader.titles), reader.problems);
  }

  private boolean names(String line) {
    String[] names = line.split("\t", -1);
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
    List<String> issns =
        Stream.of("online_identifier", "print_identifier")
            .map(name -> cell(cells, name).toUpperCase(Locale.ROOT))
            .filter(issn -> ISSN.matcher(issn).matches())
            .distinct()
            .toList();
    if (issns.isEmpty()) {
      problem(number, "no ISSN in print_identifier or online_identifier");
      return;
    }
    try {
      titles.add(new Holdings.Title(cell(cells, "publication_title"), issns, coverage(cells)));
    } catch (DateTimeException | IllegalArgumentException unusable) {
      problem(number, String.valueOf(unusable.getMessage()));
    }
  }

  private Coverage coverage(String[] cells) {
    String embargo = cell(cells, "embargo_info");
    Period wall = Period.ZERO;
    Period window = Period.ZERO;
    for (String part : embargo.isEmpty() ? new String[0] : embargo.split(";")) {
      Matcher form = EMBARGO.matcher(part.strip());
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
    return Optional.of(
        switch (text.length()) {
          case 4 -> last ? Year.parse(text).atMonth(12).atEndOfMonth() : Year.parse(text).atDay(1);
          case 7 -> {
            LocalDate first = YearMonth.parse(text).atDay(1);
            yield last ? first.with(TemporalAdjusters.lastDayOfMonth()) : first;
          }
          default -> LocalDate.parse(text);
        });
  }

  private String cell(String[] cells, String name) {
    int at = columns.getOrDefault(name, cells.length);
    return at < cells.length ? cells[at].strip() : "";
  }

  private void problem(int line, String what) {
    problems.add(new Problem(line, what));
  }
}
