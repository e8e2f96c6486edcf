package org.quietlantern.standins.corpus;

import java.util.List;
import org.quietlantern.standins.words.Table;

/**
 * A made-up journal.
 *
 * @param openFrom first year whose articles are open to all; 9999 for none
 * @param peerReviewedFrom first year of peer review; 9999 for none
 * @param embargoMonths after which a subscriber of an archive may read
 * @param formerTitle until {@code formerUntil}; empty if it was always called so
 */
public record Journal(
    String title,
    String letters,
    String issn,
    String publisher,
    String discipline,
    int since,
    int peerReviewedFrom,
    int embargoMonths,
    int openFrom,
    String formerTitle,
    int formerUntil) {
  private static final int NEVER = 9999;

  public static final List<Journal> ALL = read();

  private static List<Journal> read() {
    List<Table.Row> rows = Table.rows("journals.txt");
    return java.util.stream.IntStream.range(0, rows.size())
        .mapToObj(i -> of(rows.get(i), issn(100 + 11 * i)))
        .toList();
  }

  private static Journal of(Table.Row row, String issn) {
    String review = row.text(5);
    String open = row.text(7);
    String[] former = row.text(8).split(",");
    return new Journal(
        row.text(0),
        row.text(1),
        issn,
        row.text(2),
        row.text(3),
        Integer.parseInt(row.text(4)),
        review.equals("none") ? NEVER : Integer.parseInt(review.substring(0, 4)),
        Integer.parseInt(row.text(6)),
        open.equals("all")
            ? 0
            : open.startsWith("from") ? Integer.parseInt(open.substring(5)) : NEVER,
        former[0].strip(),
        former.length > 1 ? Integer.parseInt(former[1].strip()) : 0);
  }

  /** In a range that is not given out; the last character is a check (ISO 3297). */
  private static String issn(int number) {
    String digits = "9999%03d".formatted(number);
    int total = 0;
    for (int i = 0; i < digits.length(); i++) {
      total += (digits.charAt(i) - '0') * (8 - i);
    }
    int check = (11 - total % 11) % 11;
    return digits.substring(0, 4)
        + "-"
        + digits.substring(4)
        + (check == 10 ? "X" : Integer.toString(check));
  }

  /** What it was called in a year. */
  public String titleIn(int year) {
    return year <= formerUntil ? formerTitle : title;
  }

  public boolean isOpenIn(int year) {
    return year >= openFrom;
  }

  public boolean isPeerReviewedIn(int year) {
    return year >= peerReviewedFrom;
  }
}
