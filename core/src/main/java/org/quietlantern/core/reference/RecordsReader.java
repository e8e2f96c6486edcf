package org.quietlantern.core.reference;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.exchange.FiledRecord;
import org.quietlantern.core.exchange.RecordFile;
import org.quietlantern.core.exchange.RecordFormat;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.exchange.SuppliedRecord;

/**
 * Reads the records of libraries: MODS, MARC, JATS, Dublin Core, as sources supply them. They have
 * no lines; problems say which record it is.
 */
final class RecordsReader {
  private static final Pattern BEGINS = Pattern.compile("<mods(?=[\\s>])");

  private final List<ReadFile.Found> found = new ArrayList<>();
  private final List<ReadFile.Problem> problems = new ArrayList<>();

  /** Of the record that is read, from 1. */
  private int number;

  private RecordsReader() {}

  static ReadFile read(byte[] file) {
    RecordsReader reader = new RecordsReader();
    try (RecordFile records = new RecordFile(new ByteArrayInputStream(file))) {
      reader.all(records);
    } catch (RecordFile.Broken broken) {
      reader.tell(0, "It is broken: %s.".formatted(broken.getMessage()));
      reader.behind(new String(file, StandardCharsets.UTF_8));
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return new ReadFile(reader.found, reader.problems);
  }

  private void all(RecordFile records) throws IOException {
    for (Optional<FiledRecord> next = records.next(); next.isPresent(); next = records.next()) {
      number++;
      if (!next.get().deleted()) {
        one(next.get());
      }
    }
  }

  /** What is broken has no records for a parser; those of MODS are found by how they begin. */
  private void behind(String text) {
    int read = number;
    number = 0;
    Matcher begins = BEGINS.matcher(text);
    int from = begins.find() ? begins.start() : -1;
    while (from >= 0) {
      int next = begins.find() ? begins.start() : -1;
      number++;
      if (number > read) {
        piece(text.substring(from, next < 0 ? text.length() : next));
      }
      from = next;
    }
  }

  private void piece(String text) {
    int end = text.lastIndexOf("</mods>");
    String record = end < 0 ? text : text.substring(0, end) + "</mods>";
    int namespace = record.indexOf(" xmlns=");
    String named =
        namespace >= 0 && namespace < record.indexOf('>')
            ? record
            : "<mods xmlns=\"%s\"%s"
                .formatted(RecordFormat.MODS.namespace(), record.substring("<mods".length()));
    one(new FiledRecord(RecordReader.identifier(named), "", false, named, Optional.empty()));
  }

  private void one(FiledRecord record) {
    if (record.problem().isPresent()) {
      tell(number, record.problem().get());
      return;
    }
    RecordReader.Whole whole = RecordReader.whole(record.raw());
    if (whole.supplied() instanceof SuppliedRecord.Read read) {
      RecordReader.Beside beside = whole.beside();
      found.add(
          new ReadFile.Found(
              new Reference(
                  record.identifier(),
                  read.publication(),
                  beside.link(),
                  beside.notes(),
                  beside.annotation()),
              0));
      read.problems().forEach(problem -> tell(number, problem));
    } else if (whole.supplied() instanceof SuppliedRecord.Unreadable unreadable) {
      tell(number, unreadable.reason());
    }
  }

  private void tell(int number, String sentence) {
    problems.add(
        new ReadFile.Problem(
            0, number == 0 ? sentence : "Record %d: %s.".formatted(number, sentence)));
  }
}
