package org.quietlantern.standins.words;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** The tables under {@code literature/}: a row a line, cells between bars, {@code #} a comment. */
public final class Table {
  private Table() {}

  /** One line, cut at its bars; cells that are missing at the end are empty. */
  public record Row(List<String> cells) {
    public String text(int column) {
      return column < cells.size() ? cells.get(column) : "";
    }

    /** The words of a cell, in their order: everything drawn from them must come out the same. */
    public Set<String> words(int column) {
      return Collections.unmodifiableSet(
          new LinkedHashSet<>(Arrays.asList(text(column).split(" +"))));
    }

    /** The parts of a cell between semicolons. */
    public List<String> list(int column) {
      return Arrays.stream(text(column).split(";"))
          .map(String::strip)
          .filter(part -> !part.isEmpty())
          .toList();
    }
  }

  public static List<Row> rows(String name) {
    return lines(name).stream().map(Table::row).toList();
  }

  private static Row row(String line) {
    return new Row(Arrays.stream(line.split("\\|", -1)).map(String::strip).toList());
  }

  /** Lines that are neither empty nor a comment, with the blanks in front of them. */
  public static List<String> lines(String name) {
    try (InputStream file = Table.class.getResourceAsStream("/literature/" + name)) {
      if (file == null) {
        throw new IllegalArgumentException("no such table: " + name);
      }
      return new BufferedReader(new InputStreamReader(file, StandardCharsets.UTF_8))
          .lines()
          .filter(line -> !line.isBlank() && !line.startsWith("#"))
          .toList();
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }
}
