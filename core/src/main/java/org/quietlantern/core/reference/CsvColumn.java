package org.quietlantern.core.reference;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a column of a table can hold, and what columns are called that hold it. */
public enum CsvColumn {
  KEY("key|id|citation key|citekey"),
  KIND("kind|type|item type|document type|publication type|reference type"),
  TITLE("title|article title|document title|name|titel|titre"),
  ORIGINAL_TITLE("original title"),
  AUTHORS("authors|author|author s|author names|creators|autor|auteurs"),
  EDITORS("editors|editor|editor s|book editors"),
  YEAR("year|publication year|year published|jahr"),
  DATE("date|publication date|date published|issued"),
  HOST("journal or book|journal|publication title|source title|book title|source"),
  VOLUME("volume|vol"),
  ISSUE("issue|number|no"),
  PAGES("pages|page|page range"),
  FIRST_PAGE("first page|start page|page start"),
  LAST_PAGE("last page|end page|page end"),
  PUBLISHER("publisher"),
  LANGUAGE("language"),
  DOI("doi"),
  ISSN("issn"),
  ISBN("isbn"),
  LINK("link|url|address"),
  KEYWORDS("keywords|author keywords|tags|index keywords"),
  NOTES("notes|note|comment|comments"),
  ANNOTATION("annotation"),
  ABSTRACT("abstract|abstract note|summary");

  /** What it is called, divided by bars; first as it is written. */
  private final String names;

  CsvColumn(String names) {
    this.names = names;
  }

  private List<String> names() {
    return List.of(names.split("\\|"));
  }

  /** As it is written. */
  public String word() {
    return switch (this) {
      case DOI, ISSN, ISBN -> name();
      default -> names().get(0);
    };
  }

  /** By its word. */
  public static Optional<CsvColumn> named(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
  }

  /** By what stands at the head of a column, whatever signs are between its words. */
  public static Optional<CsvColumn> headed(String head) {
    String words = head.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
    return Arrays.stream(values()).filter(one -> one.names().contains(words)).findFirst();
  }
}
