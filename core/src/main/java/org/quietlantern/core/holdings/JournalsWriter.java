package org.quietlantern.core.holdings;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Collection;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes what is known of journals as {@link JournalsReader} reads it (RFC 4180). */
public final class JournalsWriter {
  private JournalsWriter() {}

  public static String write(Collection<Journal> journals) {
    StringWriter text = new StringWriter();
    try (CSVPrinter csv = new CSVPrinter(text, CSVFormat.RFC4180)) {
      csv.printRecord(
          "title",
          "issn",
          "publisher",
          "discipline",
          "since",
          "peer_reviewed_from",
          "former_title",
          "former_until");
      for (Journal journal : journals) {
        Optional<Journal.Former> former = journal.former().stream().findFirst();
        csv.printRecord(
            journal.title(),
            journal.issn(),
            journal.publisher(),
            journal.discipline(),
            journal.since().orElse(null),
            journal.peerReviewedFrom().orElse(null),
            former.map(Journal.Former::title).orElse(null),
            former.flatMap(Journal.Former::until).orElse(null));
      }
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return text.toString();
  }
}
