package org.quietlantern.standins.corpus;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What a made-up group may read of the journals, as a KBART file (NISO RP-9-2014, 6.6), with gaps
 * and embargoes; and what there is to know of the journals themselves.
 */
public final class Holdings {
  private static final List<String> COLUMNS =
      List.of(
          "publication_title",
          "print_identifier",
          "online_identifier",
          "date_first_issue_online",
          "num_first_vol_online",
          "num_first_issue_online",
          "date_last_issue_online",
          "num_last_vol_online",
          "num_last_issue_online",
          "title_url",
          "first_author",
          "title_id",
          "embargo_info",
          "coverage_depth",
          "notes",
          "publisher_name",
          "publication_type",
          "date_monograph_published_print",
          "date_monograph_published_online",
          "monograph_volume",
          "monograph_edition",
          "first_editor",
          "parent_publication_title_id",
          "preceding_publication_title_id",
          "access_type");
  private static final int NOT_HELD = 4;

  private Holdings() {}

  /** Tab-separated; a journal with a gap has two lines; a fifth of the journals are not held. */
  public static String kbart() {
    StringBuilder file = new StringBuilder(String.join("\t", COLUMNS)).append('\n');
    for (int i = 0; i < Journal.ALL.size(); i++) {
      Journal journal = Journal.ALL.get(i);
      if (journal.openFrom() == 0) {
        file.append(line(journal, journal.since(), 0, "F"));
      } else if (isHeld(i)) {
        int first = Math.max(journal.since(), 1996 + i % 9);
        if (i % 7 == 3) {
          file.append(line(journal, first, 2012, "P"));
          file.append(line(journal, 2016, 0, "P"));
        } else {
          file.append(line(journal, first, i % 11 == 5 ? 2021 : 0, "P"));
        }
      }
    }
    return file.toString();
  }

  private static boolean isHeld(int journal) {
    return journal % 5 != NOT_HELD || Journal.ALL.get(journal).openFrom() == 0;
  }

  /** Volumes in print of some of what is not held, until 2014; one column more: their place. */
  public static String printed() {
    StringBuilder file = new StringBuilder(String.join("\t", COLUMNS)).append("\tplace\n");
    for (int i = 0; i < Journal.ALL.size(); i++) {
      Journal journal = Journal.ALL.get(i);
      if (!isHeld(i) && i % 2 == 0) {
        String place = "lower hall, bay %d".formatted(i + 3);
        file.append(line(journal, journal.since(), 2014, "P").strip()).append("\t").append(place);
        file.append('\n');
      }
    }
    return file.toString();
  }

  /** What a college elsewhere has of what is not held. */
  public static String ofCollege() {
    StringBuilder file = new StringBuilder(String.join("\t", COLUMNS)).append('\n');
    for (int i = 0; i < Journal.ALL.size(); i++) {
      Journal journal = Journal.ALL.get(i);
      if (!isHeld(i) && i % 2 == 1) {
        file.append(line(journal, Math.max(2005, journal.since()), 0, "P"));
      }
    }
    return file.toString();
  }

  private static String line(Journal journal, int from, int until, String access) {
    List<String> cells = new ArrayList<>(java.util.Collections.nCopies(COLUMNS.size(), ""));
    cells.set(0, journal.title());
    cells.set(2, journal.issn());
    cells.set(3, LocalDate.of(from, 1, 1).toString());
    cells.set(4, Integer.toString(from - journal.since() + 1));
    cells.set(6, until == 0 ? "" : LocalDate.of(until, 12, 31).toString());
    cells.set(7, until == 0 ? "" : Integer.toString(until - journal.since() + 1));
    cells.set(11, journal.letters());
    boolean delayed = access.equals("P") && journal.embargoMonths() > 0;
    cells.set(12, delayed ? "P" + journal.embargoMonths() + "M" : "");
    cells.set(13, "fulltext");
    cells.set(15, journal.publisher());
    cells.set(16, "serial");
    cells.set(24, access);
    return String.join("\t", cells) + "\n";
  }

  /** CSV (RFC 4180): a line a journal. */
  public static String journals() {
    String head =
        "title,issn,publisher,discipline,since,peer_reviewed_from,open_from,former_title,former_until\n";
    return Journal.ALL.stream().map(Holdings::journal).collect(Collectors.joining("", head, ""));
  }

  private static String journal(Journal j) {
    return "\"%s\",%s,\"%s\",%s,%d,%s,%s,\"%s\",%s%n"
        .formatted(
            j.title(),
            j.issn(),
            j.publisher(),
            j.discipline(),
            j.since(),
            year(j.peerReviewedFrom()),
            j.openFrom() == 0 ? Integer.toString(j.since()) : year(j.openFrom()),
            j.formerTitle(),
            j.formerUntil() == 0 ? "" : Integer.toString(j.formerUntil()));
  }

  private static String year(int year) {
    return year == 9999 ? "" : Integer.toString(year);
  }
}
