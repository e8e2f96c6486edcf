package org.quietlantern.core.exchange;

/** Reads a supplied record in whichever of the known formats it is. */
public final class RecordReader {
  /** To be raised when records are read differently, so that what is kept is read again. */
  public static final int EDITION = 4;

  private RecordReader() {}

  /** {@code format}: the metadata prefix of OAI-PMH under which it came. */
  public static Supplied read(String format, String raw) {
    return switch (format) {
      case "mods" -> ModsReader.read(raw);
      case "oai_dc" -> DublinCoreReader.read(raw);
      default -> new Supplied.Unreadable("a format that is not known: " + format);
    };
  }
}
