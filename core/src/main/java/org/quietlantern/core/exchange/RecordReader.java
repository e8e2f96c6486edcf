package org.quietlantern.core.exchange;

import java.util.List;

/** Reads a supplied record in whichever of the known formats it is. */
public final class RecordReader {
  /** To be raised when records are read differently, so that what is kept is read again. */
  public static final int EDITION = 5;

  /** Letters of a whole record; a longer one is not read. */
  public static final int LONGEST = 2_000_000;

  /** Stands where a source had something that no text can hold. */
  private static final char REPLACED = '\uFFFD';

  private RecordReader() {}

  /** Prefixes of the formats that can be read, the best first. */
  public static List<String> formats() {
    return List.of("mods", "oai_dc");
  }

  /** {@code format}: the metadata prefix of OAI-PMH under which it came. */
  public static SuppliedRecord read(String format, String raw) {
    if (raw.length() > LONGEST) {
      return new SuppliedRecord.Unreadable("longer than %,d letters".formatted(LONGEST));
    }
    SuppliedRecord supplied =
        switch (format) {
          case "mods" -> ModsReader.read(raw);
          case "oai_dc" -> DublinCoreReader.read(raw);
          default -> new SuppliedRecord.Unreadable("a format that is not known: " + format);
        };
    return raw.indexOf(REPLACED) >= 0 ? supplied.with("letters that no text can hold") : supplied;
  }
}
