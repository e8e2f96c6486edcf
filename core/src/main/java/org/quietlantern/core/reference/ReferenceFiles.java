package org.quietlantern.core.reference;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** Reads files of references whose format nobody told: it shows in what they hold. */
public final class ReferenceFiles {
  /** Bytes that files may have together when they are unpacked. */
  public static final long MOST_BYTES = 200_000_000;

  /** Files of an archive. */
  private static final int MOST_FILES = 1_000;

  /** How the end of an archive begins, and so many bytes it has at most. */
  private static final byte[] END = {'P', 'K', 5, 6};

  private static final int LONGEST_END = 22 + 65_535;

  private static final Pattern RIS = Pattern.compile("(?m)^\uFEFF?TY {0,2}- ");
  private static final Pattern BIBTEX =
      Pattern.compile(
          "(?m)^\\s*@[A-Za-z]+\\s*[{(][^\\n]*[,=]\\s*$|^\\s*@[A-Za-z]+\\s*\\{[^\\s,]+,");
  private static final Pattern JSON = Pattern.compile("\\s*(?:\\[\\s*[{\\]]|\\{\\s*\")");

  /**
   * What it was taken for.
   *
   * @param format as people call it; empty where it is in none that is known
   * @param columns of a table, by their heads, and what they seem to hold; empty where it is none
   */
  public record Recognised(
      String name, String format, ReadFile file, Map<String, Optional<CsvColumn>> columns) {
    Recognised(String name, String format, ReadFile file) {
      this(name, format, file, Map.of());
    }

    private Recognised with(ReadFile other) {
      return new Recognised(name, format, other, columns);
    }
  }

  private ReferenceFiles() {}

  /**
   * A file, or each in an archive (ZIP), in their order.
   *
   * @param name is only shown
   * @param mapping what columns of tables hold, by their heads; empty: as they are called
   */
  public static List<Recognised> read(String name, byte[] file, Map<String, CsvColumn> mapping) {
    return isArchive(file) ? unpacked(name, file, mapping) : List.of(one(name, file, mapping));
  }

  /** Whether files lie in it, packed. */
  public static boolean isArchive(byte[] file) {
    return file.length > 1 && file[0] == 'P' && file[1] == 'K';
  }

  private static List<Recognised> unpacked(
      String name, byte[] file, Map<String, CsvColumn> mapping) {
    List<Recognised> all = new ArrayList<>();
    long left = MOST_BYTES;
    // Names are shown and lead nowhere, whatever letters they have.
    try (ZipInputStream zip =
        new ZipInputStream(new ByteArrayInputStream(file), StandardCharsets.UTF_8)) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (entry.isDirectory()) {
          continue;
        }
        String part = name + ", " + entry.getName();
        byte[] content = zip.readNBytes((int) Math.min(left + 1, Integer.MAX_VALUE - 8));
        left -= content.length;
        if (left < 0) {
          all.add(
              unread(part, "It unpacks to more than %,d MB.".formatted(MOST_BYTES / 1_000_000)));
          return all;
        }
        if (all.size() == MOST_FILES) {
          all.add(unread(name, "Of an archive %,d files are read.".formatted(MOST_FILES)));
          return all;
        }
        all.add(one(part, content, mapping));
      }
      if (!isWhole(file)) {
        all.add(unread(name, "The archive is cut short; what stood behind is missing."));
      }
    } catch (IOException | IllegalArgumentException broken) {
      all.add(unread(name, "The archive is damaged from here on."));
    }
    return all.isEmpty() ? List.of(unread(name, "The archive has no files.")) : all;
  }

  /** Whether its directory has an end (ZIP application note, 4.3.16); a comment may follow. */
  private static boolean isWhole(byte[] archive) {
    int first = Math.max(0, archive.length - LONGEST_END);
    for (int i = archive.length - END.length; i >= first; i--) {
      if (Arrays.equals(archive, i, i + END.length, END, 0, END.length)) {
        return true;
      }
    }
    return false;
  }

  private static Recognised one(String name, byte[] file, Map<String, CsvColumn> mapping) {
    if (isXml(file)) {
      return new Recognised(name, "XML", RecordsReader.read(file));
    }
    Optional<FileText> text = FileText.of(file);
    if (text.isEmpty()) {
      return unread(name, "It is no text.");
    }
    Recognised read = text(name, text.get().text(), mapping);
    List<ReadFile.Problem> problems = new ArrayList<>(text.get().problems());
    problems.addAll(read.file().problems());
    return read.with(new ReadFile(read.file().references(), problems));
  }

  /** A text that was pasted, or of a file. */
  private static Recognised text(String name, String text, Map<String, CsvColumn> mapping) {
    if (text.isBlank()) {
      return unread(name, "It is empty.");
    }
    if (JSON.matcher(text).lookingAt()) {
      return new Recognised(name, ReferenceFormat.CSL_JSON.spoken(), CslJsonReader.read(text));
    }
    Map<String, ReadFile> found = new LinkedHashMap<>();
    if (RIS.matcher(text).find()) {
      found.put(ReferenceFormat.RIS.spoken(), RisReader.read(text));
    }
    if (BIBTEX.matcher(text).find()) {
      ReadFile bibtex = BibtexReader.read(text);
      // Words of an abstract may look like an entry.
      if (found.isEmpty() || !bibtex.references().isEmpty()) {
        found.put(ReferenceFormat.BIBTEX.spoken(), bibtex);
      }
    }
    if (found.isEmpty()) {
      return table(name, text, mapping);
    }
    List<ReadFile.Found> references = new ArrayList<>();
    List<ReadFile.Problem> problems = new ArrayList<>();
    if (found.size() > 1) {
      problems.add(new ReadFile.Problem(1, "It holds RIS and BibTeX; both were read."));
    }
    found
        .values()
        .forEach(
            file -> {
              references.addAll(file.references());
              problems.addAll(file.problems());
            });
    return new Recognised(
        name, String.join(" and ", found.keySet()), new ReadFile(references, problems));
  }

  private static Recognised table(String name, String text, Map<String, CsvColumn> mapping) {
    Map<String, Optional<CsvColumn>> columns = CsvReader.columns(text);
    boolean mapped = columns.keySet().stream().anyMatch(mapping::containsKey);
    boolean known = columns.size() > 1 && columns.values().stream().anyMatch(Optional::isPresent);
    if (!mapped && !known) {
      ReadFile cited = CitationReader.read(text);
      if (cited.references().size() > cited.problems().size()) {
        return new Recognised(name, "Citations", cited);
      }
      Recognised unread = unread(name, "It is in no format of references that is known here.");
      return CsvReader.isTable(text) ? new Recognised(name, "", unread.file(), columns) : unread;
    }
    ReadFile read = mapped ? CsvReader.read(text, mapping) : CsvReader.read(text);
    return new Recognised(name, ReferenceFormat.CSV.spoken(), read, columns);
  }

  private static boolean isXml(byte[] file) {
    for (int i = 0; i < Math.min(file.length, 512); i++) {
      // Blanks, and a mark of UTF-8 or UTF-16 with what stands between its letters.
      if (file[i] > ' ') {
        return file[i] == '<';
      }
    }
    return false;
  }

  private static Recognised unread(String name, String why) {
    return new Recognised(name, "", new ReadFile(List.of(), List.of(new ReadFile.Problem(0, why))));
  }
}
