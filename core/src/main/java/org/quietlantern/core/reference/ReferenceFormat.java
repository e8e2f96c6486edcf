package org.quietlantern.core.reference;

import java.util.Arrays;
import java.util.Optional;

/** The formats in which files of references are written. */
public enum ReferenceFormat {
  RIS("RIS", "ris", "application/x-research-info-systems"),
  BIBTEX("BibTeX", "bib", "application/x-bibtex"),
  BIBLATEX("BibLaTeX", "bib", "application/x-bibtex"),
  CSL_JSON("CSL-JSON", "json", "application/vnd.citationstyles.csl+json"),
  MODS("MODS", "xml", "application/mods+xml"),
  CSV("CSV", "csv", "text/csv"),
  TEXT("Plain text", "txt", "text/plain");

  private final String spoken;
  private final String extension;
  private final String mediaType;

  ReferenceFormat(String spoken, String extension, String mediaType) {
    this.spoken = spoken;
    this.extension = extension;
    this.mediaType = mediaType;
  }

  /** By its name in addresses: {@code csl-json}. */
  public static Optional<ReferenceFormat> named(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
  }

  public String word() {
    return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
  }

  /** As people call it. */
  public String spoken() {
    return spoken;
  }

  /** Of a file, without the point. */
  public String extension() {
    return extension;
  }

  public String mediaType() {
    return mediaType;
  }

  /** {@code commands}: whether BibTeX has letters beyond ASCII as commands of LaTeX. */
  public ReferenceWriter writer(Included included, boolean commands) {
    return switch (this) {
      case RIS -> new RisWriter(included);
      case BIBTEX -> new BibtexWriter(false, commands, included);
      case BIBLATEX -> new BibtexWriter(true, commands, included);
      case CSL_JSON -> new CslJsonWriter(included);
      case MODS -> new ModsWriter(included);
      case CSV -> new CsvWriter(included);
      case TEXT -> new PlainTextWriter(included);
    };
  }
}
